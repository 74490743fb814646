package org.eskiz.server.device;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.NullUnmarked;

@Entity
@Table(name = "own_device")
@NullUnmarked
class DeviceEntity {

    @Id
    UUID id;

    UUID workshopId;

    @Version
    Long version;

    String name;

    @JdbcTypeCode(SqlTypes.JSON)
    String element;

    Instant createdAt;
    Instant deletedAt;

    protected DeviceEntity() {}

    static DeviceEntity create(UUID id, UUID workshopId, Instant now) {
        DeviceEntity device = new DeviceEntity();
        device.id = id;
        device.workshopId = workshopId;
        device.createdAt = now;
        return device;
    }
}
