package org.eskiz.server.plan;

import jakarta.persistence.CollectionTable;
import jakarta.persistence.Column;
import jakarta.persistence.ElementCollection;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.HashSet;
import java.util.Set;
import java.util.UUID;
import org.eskiz.server.operator.NameOf;
import org.hibernate.annotations.Formula;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;

/** A choice as it was made; never changed. */
@Entity
@Table(name = "decision")
class DecisionEntity {

    @Id
    UUID id;

    UUID workshopId;
    UUID planId;
    long planVersion;
    Instant decidedAt;
    String rowId;
    String cableName;
    String reason;

    @JdbcTypeCode(SqlTypes.JSON)
    String figures;

    String coreVersion;

    /** Null where nobody's name stands on it. */
    @Formula(NameOf.WHO_DID_IT)
    @Nullable
    String madeBy;

    @ElementCollection
    @CollectionTable(name = "decision_cable", joinColumns = @JoinColumn(name = "decision_id"))
    @Column(name = "revision_id")
    Set<UUID> cableRevisions = new HashSet<>();

    DecisionEntity() {}
}
