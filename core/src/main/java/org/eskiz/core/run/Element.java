package org.eskiz.core.run;

import java.util.Map;
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

    /**
     * A two-port that was measured whole, reflection and all.
     *
     * @param table of its scattering
     */
    record Measured(ScatteringTable table) implements Element {

        @Override
        public double heatDb(double frequencyMHz, double ambientC) {
            return table.insertionLossDb(frequencyMHz);
        }

        @Override
        public boolean isExtrapolatedAt(double frequencyMHz) {
            return table.isExtrapolatedAt(frequencyMHz);
        }
    }

    /**
     * An amplifier for what is received. What is sent goes round it: then it is a pad of the loss of its relays. What it does on
     * receive is in {@link org.eskiz.core.receive}.
     *
     * @param gainDb at least 0
     * @param noiseFigureDb at least 0
     * @param bypassLossDb at least 0
     * @param largestInputDbm that it bears without distortion; empty where nobody has said
     */
    record Preamplifier(double gainDb, double noiseFigureDb, double bypassLossDb, OptionalDouble largestInputDbm)
            implements Element {

        public Preamplifier {
            Require.notNegative("gain in dB", gainDb);
            Require.notNegative("noise figure in dB", noiseFigureDb);
            Require.notNegative("loss on transmit in dB", bypassLossDb);
        }

        @Override
        public double heatDb(double frequencyMHz, double ambientC) {
            return bypassLossDb;
        }

        @Override
        public boolean isExtrapolatedAt(double frequencyMHz) {
            return false;
        }
    }

    /**
     * Where a run forks: a diplexer, or a splitter. Its ports do not hear each other, so on each band it is a pad of the loss to
     * the port of that band.
     *
     * @param ports by the branch that begins there
     */
    record Fork(Map<String, Pad> ports) implements Element {

        public Fork {
            ports = Map.copyOf(ports);
            if (ports.size() < 2) {
                throw new IllegalArgumentException("a fork has at least 2 ports, not " + ports.size());
            }
        }

        /** On the way through one of its ports. */
        Pad toward(String branch) {
            Pad port = ports.get(branch);
            if (port == null) {
                throw new IllegalArgumentException("no port of the fork leads to \"" + branch + "\"");
            }
            return port;
        }

        @Override
        public double heatDb(double frequencyMHz, double ambientC) {
            throw new IllegalStateException("a fork is looked at on the way through one of its ports");
        }

        @Override
        public boolean isExtrapolatedAt(double frequencyMHz) {
            throw new IllegalStateException("a fork is looked at on the way through one of its ports");
        }
    }

    /** What stands in another branch than the one that is looked at: there is nothing of it there. */
    record Aside() implements Element {

        static final Aside ASIDE = new Aside();

        @Override
        public boolean isAbsent() {
            return true;
        }

        @Override
        public double heatDb(double frequencyMHz, double ambientC) {
            return 0;
        }

        @Override
        public boolean isExtrapolatedAt(double frequencyMHz) {
            return false;
        }
    }
}
