package org.eskiz.server.catalogue;

import jakarta.persistence.Column;
import jakarta.persistence.Embeddable;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import org.eskiz.server.problem.Within;
import org.jspecify.annotations.Nullable;

/** What can be held in the hand, and where it may lie; null where it is not known. */
@Embeddable
public record Mechanics(
        @Nullable @Within(what = "outer diameter in mm", min = 0.1, max = 1000)
        Double outerDiameterMm,

        @Nullable @Within(what = "mass in g per m", min = 0.1, max = 100_000) @Column(name = "mass_g_per_m")
        Double massGPerM,

        @Nullable @Within(what = RADIUS, min = 0.1, max = 1e5)
        Double bendRadiusOnceMm,

        @Nullable @Within(what = RADIUS, min = 0.1, max = 1e5)
        Double bendRadiusRepeatedMm,

        @Nullable @Within(what = TEMPERATURE, min = -100, max = 400) @Column(name = "min_install_c")
        Double minInstallC,

        @Nullable @Within(what = TEMPERATURE, min = -100, max = 400) @Column(name = "min_operating_c")
        Double minOperatingC,

        @Nullable @Within(what = TEMPERATURE, min = -100, max = 400) @Column(name = "max_operating_c")
        Double maxOperatingC,

        @Nullable Boolean directBurial,
        @Nullable Boolean sunResistant,
        @Nullable @Enumerated(EnumType.STRING) Flexing flexing) {

    private static final String RADIUS = "bend radius in mm";
    private static final String TEMPERATURE = "temperature in °C";

    /** Of which nothing is known. */
    public static final Mechanics UNKNOWN = new Mechanics(null, null, null, null, null, null, null, null, null, null);

    /** How often a cable may be bent. */
    public enum Flexing {
        /** Once, when it is laid. */
        FIXED,
        /** Now and then. */
        OCCASIONAL,
        /** Again and again. */
        REPEATED
    }
}
