package org.eskiz.server.exchange;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping(path = "/api/loads", consumes = MediaType.APPLICATION_JSON_VALUE)
@Tag(name = "exchange")
class LoadFileController {

    private final LoadFileService files;

    LoadFileController(LoadFileService files) {
        this.files = files;
    }

    @PostMapping
    @Operation(
            operationId = "readLoads",
            summary = "What a table or a one-port sweep says of an antenna at some frequencies")
    LoadFileResponse read(@RequestBody LoadFileRequest request) {
        return files.read(request);
    }
}
