package org.eskiz.server.catalogue;

import jakarta.persistence.CollectionTable;
import jakarta.persistence.Column;
import jakarta.persistence.ElementCollection;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.FetchType;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.OrderBy;
import jakarta.persistence.Table;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.eskiz.core.cable.AveragePower;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

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

    @Enumerated(EnumType.STRING)
    Provenance provenance;

    double impedanceOhm;
    double velocityFactor;
    boolean balanced;
    Double outerDiameterMm;

    @Column(name = "mass_g_per_m")
    Double massGPerM;

    Double bendRadiusOnceMm;
    Double bendRadiusRepeatedMm;
    String jacket;
    String centreConductor;
    String shield;
    String dielectric;

    @Column(name = "min_install_c")
    Double minInstallC;

    @Column(name = "min_operating_c")
    Double minOperatingC;

    @Column(name = "max_operating_c")
    Double maxOperatingC;

    Boolean directBurial;
    Boolean sunResistant;

    @Enumerated(EnumType.STRING)
    Flexing flexing;

    @Column(name = "peak_voltage_v")
    Double peakVoltageV;

    @Column(name = "average_power_w")
    Double averagePowerW;

    @Column(name = "rated_at_mhz")
    double ratedAtMHz = AveragePower.USUAL_FREQUENCY_MHZ;

    @Column(name = "rated_at_c")
    double ratedAtC = AveragePower.USUAL_AMBIENT_C;

    @Column(name = "price_per_m")
    BigDecimal pricePerM;

    @JdbcTypeCode(SqlTypes.CHAR)
    @Column(length = 3)
    String priceCurrency;

    boolean priceIsSample;
    LocalDate pricedOn;

    @Column(name = "sold_in_m")
    Double soldInM;

    String sourceTitle;
    LocalDate sourceDate;

    /** Null where it is that of the attenuation. */
    @Enumerated(EnumType.STRING)
    Provenance mechanicsProvenance;

    @Enumerated(EnumType.STRING)
    Provenance ratingsProvenance;

    String note;

    @ElementCollection
    @CollectionTable(name = "attenuation_point", joinColumns = @JoinColumn(name = "revision_id"))
    @OrderBy("frequencyMHz")
    List<AttenuationPointValue> points = new ArrayList<>();

    CableTypeRevisionEntity() {}
}
