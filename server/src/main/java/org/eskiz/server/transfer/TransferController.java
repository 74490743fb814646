package org.eskiz.server.transfer;

import com.fasterxml.jackson.annotation.JsonInclude;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.util.UUID;
import org.eskiz.server.web.Attachment;
import org.eskiz.server.web.Computation;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.json.JsonMapper;

@RestController
@RequestMapping("/api/transfers")
@Tag(name = "transfers")
class TransferController {

    private final TransferWriting writing;
    private final Transfers transfers;
    private final JsonMapper withoutNulls;

    TransferController(TransferWriting writing, Transfers transfers, JsonMapper json) {
        this.writing = writing;
        this.transfers = transfers;
        this.withoutNulls = json.rebuild()
                .changeDefaultPropertyInclusion(all -> all.withValueInclusion(JsonInclude.Include.NON_NULL))
                .build();
    }

    @GetMapping(path = "/workspace", produces = MediaType.APPLICATION_JSON_VALUE)
    @ApiResponse(responseCode = "200", content = @Content(schema = @Schema(implementation = TransferFile.class)))
    @Operation(operationId = "exportWorkspace", summary = "Everything the operator has, as one file")
    ResponseEntity<String> workspace() {
        return attachment("workspace.eskiz.json", writing.workspace());
    }

    @GetMapping(path = "/plans/{id}", produces = MediaType.APPLICATION_JSON_VALUE)
    @ApiResponse(responseCode = "200", content = @Content(schema = @Schema(implementation = TransferFile.class)))
    @Operation(operationId = "exportPlan", summary = "A plan with all that it needs, as one file")
    ResponseEntity<String> plan(@PathVariable UUID id) {
        TransferFile file = writing.plan(id);
        return attachment(file.plans().get(0).name() + ".eskiz.json", file);
    }

    private ResponseEntity<String> attachment(String name, TransferFile file) {
        return Attachment.of(name, MediaType.APPLICATION_JSON, withoutNulls.writeValueAsString(file));
    }

    @GetMapping(path = "/schema.json", produces = "application/schema+json")
    @Operation(operationId = "transferSchema", summary = "JSON Schema of the files")
    Resource schema() {
        return new ClassPathResource("schemas/transfer-" + TransferFile.SCHEMA_VERSION + ".schema.json");
    }

    @Computation
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
