package org.eskiz.server.catalogue;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.List;
import java.util.UUID;
import org.eskiz.server.catalogue.csv.CatalogueCsv;
import org.eskiz.server.catalogue.csv.ConnectorCsv;
import org.eskiz.server.problem.InvalidRequestException;
import org.eskiz.server.web.Attachment;
import org.eskiz.server.web.Computation;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/catalogue")
@Tag(name = "catalogue")
class CatalogueExchangeController {

    private final CatalogueService catalogues;
    private final CatalogueImportService imports;

    CatalogueExchangeController(CatalogueService catalogues, CatalogueImportService imports) {
        this.catalogues = catalogues;
        this.imports = imports;
    }

    @GetMapping(path = "/export.csv", produces = "text/csv")
    @Operation(operationId = "exportCsv", summary = "Cable types as CSV: the whole catalogue, or the types named")
    @ApiResponse(responseCode = "200", content = @Content(schema = @Schema(type = "string")))
    void csv(@RequestParam(required = false) List<String> keys, @Parameter(hidden = true) HttpServletResponse response)
            throws IOException {
        Attachment.csv(response, "cables.csv", CatalogueCsv.header(), CatalogueCsv.rows(chosen(keys).stream()));
    }

    @GetMapping(path = "/export.json", produces = MediaType.APPLICATION_JSON_VALUE)
    @Operation(operationId = "exportJson", summary = "The same as JSON; the whole catalogue has its connectors with it")
    ResponseEntity<CatalogueFile> json(@RequestParam(required = false) List<String> keys) {
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, attachment("cables.json"))
                .body(CatalogueFile.of(chosen(keys), connectors(keys)));
    }

    @GetMapping(path = "/connectors.csv", produces = "text/csv")
    @Operation(operationId = "exportConnectorsCsv", summary = "All connectors as CSV")
    @ApiResponse(responseCode = "200", content = @Content(schema = @Schema(type = "string")))
    void connectorsCsv(@Parameter(hidden = true) HttpServletResponse response) throws IOException {
        Attachment.csv(response, "connectors.csv", ConnectorCsv.header(), ConnectorCsv.rows(connectors(null).stream()));
    }

    @GetMapping(path = "/schema.json", produces = "application/schema+json")
    @Operation(operationId = "catalogueSchema", summary = "JSON Schema of the JSON form")
    Resource schema() {
        return new ClassPathResource("schemas/catalogue-" + CatalogueFile.SCHEMA_VERSION + ".schema.json");
    }

    @Computation
    @PostMapping(path = "/imports/preview", consumes = MediaType.APPLICATION_JSON_VALUE)
    @Operation(
            operationId = "previewImport",
            summary = "What a file of cable types or connectors would bring; stores nothing")
    CatalogueImportResponse preview(@RequestBody CatalogueImportRequest request) {
        return imports.preview(request);
    }

    @PostMapping(path = "/imports", consumes = MediaType.APPLICATION_JSON_VALUE)
    @ResponseStatus(HttpStatus.CREATED)
    @Operation(operationId = "importTypes", summary = "Store what is wanted of a file, all of it or nothing")
    CatalogueImportResponse take(@RequestBody CatalogueImportRequest request) {
        return imports.take(request);
    }

    @DeleteMapping("/imports/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(operationId = "undoImport", summary = "Take an import back")
    void undo(@PathVariable UUID id) {
        imports.undo(id);
    }

    private List<CableType> chosen(List<String> keys) {
        Catalogue catalogue = catalogues.asStored();
        if (keys == null || keys.isEmpty()) {
            return catalogue.offered();
        }
        return keys.stream()
                .map(key -> catalogue
                        .cableType(key)
                        .orElseThrow(
                                () -> new InvalidRequestException("keys", "there is no cable type \"" + key + "\"")))
                .toList();
    }

    private List<Connector> connectors(List<String> typesNamed) {
        return typesNamed == null || typesNamed.isEmpty()
                ? catalogues.asStored().connectors().stream()
                        .filter(c -> !c.retired())
                        .toList()
                : List.of();
    }

    private static String attachment(String name) {
        return ContentDisposition.attachment().filename(name).build().toString();
    }
}
