package org.eskiz.server.locker.kit;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.util.List;
import java.util.UUID;
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
@RequestMapping("/api/locker")
@Tag(name = "locker")
class KitController {

    private final KitService kits;
    private final KitLosses losses;
    private final KitSearchService finder;

    KitController(KitService kits, KitLosses losses, KitSearchService finder) {
        this.kits = kits;
        this.losses = losses;
        this.finder = finder;
    }

    @GetMapping("/kits")
    @Operation(operationId = "listKits", summary = "Kits that are kept, by name")
    List<KitResponse> list() {
        return kits.list();
    }

    @GetMapping("/kit-losses")
    @Operation(operationId = "listKitLosses", summary = "What every kit that is kept loses at a frequency, by name")
    List<KitLossResponse> losses(@RequestParam(defaultValue = "145") double atMHz) {
        return losses.at(atMHz);
    }

    @PostMapping(path = "/kits", consumes = MediaType.APPLICATION_JSON_VALUE)
    @ResponseStatus(HttpStatus.CREATED)
    @Operation(operationId = "createKit", summary = "Store a new kit under an id made by the client")
    KitResponse create(@RequestBody KitRequest request) {
        return kits.create(request);
    }

    @PutMapping(path = "/kits/{id}", consumes = MediaType.APPLICATION_JSON_VALUE)
    @Operation(operationId = "saveKit", summary = "Say something else of a kit")
    KitResponse save(@PathVariable UUID id, @RequestBody KitRequest request) {
        return kits.save(id, request);
    }

    @DeleteMapping("/kits/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(operationId = "deleteKit", summary = "Unpack a kit; its pieces stay in the locker")
    void delete(@PathVariable UUID id) {
        kits.delete(id);
    }

    @PostMapping("/kits/{id}/restore")
    @Operation(operationId = "restoreKit", summary = "Pack a kit again that was unpacked")
    KitResponse restore(@PathVariable UUID id) {
        return kits.restore(id);
    }

    @Computation
    @PostMapping(path = "/kit-searches", consumes = MediaType.APPLICATION_JSON_VALUE)
    @Operation(operationId = "searchKits", summary = "The best kits of owned pieces for a run; stores nothing")
    KitSearchResponse search(@RequestBody KitSearchRequest request) {
        return finder.search(request);
    }
}
