package org.eskiz.server.plan;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** How a plan was drawn small, and what that rested on. */
@Entity
@Table(name = "plan_sketch")
class PlanSketchEntity {

    @Id
    UUID planId;

    String stamp;

    /** Null where the plan could not be assessed as it stood. */
    @JdbcTypeCode(SqlTypes.JSON)
    String sketch;

    /** Of the cable in its run and the one that was chosen, in small letters; empty where there was none. */
    String words;

    protected PlanSketchEntity() {}

    boolean saysTheSame(PlanSketchEntity other) {
        return other != null && stamp.equals(other.stamp) && words.equals(other.words);
    }
}
