package org.eskiz.server.catalogue;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.util.List;
import org.eskiz.server.operator.OpenToVisitors;
import org.eskiz.server.problem.NotFoundException;
import org.eskiz.server.web.Computation;
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
@RequestMapping("/api")
@Tag(name = "catalogue")
class CatalogueController {

    private final CatalogueService catalogue;
    private final OwnCableService own;
    private final OwnConnectorService ownConnectors;
    private final CurveService curves;

    CatalogueController(
            CatalogueService catalogue, OwnCableService own, OwnConnectorService ownConnectors, CurveService curves) {
        this.catalogue = catalogue;
        this.own = own;
        this.ownConnectors = ownConnectors;
        this.curves = curves;
    }

    @GetMapping("/cable-types")
    @OpenToVisitors
    @Operation(operationId = "listCableTypes", summary = "All cable types, each at its newest revision")
    List<CableTypeResponse> cableTypes() {
        Catalogue current = catalogue.current();
        return current.cableTypes().stream()
                .map(t -> CableTypeResponse.of(t, current))
                .toList();
    }

    @GetMapping("/cable-types/{key}")
    @Operation(operationId = "getCableType", summary = "One cable type at its newest revision")
    CableTypeResponse cableType(@PathVariable String key) {
        Catalogue current = catalogue.current();
        return current.cableType(key)
                .map(t -> CableTypeResponse.of(t, current))
                .orElseThrow(() -> new NotFoundException("cable type", key));
    }

    @GetMapping("/cable-types/{key}/revisions")
    @Operation(operationId = "listCableTypeRevisions", summary = "Everything a cable type ever was, newest first")
    List<CableTypeResponse> revisions(@PathVariable String key) {
        Catalogue current = catalogue.current();
        return catalogue.history(key).stream()
                .map(t -> CableTypeResponse.of(t, current))
                .toList();
    }

    @GetMapping("/cable-losses")
    @Operation(operationId = "listCableLosses", summary = "What every type loses at a frequency and 20 °C")
    List<CurvesResponse.CableLossResponse> losses(@RequestParam(defaultValue = "145") double atMHz) {
        return curves.losses(atMHz);
    }

    @Computation
    @PostMapping(path = "/cable-types/curves", consumes = MediaType.APPLICATION_JSON_VALUE)
    @Operation(operationId = "drawCurves", summary = "What some types lose and bear over frequency")
    CurvesResponse curves(@RequestBody CurvesRequest request) {
        return curves.draw(request);
    }

    @PostMapping(path = "/cable-types", consumes = MediaType.APPLICATION_JSON_VALUE)
    @ResponseStatus(HttpStatus.CREATED)
    @Operation(operationId = "createCableType", summary = "Store a cable type of one's own")
    CableTypeResponse create(@RequestBody CableTypeRequest request) {
        return answer(own.createOnce(request));
    }

    @PutMapping(path = "/cable-types/{key}", consumes = MediaType.APPLICATION_JSON_VALUE)
    @Operation(
            operationId = "saveCableType",
            summary = "Say something else of a type of one's own: a new revision; 409 when it changed meanwhile")
    CableTypeResponse save(@PathVariable String key, @RequestBody CableTypeRequest request) {
        return answer(own.change(key, request));
    }

    @PostMapping("/cable-types/{key}/retirement")
    @Operation(operationId = "retireCableType", summary = "Offer a type of one's own no more; plans keep it")
    CableTypeResponse retire(@PathVariable String key) {
        return answer(own.retire(key, true));
    }

    @DeleteMapping("/cable-types/{key}/retirement")
    @Operation(operationId = "offerCableType", summary = "Offer a retired type again")
    CableTypeResponse offer(@PathVariable String key) {
        return answer(own.retire(key, false));
    }

    @PutMapping("/cable-types/{key}/favourite")
    @Operation(operationId = "favourCableType", summary = "Have a type at the top")
    CableTypeResponse favour(@PathVariable String key) {
        return answer(own.favour(key, true));
    }

    @DeleteMapping("/cable-types/{key}/favourite")
    @Operation(operationId = "unfavourCableType", summary = "Have it at the top no more")
    CableTypeResponse unfavour(@PathVariable String key) {
        return answer(own.favour(key, false));
    }

    private CableTypeResponse answer(String key) {
        return cableType(key);
    }

    @GetMapping("/connectors")
    @OpenToVisitors
    @Operation(operationId = "listConnectors", summary = "All connectors, typical figures of a mated pair")
    List<Connector> connectors() {
        return catalogue.current().connectors();
    }

    @GetMapping("/connectors/{key}/revisions")
    @Operation(operationId = "listConnectorRevisions", summary = "Everything a connector ever was, newest first")
    List<Connector> connectorRevisions(@PathVariable String key) {
        return ownConnectors.history(key);
    }

    @PostMapping(path = "/connectors", consumes = MediaType.APPLICATION_JSON_VALUE)
    @ResponseStatus(HttpStatus.CREATED)
    @Operation(operationId = "createConnector", summary = "Store a connector of one's own")
    Connector create(@RequestBody ConnectorRequest request) {
        return ownConnectors.createOnce(request);
    }

    @PutMapping(path = "/connectors/{key}", consumes = MediaType.APPLICATION_JSON_VALUE)
    @Operation(operationId = "saveConnector", summary = "Say something else of a connector of one's own")
    Connector save(@PathVariable String key, @RequestBody ConnectorRequest request) {
        return ownConnectors.change(key, request);
    }

    @PostMapping("/connectors/{key}/retirement")
    @Operation(operationId = "retireConnector", summary = "Offer a connector of one's own no more; plans keep it")
    Connector retireConnector(@PathVariable String key) {
        return ownConnectors.retire(key, true);
    }

    @DeleteMapping("/connectors/{key}/retirement")
    @Operation(operationId = "offerConnector", summary = "Offer a retired connector again")
    Connector offerConnector(@PathVariable String key) {
        return ownConnectors.retire(key, false);
    }
}
