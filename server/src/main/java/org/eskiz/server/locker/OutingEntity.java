package org.eskiz.server.locker;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.LocalDate;
import java.util.UUID;
import org.eskiz.server.operator.NameOf;
import org.hibernate.annotations.Formula;
import org.jspecify.annotations.Nullable;

@Entity
@Table(name = "outing")
class OutingEntity {

    @Id
    UUID id;

    UUID pieceId;
    LocalDate takenOn;
    UUID takenByMovement;
    String takenTo;

    /** Null while it is out. */
    LocalDate putAwayOn;

    UUID putAwayByMovement;
    boolean wet;
    boolean frozen;
    boolean trodden;

    /** Who took it out; null where nobody's name stands on it. */
    @Formula(NameOf.WHO_DID_IT)
    @Nullable
    String takenBy;

    protected OutingEntity() {}

    static OutingEntity take(UUID pieceId, UUID movement, LocalDate on, String to) {
        OutingEntity outing = new OutingEntity();
        outing.id = UUID.randomUUID();
        outing.pieceId = pieceId;
        outing.takenByMovement = movement;
        outing.takenOn = on;
        outing.takenTo = to;
        return outing;
    }

    void putAway(UUID movement, LocalDate on) {
        putAwayByMovement = movement;
        putAwayOn = on;
    }

    void reopen() {
        putAway(null, null);
        bore(false, false, false);
    }

    void bore(boolean wet, boolean frozen, boolean trodden) {
        this.wet = wet;
        this.frozen = frozen;
        this.trodden = trodden;
    }

    boolean isHard() {
        return wet || frozen || trodden;
    }
}
