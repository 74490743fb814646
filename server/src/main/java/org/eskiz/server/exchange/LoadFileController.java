package org.eskiz.server.exchange;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import org.eskiz.server.web.Computation;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping(path = "/api", consumes = MediaType.APPLICATION_JSON_VALUE)
@Tag(name = "exchange")
class LoadFileController {

    private final LoadFileService files;
    private final SheetTextService sheets;
    private final TwoPortFileService twoPorts;

    LoadFileController(LoadFileService files, SheetTextService sheets, TwoPortFileService twoPorts) {
        this.files = files;
        this.twoPorts = twoPorts;
        this.sheets = sheets;
    }

    @Computation
    @PostMapping("/loads")
    @Operation(
            operationId = "readLoads",
            summary = "What a table or a one-port sweep says of an antenna at some frequencies")
    LoadFileResponse read(@RequestBody LoadFileRequest request) {
        return files.read(request);
    }

    @Computation
    @PostMapping("/two-ports")
    @Operation(operationId = "readTwoPort", summary = "What a two-port sweep says of a device, for an element of a run")
    TwoPortFileResponse read(@RequestBody TwoPortFileRequest request) {
        return twoPorts.read(request);
    }

    @Computation
    @PostMapping("/sheets")
    @Operation(
            operationId = "readSheet",
            summary = "What a copied table of attenuation says, and what may be wrong with it")
    SheetTextResponse read(@RequestBody SheetTextRequest request) {
        return sheets.read(request);
    }
}
