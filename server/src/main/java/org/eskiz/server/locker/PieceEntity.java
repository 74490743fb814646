package org.eskiz.server.locker;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Optional;
import java.util.UUID;
import org.eskiz.core.bench.EarlierOutings;
import org.eskiz.core.kit.End;
import org.eskiz.server.operator.NameOf;
import org.hibernate.annotations.Formula;
import org.jspecify.annotations.Nullable;

@Entity
@Table(name = "piece")
class PieceEntity {

    @Id
    UUID id;

    UUID workshopId;
    boolean demo;

    @Version
    Long version;

    String label;
    UUID cableTypeId;

    @Column(name = "length_m")
    double lengthM;

    String nearConnector;

    @Enumerated(EnumType.STRING)
    End.Gender nearGender;

    String farConnector;

    @Enumerated(EnumType.STRING)
    End.Gender farGender;

    LocalDate boughtOn;
    BigDecimal price;
    String priceCurrency;
    String keptAt;
    String note;
    LocalDate retiredOn;
    Integer earlierOutings;
    Integer earlierHardOutings;
    LocalDate earlierFrom;
    LocalDate earlierUntil;
    Instant createdAt;
    Instant deletedAt;

    /** Counted up by the database with whatever becomes known of it. */
    @Column(insertable = false, updatable = false)
    long touched;

    /** Who has it out; null while it is in, and where nobody's name stands on it. */
    @Formula("(select max(" + NameOf.OPERATOR + ") from outing u join operator o on o.id = u.done_by"
            + " where u.piece_id = id and u.put_away_on is null)")
    @Nullable
    String outBy;

    protected PieceEntity() {}

    static PieceEntity create(UUID id, UUID workshopId, boolean demo, Instant now) {
        PieceEntity piece = new PieceEntity();
        piece.id = id;
        piece.workshopId = workshopId;
        piece.demo = demo;
        piece.createdAt = now;
        return piece;
    }

    Optional<End> near() {
        return nearConnector == null ? Optional.empty() : Optional.of(new End(nearConnector, nearGender));
    }

    Optional<End> far() {
        return farConnector == null ? Optional.empty() : Optional.of(new End(farConnector, farGender));
    }

    /** Outings that were not noted one by one. */
    Optional<EarlierOutings> earlier() {
        return earlierOutings == null
                ? Optional.empty()
                : Optional.of(new EarlierOutings(earlierOutings, earlierHardOutings, earlierFrom, earlierUntil));
    }

    void earlier(Optional<EarlierOutings> earlier) {
        earlierOutings = earlier.map(EarlierOutings::count).orElse(null);
        earlierHardOutings = earlier.map(EarlierOutings::hard).orElse(null);
        earlierFrom = earlier.map(EarlierOutings::from).orElse(null);
        earlierUntil = earlier.map(EarlierOutings::until).orElse(null);
    }

    /** The day from which it counts: of its purchase, or else of its entry. */
    LocalDate since() {
        return boughtOn == null ? createdAt.atZone(ZoneOffset.UTC).toLocalDate() : boughtOn;
    }
}
