package org.eskiz.server.plan;

import jakarta.persistence.CollectionTable;
import jakarta.persistence.Column;
import jakarta.persistence.ElementCollection;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.HashSet;
import java.util.Set;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

@Entity
@Table(name = "plan")
class PlanEntity {

    @Id
    UUID id;

    UUID workshopId;
    String site;
    String name;

    /** Counted by Hibernate, which also puts it into the WHERE clause of every update. */
    @Version
    Long version;

    @JdbcTypeCode(SqlTypes.JSON)
    String document;

    boolean demo;
    Instant createdAt;
    Instant updatedAt;
    Instant deletedAt;

    @ElementCollection
    @CollectionTable(name = "plan_uses", joinColumns = @JoinColumn(name = "plan_id"))
    @Column(name = "cable_type_id")
    Set<UUID> uses = new HashSet<>();

    /** Pieces of the locker that lie in its run. */
    @ElementCollection
    @CollectionTable(name = "plan_piece", joinColumns = @JoinColumn(name = "plan_id"))
    @Column(name = "piece_id")
    Set<UUID> pieces = new HashSet<>();

    protected PlanEntity() {}

    static PlanEntity create(UUID id, UUID workshopId, boolean demo, Instant now) {
        PlanEntity plan = new PlanEntity();
        plan.id = id;
        plan.workshopId = workshopId;
        plan.demo = demo;
        plan.createdAt = now;
        plan.updatedAt = now;
        return plan;
    }
}
