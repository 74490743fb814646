package org.eskiz.server.catalogue;

import static java.util.Objects.requireNonNullElse;

import jakarta.persistence.CollectionTable;
import jakarta.persistence.Column;
import jakarta.persistence.ElementCollection;
import jakarta.persistence.Embeddable;
import jakarta.persistence.Embedded;
import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.OrderBy;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;

/** Immutable once stored; the database refuses any change. */
@Entity
@Table(name = "cable_type_revision")
class CableTypeRevisionEntity {

    @Id
    UUID id;

    @ManyToOne(fetch = FetchType.LAZY, optional = false)
    @JoinColumn(name = "cable_type_id")
    CableTypeEntity type;

    int number;
    Instant createdAt;
    String name;
    String family;

    @Embedded
    Source source;

    @Embedded
    Construction construction;

    /** Null where nothing of it is known, as Hibernate reads columns that are all empty. */
    @Embedded
    Mechanics mechanics;

    @Embedded
    Ratings ratings;

    @Embedded
    Price price;

    String note;

    @ElementCollection
    @CollectionTable(name = "attenuation_point", joinColumns = @JoinColumn(name = "revision_id"))
    @OrderBy("frequencyMHz")
    List<AttenuationPointValue> points = new ArrayList<>();

    CableTypeRevisionEntity() {}

    /** What somebody says of a type; without type, number and moment. */
    static CableTypeRevisionEntity of(CableTypeRequest request) {
        CableTypeRevisionEntity r = new CableTypeRevisionEntity();
        r.name = request.name();
        r.family = requireNonNullElse(request.family(), "of my own");
        r.source = request.source();
        r.construction = request.construction();
        r.mechanics = request.mechanics();
        r.ratings = request.ratings();
        r.price = request.price().price();
        r.note = request.note();
        request.points().stream()
                .map(p -> new AttenuationPointValue(p.frequencyMHz(), p.attenuationDbPer100m()))
                .forEach(r.points::add);
        return r;
    }

    /** Its place in a type's history. */
    CableTypeRevisionEntity placed(CableTypeEntity ofType, int at, Instant moment) {
        id = UUID.randomUUID();
        type = ofType;
        number = at;
        createdAt = moment;
        return this;
    }

    /** One row of a data sheet as it is stored. */
    @Embeddable
    record AttenuationPointValue(
            @Column(name = "frequency_mhz") double frequencyMHz,
            @Column(name = "attenuation_db_per_100m") double attenuationDbPer100m) {}
}
