package org.eskiz.core.bench;

import java.util.List;
import java.util.Locale;
import java.util.stream.IntStream;
import org.apache.commons.numbers.complex.Complex;
import org.eskiz.core.unit.Decibels;
import org.eskiz.core.unit.Require;

/** Scattering parameters over frequency, as an analyser gives them. */
public sealed interface Sweep {

    /** Reference resistance of the scattering parameters, Ω. */
    double referenceOhm();

    /** Frequencies in MHz, rising. */
    List<Double> frequenciesMHz();

    /** The largest step between two frequencies, MHz; 0 for a single one. */
    default double largestStepMHz() {
        List<Double> f = frequenciesMHz();
        return IntStream.range(1, f.size())
                .mapToDouble(i -> f.get(i) - f.get(i - 1))
                .max()
                .orElse(0);
    }

    /** Whether a frequency lies within the sweep. */
    default boolean covers(double frequencyMHz) {
        List<Double> f = frequenciesMHz();
        return f.get(0) <= frequencyMHz && frequencyMHz <= f.get(f.size() - 1);
    }

    /**
     * Looking into one end.
     *
     * @param reflections S11, one for each frequency
     */
    record OnePort(double referenceOhm, List<Double> frequenciesMHz, List<Complex> reflections) implements Sweep {

        public OnePort {
            frequenciesMHz = checked(referenceOhm, frequenciesMHz, reflections.size());
            reflections = List.copyOf(reflections);
        }

        /** Impedance seen at the i-th frequency. */
        Complex impedance(int i) {
            Complex s = reflections.get(i);
            return Complex.ONE.add(s).divide(Complex.ONE.subtract(s)).multiply(referenceOhm);
        }

        /** Return loss at the i-th frequency, dB. */
        public double returnLossDb(int i) {
            return -Decibels.ofAmplitude(reflections.get(i).abs());
        }
    }

    /**
     * From one end to the other.
     *
     * @param scattering one for each frequency
     */
    record TwoPort(double referenceOhm, List<Double> frequenciesMHz, List<Scattering> scattering) implements Sweep {

        public TwoPort {
            frequenciesMHz = checked(referenceOhm, frequenciesMHz, scattering.size());
            scattering = List.copyOf(scattering);
        }

        /** What is lost from one port to the other at the i-th frequency, mismatch and all, dB. */
        public double insertionLossDb(int i) {
            return -Decibels.ofAmplitude(scattering.get(i).s21().abs());
        }

        /** Return loss of the near end at the i-th frequency, dB. */
        public double returnLossDb(int i) {
            return -Decibels.ofAmplitude(scattering.get(i).s11().abs());
        }

        /** Whether it was measured from one side only: nothing is known of the way back, nor of the far end. */
        public boolean isOnePath() {
            return scattering.stream()
                    .allMatch(s -> s.s12().abs() == 0 && s.s22().abs() == 0);
        }

        /** The same, taken as reciprocal and symmetrical, as a cable with like ends is. */
        TwoPort mirrored() {
            return new TwoPort(
                    referenceOhm,
                    frequenciesMHz,
                    scattering.stream()
                            .map(s -> new Scattering(s.s11(), s.s21(), s.s21(), s.s11()))
                            .toList());
        }

        /** What the near end sends back, as a sweep of its own. */
        public OnePort nearEnd() {
            return new OnePort(
                    referenceOhm,
                    frequenciesMHz,
                    scattering.stream().map(Scattering::s11).toList());
        }
    }

    /** Waves that leave port i for one that enters port j, as Sij. */
    record Scattering(Complex s11, Complex s21, Complex s12, Complex s22) {}

    private static List<Double> checked(double referenceOhm, List<Double> frequencies, int values) {
        Require.positive("reference resistance in Ω", referenceOhm);
        if (frequencies.isEmpty() || frequencies.size() != values) {
            throw new IllegalArgumentException(String.format(
                    Locale.ROOT,
                    "a sweep has at least one point, and as many values as frequencies, not %d and %d",
                    frequencies.size(),
                    values));
        }
        for (int i = 1; i < frequencies.size(); i++) {
            if (!(frequencies.get(i) > frequencies.get(i - 1))) {
                throw new IllegalArgumentException("%s MHz does not rise above the %s MHz before it"
                        .formatted(frequencies.get(i), frequencies.get(i - 1)));
            }
        }
        return List.copyOf(frequencies);
    }
}
