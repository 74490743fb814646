package org.eskiz.server.operator;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

@Entity
@Table(name = "workshop_settings")
class WorkshopSettingsEntity {

    @Id
    UUID workshopId;

    @Version
    Long version;

    @JdbcTypeCode(SqlTypes.JSON)
    String document;

    Instant updatedAt;

    protected WorkshopSettingsEntity() {}

    WorkshopSettingsEntity(UUID workshopId) {
        this.workshopId = workshopId;
    }
}
