package org.eskiz.core.cable;

import java.util.List;
import org.eskiz.core.unit.Require;

/** Loss of a joint, a device or a transformer between its own impedances, against frequency. */
public interface InsertionLoss {

    /** Loss in dB at a frequency in MHz, at least 0. */
    double lossDb(double frequencyMHz);

    /** Of several in a row, dB. */
    static double sumDb(List<InsertionLoss> all, double frequencyMHz) {
        return all.stream().mapToDouble(l -> l.lossDb(frequencyMHz)).sum();
    }

    /** Whether the figure at a frequency lies beyond what it is known for. */
    boolean isExtrapolatedAt(double frequencyMHz);

    /**
     * The same loss at every frequency, as the operator states it.
     *
     * @param lossDb at least 0
     */
    record Flat(double lossDb) implements InsertionLoss {

        public Flat {
            Require.notNegative("loss in dB", lossDb);
        }

        @Override
        public double lossDb(double frequencyMHz) {
            return lossDb;
        }

        @Override
        public boolean isExtrapolatedAt(double frequencyMHz) {
            return false;
        }
    }

    /**
     * Typical loss of one mated pair of connectors: {@code c1·√f + c2·f²} dB, f in MHz. The root is skin resistance of the
     * contacts; the square is a short length of another impedance, which reflects in proportion to its length in waves, so that
     * the power it sends back grows with the square of frequency.
     *
     * @param c1DbPerSqrtMHz contact resistance under skin effect, at least 0
     * @param c2DbPerMHz2 reflection at a body of another impedance, at least 0
     * @param maxMHz highest frequency the connector is made for
     */
    record MatedPair(double c1DbPerSqrtMHz, double c2DbPerMHz2, double maxMHz) implements InsertionLoss {

        public MatedPair {
            Require.notNegative("c1", c1DbPerSqrtMHz);
            Require.notNegative("c2", c2DbPerMHz2);
            Require.positive("highest frequency in MHz", maxMHz);
        }

        @Override
        public double lossDb(double frequencyMHz) {
            return c1DbPerSqrtMHz * Math.sqrt(frequencyMHz) + c2DbPerMHz2 * frequencyMHz * frequencyMHz;
        }

        @Override
        public boolean isExtrapolatedAt(double frequencyMHz) {
            return frequencyMHz > maxMHz;
        }
    }
}
