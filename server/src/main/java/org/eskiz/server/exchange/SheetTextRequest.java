package org.eskiz.server.exchange;

import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import org.eskiz.server.problem.PlainText;
import org.eskiz.server.problem.Within;

/**
 * A table of attenuation as somebody copied it, and what is known of the cable.
 *
 * @param text at most a million characters
 * @param lossPer what the losses are per; null to take what a header says, or per 100 m
 * @param frequencyUnit null to take what a header says, or MHz
 * @param lossColumn which column the losses are in, from 1, the frequencies being the first; of a table on its side which line;
 *     null to take the one whose heading says per 100 m, or the next
 * @param swapped whether the losses stand before the frequencies
 * @param impedanceOhm for what copper allows; null where not known
 * @param velocityFactor likewise
 * @param outerDiameterMm likewise
 */
public record SheetTextRequest(
        @NotNull(message = "must be given") @Size(max = 1_000_000, message = "must be at most {max} characters")
        String text,

        LossPer lossPer,
        FrequencyUnit frequencyUnit,

        @Within(what = "column of the losses", min = 2, max = 100)
        Integer lossColumn,

        Boolean swapped,

        @Within(what = "impedance in Ω", min = 1, max = 2000)
        Double impedanceOhm,

        @Within(what = "velocity factor", min = 0.3, max = 1)
        Double velocityFactor,

        @Within(what = "outer diameter in mm", min = 0.1, max = 1000)
        Double outerDiameterMm,

        @Within(what = "bore of the shield in mm", min = 0.1, max = 1000)
        Double shieldBoreMm,

        @PlainText(max = 60) String shield) {

    /** The usual lengths that a loss is stated for. */
    public enum LossPer {
        PER_KM(0.1),
        PER_1000_FT(0.1 / 0.3048),
        PER_30_M(100.0 / 30),
        PER_100_M(1),
        PER_100_FT(1 / 0.3048),
        PER_M(100),
        PER_FT(100 / 0.3048);

        final double toPer100m;

        LossPer(double toPer100m) {
            this.toPer100m = toPer100m;
        }
    }

    /** The usual units of frequency. */
    public enum FrequencyUnit {
        KHZ(1e-3),
        MHZ(1),
        GHZ(1e3);

        final double toMHz;

        FrequencyUnit(double toMHz) {
            this.toMHz = toMHz;
        }
    }
}
