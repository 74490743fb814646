package org.eskiz.server.catalogue;

import static java.util.Objects.requireNonNullElse;

import jakarta.persistence.Column;
import jakarta.persistence.Embeddable;
import org.eskiz.core.cable.AveragePower;
import org.eskiz.server.problem.Within;
import org.jspecify.annotations.Nullable;

/**
 * What a type bears; null where it is not known.
 *
 * @param averagePowerW at the frequency and temperature given
 * @param ratedAtMHz 30 where it is not said
 * @param ratedAtC 40 where it is not said
 */
@Embeddable
public record Ratings(
        @Nullable @Within(what = "peak voltage in V", min = 1, max = 1e6) @Column(name = "peak_voltage_v")
        Double peakVoltageV,

        @Nullable @Within(what = "average power in W", min = 1e-3, max = 1e6) @Column(name = "average_power_w")
        Double averagePowerW,

        @Within(what = "frequency of the rating in MHz", min = 0.1, max = 30_000) @Column(name = "rated_at_mhz")
        Double ratedAtMHz,

        @Within(what = "temperature of the rating in °C", min = -60, max = 300) @Column(name = "rated_at_c")
        Double ratedAtC) {

    /** Of which nothing is known. */
    public static final Ratings UNKNOWN = new Ratings(null, null, null, null);

    public Ratings {
        ratedAtMHz = requireNonNullElse(ratedAtMHz, AveragePower.USUAL_FREQUENCY_MHZ);
        ratedAtC = requireNonNullElse(ratedAtC, AveragePower.USUAL_AMBIENT_C);
    }
}
