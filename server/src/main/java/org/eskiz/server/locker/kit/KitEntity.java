package org.eskiz.server.locker.kit;

import jakarta.persistence.CollectionTable;
import jakarta.persistence.ElementCollection;
import jakarta.persistence.Embeddable;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.OrderColumn;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

@Entity
@Table(name = "kit")
class KitEntity {

    @Id
    UUID id;

    UUID workshopId;
    boolean demo;

    @Version
    Long version;

    String name;
    String note;

    @JdbcTypeCode(SqlTypes.JSON)
    String adapters;

    Instant createdAt;
    Instant deletedAt;

    @ElementCollection
    @CollectionTable(name = "kit_piece", joinColumns = @JoinColumn(name = "kit_id"))
    @OrderColumn(name = "position")
    List<Packed> pieces = new ArrayList<>();

    protected KitEntity() {}

    static KitEntity create(UUID id, UUID workshopId, boolean demo, Instant now) {
        KitEntity kit = new KitEntity();
        kit.id = id;
        kit.workshopId = workshopId;
        kit.demo = demo;
        kit.createdAt = now;
        return kit;
    }

    /** A piece that goes with it. */
    @Embeddable
    record Packed(UUID pieceId, boolean turned, boolean spare) {}
}
