package org.eskiz.server.catalogue;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.UUID;
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
    UUID operatorId;

    String key;
    int position;
    String name;
    double impedanceOhm;

    @Column(name = "c1_db_per_sqrt_mhz")
    double c1DbPerSqrtMHz;

    @Column(name = "c2_db_per_mhz2")
    double c2DbPerMHz2;

    @Column(name = "max_mhz")
    double maxMHz;

    @Column(name = "peak_voltage_v")
    double peakVoltageV;

    boolean watertight;
    Double fitsLeastMm;
    Double fitsMostMm;
    BigDecimal price;

    @JdbcTypeCode(SqlTypes.CHAR)
    @Column(length = 3)
    String priceCurrency;

    String note;
    Instant retiredAt;

    ConnectorEntity() {}

    Connector connector() {
        double lossAtMHz = Math.min(USUAL_MHZ, maxMHz);
        var pair = new InsertionLoss.MatedPair(c1DbPerSqrtMHz, c2DbPerMHz2, maxMHz);
        return new Connector(
                key,
                name,
                impedanceOhm,
                c1DbPerSqrtMHz,
                c2DbPerMHz2,
                maxMHz,
                pair.lossDb(lossAtMHz),
                lossAtMHz,
                peakVoltageV,
                watertight,
                fitsLeastMm,
                fitsMostMm,
                price,
                priceCurrency,
                note,
                operatorId == null,
                retiredAt != null);
    }
}
