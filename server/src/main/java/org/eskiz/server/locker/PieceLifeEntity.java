package org.eskiz.server.locker;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.LocalDate;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** What is known of a piece in short, and what lists are searched and put in order by. */
@Entity
@Table(name = "piece_life")
class PieceLifeEntity {

    @Id
    UUID pieceId;

    UUID workshopId;
    long touched;
    String basis;

    @JdbcTypeCode(SqlTypes.JSON)
    String life;

    boolean demo;
    UUID cableTypeId;

    @Column(name = "length_m")
    double lengthM;

    String labelKey;
    String words;
    boolean isOut;
    boolean isRetired;
    boolean isFailing;
    LocalDate dueOn;

    /** Null where it is not worth a word. */
    LocalDate wellAgedOn;

    /** Of {@link PieceListQuery#URGENCIES} by its place, on the day that was last looked at. */
    int urgency;

    protected PieceLifeEntity() {}
}
