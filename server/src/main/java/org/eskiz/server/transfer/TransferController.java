package org.eskiz.server.transfer;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import org.eskiz.server.operator.OpenToVisitors;
import org.eskiz.server.plan.PlanInFile;
import org.eskiz.server.plan.PlanTransfer;
import org.eskiz.server.problem.InvalidRequestException;
import org.eskiz.server.problem.NotFoundException;
import org.eskiz.server.site.SiteName;
import org.eskiz.server.web.Attachment;
import org.eskiz.server.web.Computation;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/transfers")
@Tag(name = "transfers")
class TransferController {

    private final TransferWriter writer;
    private final TransferService transfers;
    private final TransferUploads uploads;
    private final PlanTransfer plans;

    TransferController(TransferWriter writer, TransferService transfers, TransferUploads uploads, PlanTransfer plans) {
        this.writer = writer;
        this.transfers = transfers;
        this.uploads = uploads;
        this.plans = plans;
    }

    @GetMapping(path = "/workspace", produces = MediaType.APPLICATION_JSON_VALUE)
    @ApiResponse(responseCode = "200", content = @Content(schema = @Schema(implementation = TransferFile.class)))
    @Operation(operationId = "exportWorkspace", summary = "Everything the operator has, as one file")
    void workspace(@Parameter(hidden = true) HttpServletResponse response) throws IOException {
        Attachment.begin(response, "workspace.eskiz.json", MediaType.APPLICATION_JSON);
        writer.workspace(response.getOutputStream());
    }

    @GetMapping(path = "/plans/{id}", produces = MediaType.APPLICATION_JSON_VALUE)
    @ApiResponse(responseCode = "200", content = @Content(schema = @Schema(implementation = TransferFile.class)))
    @OpenToVisitors
    @Operation(operationId = "exportPlan", summary = "A plan with all that it needs, as one file")
    void plan(@PathVariable UUID id, @Parameter(hidden = true) HttpServletResponse response) throws IOException {
        PlanInFile plan = plans.one(id);
        Attachment.begin(response, plan.name() + ".eskiz.json", MediaType.APPLICATION_JSON);
        writer.plan(plan, response.getOutputStream());
    }

    @GetMapping(path = "/site", produces = MediaType.APPLICATION_JSON_VALUE)
    @ApiResponse(responseCode = "200", content = @Content(schema = @Schema(implementation = TransferFile.class)))
    @Operation(operationId = "exportSite", summary = "A site with all of its plans and what they need, as one file")
    void site(@RequestParam String site, @Parameter(hidden = true) HttpServletResponse response) throws IOException {
        List<PlanInFile> ofSite = plans.ofSite(SiteName.checked(site));
        if (ofSite.isEmpty()) {
            throw new NotFoundException("plan of the site", site);
        }
        Attachment.begin(response, site + ".eskiz.json", MediaType.APPLICATION_JSON);
        writer.site(site, ofSite, response.getOutputStream());
    }

    @PutMapping(path = "/uploads/{id}/parts/{number}", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(
            operationId = "uploadPart",
            summary = "A part of a file, at most 1 MiB, counted from 0; sent again it stands in place of the first")
    void part(@PathVariable UUID id, @PathVariable int number, @RequestBody byte[] content) {
        if (number < 0 || number >= TransferUploads.MOST_PARTS) {
            throw new InvalidRequestException(
                    "number",
                    String.format(Locale.ROOT, "must be from 0 to %d, not %d", TransferUploads.MOST_PARTS - 1, number));
        }
        uploads.put(id, number, content);
    }

    @DeleteMapping("/uploads/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(operationId = "forgetUpload", summary = "Forget a file that was sent in parts")
    void forget(@PathVariable UUID id) {
        uploads.delete(id);
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
