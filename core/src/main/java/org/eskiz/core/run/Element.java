package org.eskiz.core.run;

import java.util.Optional;
import java.util.OptionalDouble;
import org.eskiz.core.cable.Bump;
import org.eskiz.core.cable.Cable;
import org.eskiz.core.cable.InsertionLoss;
import org.eskiz.core.unit.Require;

/** One thing that power passes on its way from the radio to the antenna. */
public sealed interface Element {

    /** What the element turns into heat between terminations of its own impedance, in dB, at least 0. */
    double heatDb(double frequencyMHz, double ambientC);

    /** Whether there is nothing of it, to carry a wave, to be heated or to bear a voltage. */
    default boolean isAbsent() {
        return false;
    }

    /** Whether the loss at a frequency lies beyond what is known of the element. */
    boolean isExtrapolatedAt(double frequencyMHz);

    /**
     * A length of cable.
     *
     * @param cable its type
     * @param lengthM metres, at least 0; a length of 0 is absent
     */
    record Line(Cable cable, double lengthM) implements Element {

        public Line {
            Require.notNegative("length in m", lengthM);
        }

        @Override
        public boolean isAbsent() {
            return lengthM == 0;
        }

        @Override
        public double heatDb(double frequencyMHz, double ambientC) {
            return cable.attenuation().dbPer100m(frequencyMHz, ambientC) * lengthM / 100;
        }

        @Override
        public boolean isExtrapolatedAt(double frequencyMHz) {
            return !isAbsent() && cable.isExtrapolatedAt(frequencyMHz);
        }
    }

    /**
     * A matched pad without length: a joint (one mated pair of connectors) or a device such as an arrestor; and after it,
     * toward the antenna, the bump of a joint that is not of constant impedance.
     *
     * @param loss insertion loss into its own impedance
     * @param impedanceOhm its own impedance; empty for the one it stands in
     */
    record Pad(InsertionLoss loss, OptionalDouble impedanceOhm, Optional<Bump> bump) implements Element {

        public Pad {
            impedanceOhm.ifPresent(z -> Require.positive("impedance in ohm", z));
        }

        /** Of constant impedance. */
        public Pad(InsertionLoss loss, OptionalDouble impedanceOhm) {
            this(loss, impedanceOhm, Optional.empty());
        }

        @Override
        public double heatDb(double frequencyMHz, double ambientC) {
            return loss.lossDb(frequencyMHz);
        }

        @Override
        public boolean isExtrapolatedAt(double frequencyMHz) {
            return loss.isExtrapolatedAt(frequencyMHz);
        }
    }

    /**
     * A transformer: its loss, in the impedance there, on the radio side; then the ideal ratio.
     *
     * @param impedanceRatio impedance on the antenna side over that on the radio side, above 0
     * @param loss insertion loss
     */
    record Transformer(double impedanceRatio, InsertionLoss loss) implements Element {

        public Transformer {
            Require.positive("impedance ratio", impedanceRatio);
        }

        @Override
        public double heatDb(double frequencyMHz, double ambientC) {
            return loss.lossDb(frequencyMHz);
        }

        @Override
        public boolean isExtrapolatedAt(double frequencyMHz) {
            return loss.isExtrapolatedAt(frequencyMHz);
        }
    }
}
