package org.eskiz.server.device;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Devices on their way into and out of files, within the caller's transaction. */
@Service
public class DeviceTransfer {

    private final DeviceService devices;

    DeviceTransfer(DeviceService devices) {
        this.devices = devices;
    }

    /** Every device, by its name. */
    @Transactional(readOnly = true)
    public List<DeviceRequest> all() {
        return devices.list().stream().map(DeviceTransfer::request).toList();
    }

    /** Every device by its id. */
    @Transactional(readOnly = true)
    public Map<UUID, DeviceRequest> byId() {
        return devices.list().stream().collect(Collectors.toMap(DeviceResponse::id, DeviceTransfer::request));
    }

    private static DeviceRequest request(DeviceResponse d) {
        return new DeviceRequest(d.id(), null, d.name(), d.element());
    }

    @Transactional
    public void add(DeviceRequest device) {
        devices.create(device);
    }

    @Transactional
    public void replace(DeviceRequest device) {
        long version = devices.list().stream()
                .filter(d -> d.id().equals(device.id()))
                .findFirst()
                .orElseThrow()
                .version();
        devices.save(device.id(), new DeviceRequest(null, version, device.name(), device.element()));
    }
}
