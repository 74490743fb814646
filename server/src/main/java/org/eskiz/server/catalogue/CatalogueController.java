package org.eskiz.server.catalogue;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api")
@Tag(name = "catalogue")
class CatalogueController {

    private final CatalogueService catalogue;

    CatalogueController(CatalogueService catalogue) {
        this.catalogue = catalogue;
    }

    @GetMapping("/cable-types")
    @Operation(operationId = "listCableTypes", summary = "All cable types, each at its newest revision")
    List<CableTypeResponse> cableTypes() {
        return catalogue.current().cableTypes().stream()
                .map(CableTypeResponse::of)
                .toList();
    }

    @GetMapping("/cable-types/{key}")
    @Operation(operationId = "getCableType", summary = "One cable type at its newest revision")
    CableTypeResponse cableType(@PathVariable String key) {
        return CableTypeResponse.of(catalogue.history(key).get(0));
    }

    @GetMapping("/cable-types/{key}/revisions")
    @Operation(operationId = "listCableTypeRevisions", summary = "Everything a cable type ever was, newest first")
    List<CableTypeResponse> revisions(@PathVariable String key) {
        return catalogue.history(key).stream().map(CableTypeResponse::of).toList();
    }

    @GetMapping("/connectors")
    @Operation(operationId = "listConnectors", summary = "All connectors, typical figures of a mated pair")
    List<Connector> connectors() {
        return catalogue.current().connectors();
    }
}
