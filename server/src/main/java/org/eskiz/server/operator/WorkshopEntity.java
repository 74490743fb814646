package org.eskiz.server.operator;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

@Entity
@Table(name = "workshop")
class WorkshopEntity {

    @Id
    private UUID id;

    String name;
    private Instant createdAt;
    private Instant demoLoadedAt;

    protected WorkshopEntity() {}

    WorkshopEntity(UUID id, String name, Instant now) {
        this.id = id;
        this.name = name;
        this.createdAt = now;
    }
}
