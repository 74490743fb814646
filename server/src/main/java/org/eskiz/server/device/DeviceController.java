package org.eskiz.server.device;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/devices")
@Tag(name = "devices")
class DeviceController {

    private final DeviceService devices;

    DeviceController(DeviceService devices) {
        this.devices = devices;
    }

    @GetMapping
    @Operation(operationId = "listDevices", summary = "Devices of one's own, by name")
    List<DeviceResponse> list() {
        return devices.list();
    }

    @PostMapping(consumes = MediaType.APPLICATION_JSON_VALUE)
    @ResponseStatus(HttpStatus.CREATED)
    @Operation(operationId = "createDevice", summary = "Store a new device under an id made by the client")
    DeviceResponse create(@RequestBody DeviceRequest request) {
        return devices.create(request);
    }

    @PutMapping(path = "/{id}", consumes = MediaType.APPLICATION_JSON_VALUE)
    @Operation(
            operationId = "saveDevice",
            summary = "Say something else of a device; plans that have it stay as they are")
    DeviceResponse save(@PathVariable UUID id, @RequestBody DeviceRequest request) {
        return devices.save(id, request);
    }

    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(
            operationId = "deleteDevice",
            summary = "Take a device out of the library; plans that have it stay as they are")
    void delete(@PathVariable UUID id) {
        devices.delete(id);
    }

    @PostMapping("/{id}/restore")
    @Operation(operationId = "restoreDevice", summary = "Put a device back that was taken out")
    DeviceResponse restore(@PathVariable UUID id) {
        return devices.restore(id);
    }
}
