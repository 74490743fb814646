package org.eskiz.server.catalogue;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

@Entity
@Table(name = "cable_type")
class CableTypeEntity {

    @Id
    UUID id;

    UUID workshopId;
    String key;
    int position;
    Instant createdAt;
    Instant retiredAt;

    protected CableTypeEntity() {}

    /** A type of an operator's own; they stand behind the built-in ones, in the order in which they came. */
    static CableTypeEntity own(UUID workshopId, String key, int position, Instant now) {
        CableTypeEntity type = builtIn(key, position, now);
        type.workshopId = workshopId;
        return type;
    }

    static CableTypeEntity builtIn(String key, int position, Instant now) {
        CableTypeEntity type = new CableTypeEntity();
        type.id = UUID.randomUUID();
        type.key = key;
        type.position = position;
        type.createdAt = now;
        return type;
    }
}
