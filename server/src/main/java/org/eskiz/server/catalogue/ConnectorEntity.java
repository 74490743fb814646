package org.eskiz.server.catalogue;

import jakarta.persistence.CollectionTable;
import jakarta.persistence.Column;
import jakarta.persistence.ElementCollection;
import jakarta.persistence.Embeddable;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.eskiz.core.cable.InsertionLoss;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

@Entity
@Table(name = "connector")
class ConnectorEntity {

    /** Where connectors are compared, if they are made for it. */
    private static final double USUAL_MHZ = 1000;

    @Id
    UUID id;

    /** Null for what came with Eskiz. */
    UUID workshopId;

    @Version
    int version;

    String key;
    int position;
    String name;
    Double impedanceOhm;

    @Column(name = "c1_db_per_sqrt_mhz")
    double c1DbPerSqrtMHz;

    @Column(name = "c2_db_per_mhz2")
    double c2DbPerMHz2;

    Double bumpOhm;
    Double bumpMm;

    @Column(name = "max_mhz")
    double maxMHz;

    @Column(name = "peak_voltage_v")
    double peakVoltageV;

    @Column(name = "average_power_w")
    Double averagePowerW;

    @Column(name = "rated_at_mhz")
    Double ratedAtMHz;

    boolean watertight;
    Double fitsLeastMm;
    Double fitsMostMm;
    BigDecimal price;

    @JdbcTypeCode(SqlTypes.CHAR)
    @Column(length = 3)
    String priceCurrency;

    LocalDate pricedOn;
    String note;
    Instant retiredAt;

    /** What it said before each change. */
    @ElementCollection
    @CollectionTable(name = "connector_revision", joinColumns = @JoinColumn(name = "connector_id"))
    Set<EarlierRevision> earlier = new HashSet<>();

    ConnectorEntity() {}

    /** Says what another says, and stays who it is; what it said is kept. To say the same again changes nothing. */
    void sayInstead(ConnectorEntity other, Instant now) {
        ConnectorRequest said = said();
        other.key = key;
        if (!said.equals(other.said())) {
            earlier.add(new EarlierRevision(version, now, said));
            takeOver(other);
        }
    }

    private ConnectorRequest said() {
        return ConnectorRequest.of(connector());
    }

    /** Everything it ever was, newest first. */
    List<Connector> history() {
        return Stream.concat(
                        Stream.of(connector()),
                        earlier.stream()
                                .sorted(Comparator.comparing(EarlierRevision::number)
                                        .reversed())
                                .map(this::asItWas))
                .toList();
    }

    private Connector asItWas(EarlierRevision revision) {
        ConnectorEntity then = OwnConnectorService.entity(revision.said());
        then.workshopId = workshopId;
        then.key = key;
        then.version = revision.number();
        then.retiredAt = retiredAt;
        return then.connector();
    }

    private void takeOver(ConnectorEntity other) {
        name = other.name;
        impedanceOhm = other.impedanceOhm;
        c1DbPerSqrtMHz = other.c1DbPerSqrtMHz;
        c2DbPerMHz2 = other.c2DbPerMHz2;
        bumpOhm = other.bumpOhm;
        bumpMm = other.bumpMm;
        maxMHz = other.maxMHz;
        peakVoltageV = other.peakVoltageV;
        averagePowerW = other.averagePowerW;
        ratedAtMHz = other.ratedAtMHz;
        watertight = other.watertight;
        fitsLeastMm = other.fitsLeastMm;
        fitsMostMm = other.fitsMostMm;
        price = other.price;
        priceCurrency = other.priceCurrency;
        pricedOn = other.pricedOn;
        note = other.note;
    }

    Connector connector() {
        double lossAtMHz = Math.min(USUAL_MHZ, maxMHz);
        var pair = new InsertionLoss.MatedPair(c1DbPerSqrtMHz, c2DbPerMHz2, maxMHz);
        return new Connector(
                key,
                version,
                name,
                impedanceOhm,
                c1DbPerSqrtMHz,
                c2DbPerMHz2,
                bumpOhm,
                bumpMm,
                maxMHz,
                pair.lossDb(lossAtMHz),
                lossAtMHz,
                peakVoltageV,
                averagePowerW,
                ratedAtMHz,
                watertight,
                fitsLeastMm,
                fitsMostMm,
                price,
                priceCurrency,
                // what came with Eskiz has invented prices only
                workshopId == null && price != null,
                pricedOn,
                note,
                workshopId == null,
                retiredAt != null);
    }

    /** One as it is stored. */
    @Embeddable
    record EarlierRevision(
            int number,
            Instant replacedAt,
            @JdbcTypeCode(SqlTypes.JSON) ConnectorRequest said) {}
}
