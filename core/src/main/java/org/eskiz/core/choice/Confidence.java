package org.eskiz.core.choice;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import org.eskiz.core.unit.Decibels;

/**
 * How sure a run is to do what is asked of it. What nobody knows exactly is sampled: the loss of each type of cable, that of the
 * joints, SWR and angle of the antenna, lengths and the temperature of the day; the radio makes what it says. The same run always
 * says the same.
 *
 * @param chance share of the samples in which everything is met that is asked of what arrives; 0 for a run that fails for anything
 *     else
 * @param bands one each
 */
public record Confidence(double chance, List<OnBand> bands) {

    /** Points for one run. */
    public static final int POINTS_OF_A_RUN = 1024;

    /** Points for a row of a ledger. */
    public static final int POINTS_OF_A_ROW = 256;

    /** The middle 90 % of a normal distribution, in standard deviations to either side. */
    private static final double MIDDLE_90 = 1.645;

    public Confidence {
        bands = List.copyOf(bands);
    }

    /** The same of a run that cannot pass. */
    Confidence none() {
        return new Confidence(0, bands);
    }

    /** How many of twenty runs like it would pass. */
    public int passing() {
        return Chance.passing(chance);
    }

    /**
     * One band.
     *
     * @param powerShare of the radio's power at the antenna
     * @param lossDb total loss
     * @param mostLossDb that what is asked of the band would bear; empty where nothing is asked of it that loss could miss
     */
    public record OnBand(Quantiles powerShare, Quantiles lossDb, Shares shares, OptionalDouble mostLossDb) {

        /** The kinds of input that any of the uncertainty is of, the largest first. */
        public List<Input> inputs() {
            return Arrays.stream(Input.values())
                    .filter(i -> shares.of(i) > 0)
                    .sorted(Comparator.comparingDouble(i -> -shares.of(i)))
                    .toList();
        }

        /** The kind of input that most of the uncertainty is of; empty where nothing is uncertain. */
        public Optional<Input> largest() {
            return inputs().stream().findFirst();
        }

        /** Whether what is asked is met or missed by an input alone, within the middle 90 % of it. */
        public boolean isDecidedBy(Input input) {
            double reachDb = MIDDLE_90 * shares.standardDb(input);
            return mostLossDb.isPresent() && Math.abs(mostLossDb.getAsDouble() - lossDb.p50) < reachDb;
        }

        /** Total loss as it would lie if an input were known exactly: its share of the variance is gone. */
        public Quantiles lossDbKnowing(Input input) {
            double left = Math.sqrt(Math.max(0, 1 - shares.of(input)));
            return new Quantiles(
                    lossDb.p50 + left * (lossDb.p05 - lossDb.p50),
                    lossDb.p50,
                    lossDb.p50 + left * (lossDb.p95 - lossDb.p50));
        }
    }

    /** The middle 90 % of the samples, and their middle. */
    public record Quantiles(double p05, double p50, double p95) {

        /** Of shares of a power the losses that they are, dB: where least is left most is lost. */
        Quantiles lossDb() {
            return new Quantiles(-Decibels.ofPower(p95), -Decibels.ofPower(p50), -Decibels.ofPower(p05));
        }

        /** Of some samples, between the two nearest. */
        static Quantiles of(double[] samples) {
            double[] sorted = samples.clone();
            Arrays.sort(sorted);
            return new Quantiles(at(sorted, 0.05), at(sorted, 0.5), at(sorted, 0.95));
        }

        private static double at(double[] sorted, double share) {
            double place = share * (sorted.length - 1);
            int below = (int) place;
            int above = Math.min(below + 1, sorted.length - 1);
            return sorted[below] + (place - below) * (sorted[above] - sorted[below]);
        }
    }

    /** What can be uncertain. */
    public enum Input {
        CABLE,
        JOINTS,
        SWR,
        ANGLE,
        LENGTH,
        AMBIENT
    }

    /**
     * What the uncertainty of the loss comes from: each input alone, one standard deviation to either side, as a share of all.
     *
     * @param standardDb standard deviation of the total loss by all of them, dB
     * @param parts the inputs, those of one kind for each element
     */
    public record Shares(double standardDb, List<Part> parts) {

        public Shares {
            parts = List.copyOf(parts);
        }

        /** Of all that is of one kind. */
        public double of(Input input) {
            return parts.stream()
                    .filter(p -> p.input == input)
                    .mapToDouble(Part::share)
                    .sum();
        }

        /** Standard deviation of the total loss by all that is of one kind, dB: a share is one of variances. */
        public double standardDb(Input input) {
            return standardDb * Math.sqrt(of(input));
        }
    }

    /**
     * A share.
     *
     * @param elements of the run that it is of; none for the antenna and the day
     * @param standardDb standard deviation of the total loss by it alone, dB
     */
    public record Part(Input input, List<Integer> elements, double standardDb, double share) {

        public Part {
            elements = List.copyOf(elements);
        }
    }

    /** Shares of variances, in their order. */
    static Shares shares(List<Input> inputs, List<List<Integer>> elements, double[] variances) {
        double all = Arrays.stream(variances).sum();
        List<Part> parts = new ArrayList<>();
        IntStream.range(0, variances.length)
                .forEach(i -> parts.add(new Part(
                        inputs.get(i), elements.get(i), Math.sqrt(variances[i]), all > 0 ? variances[i] / all : 0)));
        return new Shares(Math.sqrt(all), parts);
    }
}
