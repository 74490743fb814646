package org.eskiz.server.plan;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.io.Serializable;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** A plan as it was saved once; never changed. */
@Entity
@Table(name = "plan_revision")
class PlanRevisionEntity {

    @EmbeddedId
    Key key;

    String site;
    String name;

    @JdbcTypeCode(SqlTypes.JSON)
    String document;

    Instant savedAt;

    protected PlanRevisionEntity() {}

    static PlanRevisionEntity of(PlanEntity plan, long version) {
        PlanRevisionEntity revision = new PlanRevisionEntity();
        revision.key = new Key(plan.id, version);
        revision.site = plan.site;
        revision.name = plan.name;
        revision.document = plan.document;
        revision.savedAt = plan.updatedAt;
        return revision;
    }

    @Embeddable
    record Key(UUID planId, long version) implements Serializable {}
}
