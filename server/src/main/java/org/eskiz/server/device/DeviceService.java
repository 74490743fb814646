package org.eskiz.server.device;

import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.eskiz.server.catalogue.CatalogueService;
import org.eskiz.server.document.DocumentValidator;
import org.eskiz.server.document.RunElement;
import org.eskiz.server.operator.WorkshopService;
import org.eskiz.server.problem.ConflictException;
import org.eskiz.server.problem.InvalidRequestException;
import org.eskiz.server.problem.NotFoundException;
import org.eskiz.server.problem.ValidationErrors;
import org.eskiz.server.store.IdempotentStore;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** Keeps the operator's own devices. */
@Service
class DeviceService {

    /** More of them nobody tells apart by their names. */
    private static final int MOST = 500;

    private final DeviceRepository devices;
    private final CatalogueService catalogues;
    private final WorkshopService workshops;
    private final IdempotentStore store;
    private final JsonMapper json;
    private final Clock clock;

    DeviceService(
            DeviceRepository devices,
            CatalogueService catalogues,
            WorkshopService workshops,
            IdempotentStore store,
            JsonMapper json,
            Clock clock) {
        this.devices = devices;
        this.catalogues = catalogues;
        this.workshops = workshops;
        this.store = store;
        this.json = json;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    List<DeviceResponse> list() {
        return devices.findByWorkshopIdAndDeletedAtIsNullOrderByNameAscIdAsc(workshops.current()).stream()
                .map(this::response)
                .toList();
    }

    /** Stores a new device under the client's id; sent again, it answers what is stored. */
    DeviceResponse create(DeviceRequest request) {
        check(request);
        if (request.id() == null) {
            throw new InvalidRequestException("id", "must be given: the client makes it");
        }
        return store.createOrRepeat(() -> stored(request.id()).map(this::response), () -> {
            if (devices.countByWorkshopIdAndDeletedAtIsNull(workshops.current()) >= MOST) {
                throw new InvalidRequestException("id", MOST + " devices are kept at most: delete one first");
            }
            DeviceEntity device = DeviceEntity.create(request.id(), workshops.current(), Instant.now(clock));
            return write(device, request);
        });
    }

    /**
     * Says something else of a device; plans that have it stay as they are.
     *
     * @throws ConflictException when it was changed since it was read
     */
    DeviceResponse save(UUID id, DeviceRequest request) {
        check(request);
        return store.change(
                () -> {
                    DeviceEntity device = existing(id);
                    if (!device.version.equals(request.version())) {
                        throw changed(id);
                    }
                    return write(device, request);
                },
                () -> changed(id));
    }

    @Transactional
    void delete(UUID id) {
        existing(id).deletedAt = Instant.now(clock);
    }

    @Transactional
    DeviceResponse restore(UUID id) {
        DeviceEntity device = stored(id).orElseThrow(() -> new NotFoundException("device", id));
        device.deletedAt = null;
        return response(device);
    }

    private DeviceResponse write(DeviceEntity device, DeviceRequest request) {
        device.name = request.name().strip();
        device.element = json.writeValueAsString(request.element());
        devices.save(device);
        devices.flush();
        return response(device);
    }

    private void check(DeviceRequest request) {
        ValidationErrors errors = ValidationErrors.in(request);
        if (request.element() instanceof RunElement.Line || request.element() instanceof RunElement.Joint) {
            errors.add(
                    "element.kind",
                    "must be DEVICE, PREAMPLIFIER, FORK or TRANSFORMER: cables and connectors have sheets of their own");
        } else if (request.element() != null) {
            new DocumentValidator(catalogues.current(), errors).complete("element", request.element());
        }
        errors.throwIfAny();
    }

    private Optional<DeviceEntity> stored(UUID id) {
        return devices.findByIdAndWorkshopId(id, workshops.current());
    }

    private DeviceEntity existing(UUID id) {
        return stored(id).filter(d -> d.deletedAt == null).orElseThrow(() -> new NotFoundException("device", id));
    }

    private ConflictException changed(UUID id) {
        return new ConflictException("the device was changed meanwhile", response(existing(id)));
    }

    private DeviceResponse response(DeviceEntity device) {
        return new DeviceResponse(
                device.id, device.version, device.name, json.readValue(device.element, RunElement.class));
    }
}
