package org.eskiz.server.site;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.util.List;
import org.eskiz.server.web.Computation;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/sites")
@Tag(name = "sites")
class SiteController {

    private final SiteService sites;
    private final SiteSheetService sheets;
    private final SiteBuyingService buying;

    SiteController(SiteService sites, SiteSheetService sheets, SiteBuyingService buying) {
        this.sites = sites;
        this.sheets = sheets;
        this.buying = buying;
    }

    @GetMapping
    @Operation(operationId = "listSites", summary = "Sites that plans carry, by name")
    List<SiteNameResponse> list() {
        return sites.list();
    }

    @GetMapping("/{name}")
    @Operation(operationId = "getSite", summary = "What is said of a site beside its plans")
    SiteResponse get(@PathVariable String name) {
        return sites.get(name);
    }

    @PutMapping(path = "/{name}", consumes = MediaType.APPLICATION_JSON_VALUE)
    @Operation(operationId = "saveSite", summary = "Say something of a site, over the version that was read")
    SiteResponse save(@PathVariable String name, @RequestBody SaidOfSiteRequest request) {
        return sites.save(name, request);
    }

    @Computation
    @PostMapping(path = "/{name}/sheet", consumes = MediaType.APPLICATION_JSON_VALUE)
    @Operation(
            operationId = "assessSite",
            summary = "All runs of a site together, with what is said of it; stores nothing")
    SiteSheetResponse sheet(@PathVariable String name, @RequestBody SiteDocument document) {
        return sheets.sheet(name, document);
    }

    @Computation
    @PostMapping(path = "/{name}/buying", consumes = MediaType.APPLICATION_JSON_VALUE)
    @Operation(operationId = "buyForSite", summary = "What to buy for all runs of a site at once; stores nothing")
    SiteBuyingResponse buy(@PathVariable String name, @RequestBody SiteDocument document) {
        return buying.buy(name, document);
    }
}
