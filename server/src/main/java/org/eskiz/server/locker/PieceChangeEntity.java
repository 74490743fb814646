package org.eskiz.server.locker;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import org.eskiz.server.operator.NameOf;
import org.hibernate.annotations.Formula;
import org.jspecify.annotations.Nullable;

@Entity
@Table(name = "piece_change")
class PieceChangeEntity {

    @Id
    UUID id;

    UUID pieceId;

    @Enumerated(EnumType.STRING)
    PieceChange kind;

    LocalDate changedOn;

    @Column(name = "length_before_m")
    Double lengthBeforeM;

    @Column(name = "length_after_m")
    Double lengthAfterM;

    String note;
    Instant storedAt;

    /** Null where nobody's name stands on it. */
    @Formula(NameOf.WHO_DID_IT)
    @Nullable
    String doneBy;

    protected PieceChangeEntity() {}

    static PieceChangeEntity of(UUID pieceId, PieceChangeRequest request, Instant now) {
        PieceChangeEntity change = new PieceChangeEntity();
        change.id = request.id();
        change.pieceId = pieceId;
        change.kind = request.kind();
        change.changedOn = request.on();
        change.note = request.note();
        change.storedAt = now;
        return change;
    }
}
