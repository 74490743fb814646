package org.eskiz.core.choice;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import org.eskiz.core.choice.Confidence.Input;
import org.eskiz.core.run.AntennaStates;
import org.eskiz.core.run.Conditions;
import org.eskiz.core.run.Load;
import org.eskiz.core.run.Run;
import org.eskiz.core.run.RunAssessment;
import org.eskiz.core.run.RunTooLossyException;

/** By each input alone: what one standard deviation to either side makes of the total loss of a run on a band. */
final class Sensitivity {

    /** Standard deviation of an SWR less 1, as a fraction. */
    static final double SWR = 0.1;

    private final Run run;
    private final Unknowns unknowns;
    private final Band band;
    private final AntennaStates antenna;

    private Sensitivity(Run run, Unknowns unknowns, Band band, AntennaStates antenna) {
        this.run = run;
        this.unknowns = unknowns;
        this.band = band;
        this.antenna = antenna;
    }

    static Confidence.Shares shares(Run run, Unknowns unknowns, Band band, AntennaStates antenna) {
        return new Sensitivity(run, unknowns, band, antenna).shares();
    }

    private Confidence.Shares shares() {
        List<Input> inputs = new ArrayList<>(unknowns.inputs());
        List<List<Integer>> elements = new ArrayList<>(unknowns.elements());
        double[] variances = new double[unknowns.count() + 2];
        for (int i = 0; i < unknowns.count(); i++) {
            variances[i] = variance(lossOf(i, 1), lossOf(i, -1));
        }
        inputs.addAll(List.of(Input.SWR, Input.ANGLE));
        elements.addAll(List.of(List.of(), List.of()));
        variances[unknowns.count()] = variance(lossOfSwr(1), lossOfSwr(-1));
        variances[unknowns.count() + 1] = angleVariance();
        return Confidence.shares(inputs, elements, variances);
    }

    private static double variance(double above, double below) {
        double half = (above - below) / 2;
        return Double.isFinite(half) ? half * half : 0;
    }

    private double lossOf(int input, double deviations) {
        Conditions said = band.conditions();
        var day = new Conditions(
                said.frequencyMHz(), said.ambientC() + unknowns.warmerC(input, deviations), said.branch());
        return lossDb(unknowns.deviating(run, input, deviations), day, antenna);
    }

    private double lossOfSwr(double deviations) {
        if (band.load() instanceof Load.SwrAtAntenna s && s.swr() > 1) {
            var other = new Load.SwrAtAntenna(swr(s.swr(), deviations), s.referenceOhm());
            return lossDb(run, band.conditions(), AntennaStates.of(other, run, band.radio(), band.conditions()));
        }
        return lossDb(run, band.conditions(), antenna);
    }

    /** An SWR that is off by so many deviations. */
    static double swr(double stated, double deviations) {
        return 1 + (stated - 1) * Math.max(0, 1 + SWR * deviations);
    }

    private double angleVariance() {
        if (antenna.isAngleKnown()) {
            return 0;
        }
        double[] losses = IntStream.range(0, antenna.count())
                .mapToDouble(k -> lossDb(run, band.conditions(), antenna.at((double) k / antenna.count())))
                .toArray();
        double mean = Arrays.stream(losses).average().orElse(0);
        double variance = Arrays.stream(losses)
                .map(l -> (l - mean) * (l - mean))
                .average()
                .orElse(0);
        return Double.isFinite(variance) ? variance : 0;
    }

    private double lossDb(Run tried, Conditions day, AntennaStates behind) {
        try {
            return RunAssessment.of(tried, band.radio(), day, behind).totalLossDb();
        } catch (RunTooLossyException e) {
            return Double.NaN;
        }
    }
}
