package org.eskiz.server.web;

import io.swagger.v3.oas.annotations.Hidden;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** The bare address. Spring would forward it to the page, and after a forward nothing more is written. */
@RestController
@Hidden
class FrontPage {

    @GetMapping(path = "/", produces = MediaType.TEXT_HTML_VALUE)
    ResponseEntity<Resource> page() {
        return ResponseEntity.ok().cacheControl(CacheControl.noCache()).body(FrontEnd.PAGE);
    }
}
