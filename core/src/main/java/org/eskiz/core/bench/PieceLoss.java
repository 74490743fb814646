package org.eskiz.core.bench;

import java.util.List;
import java.util.Optional;
import org.eskiz.core.cable.Attenuation;
import org.eskiz.core.cable.AttenuationFit;
import org.eskiz.core.cable.AttenuationPoint;
import org.eskiz.core.unit.Require;

/**
 * The law by which one real piece loses, from what was measured of it, so that it can stand in a run in place of its type. What
 * its joints should lose is taken off, since a run counts its joints itself; what a bad joint loses beyond that stays with the
 * piece.
 */
public final class PieceLoss {

    /** From so many frequencies on, a law is fitted; from fewer, that of the type is scaled. */
    private static final int ENOUGH_TO_FIT = 3;

    /** No cable loses nothing: dB per 100 m. */
    private static final double LEAST_DB_PER_100M = 1e-3;

    /**
     * A frequency.
     *
     * @param lossDb of the piece with its joints
     * @param jointsDb what its joints should lose
     * @param temperatureC of the cable
     */
    public record Measured(double frequencyMHz, double lossDb, double jointsDb, double temperatureC) {

        /** What the cable alone loses, without its joints. */
        public double ofCableDb() {
            return lossDb - jointsDb;
        }
    }

    private PieceLoss() {}

    /**
     * The law.
     *
     * @param measured at least one frequency
     * @param lengthM of the piece when it was measured, above 0
     * @param type law of its type; empty where it is not known
     * @return empty where nothing was measured
     */
    public static Optional<Attenuation> of(List<Measured> measured, double lengthM, Optional<Attenuation> type) {
        Require.positive("length in m", lengthM);
        if (measured.isEmpty()) {
            return Optional.empty();
        }
        long frequencies =
                measured.stream().mapToDouble(Measured::frequencyMHz).distinct().count();
        if (type.isPresent() && frequencies < ENOUGH_TO_FIT) {
            return Optional.of(type.get().scaledBy(ratio(measured, lengthM, type.get())));
        }
        List<AttenuationPoint> points = measured.stream()
                .map(m -> new AttenuationPoint(m.frequencyMHz(), dbPer100m(m, lengthM) * toSheetTemperature(m, type)))
                .toList();
        return Optional.of(AttenuationFit.of(points).attenuation());
    }

    private static double dbPer100m(Measured m, double lengthM) {
        return Math.max(LEAST_DB_PER_100M, m.ofCableDb() / lengthM * 100);
    }

    /** A law is stated at 20 °C; what a type says of temperature holds for its pieces. */
    private static double toSheetTemperature(Measured m, Optional<Attenuation> type) {
        return type.map(t -> t.dbPer100m(m.frequencyMHz(), Attenuation.SHEET_TEMPERATURE_C)
                        / t.dbPer100m(m.frequencyMHz(), m.temperatureC()))
                .orElse(1.0);
    }

    private static double ratio(List<Measured> measured, double lengthM, Attenuation type) {
        return measured.stream()
                .mapToDouble(m -> dbPer100m(m, lengthM) / type.dbPer100m(m.frequencyMHz(), m.temperatureC()))
                .average()
                .orElseThrow();
    }
}
