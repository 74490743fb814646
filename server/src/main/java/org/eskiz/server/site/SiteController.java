package org.eskiz.server.site;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.util.List;
import org.eskiz.server.web.Computation;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Sites go by their names in a parameter, since a name may have a slash in it. */
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

    @GetMapping("/document")
    @Operation(operationId = "getSite", summary = "What is said of a site beside its plans")
    SiteResponse get(@RequestParam String site) {
        return sites.get(SiteName.checked(site));
    }

    @PutMapping(path = "/document", consumes = MediaType.APPLICATION_JSON_VALUE)
    @Operation(operationId = "saveSite", summary = "Say something of a site, over the version that was read")
    SiteResponse save(@RequestParam String site, @RequestBody SaidOfSiteRequest request) {
        return sites.save(SiteName.checked(site), request);
    }

    @Computation
    @PostMapping(path = "/sheet", consumes = MediaType.APPLICATION_JSON_VALUE)
    @Operation(
            operationId = "assessSite",
            summary = "All runs of a site together, with what is said of it; stores nothing")
    SiteSheetResponse sheet(@RequestParam String site, @RequestBody SiteDocument document) {
        return sheets.sheet(SiteName.checked(site), document);
    }

    @Computation
    @PostMapping(path = "/buying", consumes = MediaType.APPLICATION_JSON_VALUE)
    @Operation(operationId = "buyForSite", summary = "What to buy for all runs of a site at once; stores nothing")
    SiteBuyingResponse buy(@RequestParam String site, @RequestBody SiteDocument document) {
        return buying.buy(SiteName.checked(site), document);
    }
}
