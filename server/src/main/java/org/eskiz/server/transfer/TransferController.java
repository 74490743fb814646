package org.eskiz.server.transfer;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.nio.charset.StandardCharsets;
import java.util.UUID;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/transfers")
@Tag(name = "transfers")
class TransferController {

    private final Transfers transfers;

    TransferController(Transfers transfers) {
        this.transfers = transfers;
    }

    @GetMapping("/workspace")
    @Operation(operationId = "exportWorkspace", summary = "Everything the operator has, as one file")
    ResponseEntity<TransferFile> workspace() {
        return attachment("workspace.eskiz.json", transfers.workspace());
    }

    @GetMapping("/plans/{id}")
    @Operation(operationId = "exportPlan", summary = "A plan with all that it needs, as one file")
    ResponseEntity<TransferFile> plan(@PathVariable UUID id) {
        TransferFile file = transfers.plan(id);
        return attachment(file.plans().get(0).name() + ".eskiz.json", file);
    }

    private static ResponseEntity<TransferFile> attachment(String name, TransferFile file) {
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename(name.replaceAll("[^\\p{L}\\p{N}. _-]", "-"), StandardCharsets.UTF_8)
                                .build()
                                .toString())
                .body(file);
    }

    @GetMapping(path = "/schema.json", produces = "application/schema+json")
    @Operation(operationId = "transferSchema", summary = "JSON Schema of the files")
    Resource schema() {
        return new ClassPathResource("schemas/transfer-" + TransferFile.SCHEMA_VERSION + ".schema.json");
    }

    @PostMapping(path = "/previews", consumes = MediaType.APPLICATION_JSON_VALUE)
    @Operation(operationId = "previewTransfer", summary = "What a file would bring; stores nothing")
    TransferResponse preview(@RequestBody TransferRequest request) {
        return transfers.preview(request);
    }

    @PostMapping(consumes = MediaType.APPLICATION_JSON_VALUE)
    @Operation(
            operationId = "takeTransfer",
            summary = "Take a file, whole or not at all, with a choice for all that clashes")
    TransferResponse take(@RequestBody TransferRequest request) {
        return transfers.take(request);
    }
}
