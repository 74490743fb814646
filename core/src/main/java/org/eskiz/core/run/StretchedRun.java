package org.eskiz.core.run;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.eskiz.core.unit.Decibels;

/**
 * A run whose sections change their length together, each keeping its share, looked at again and again. What does not change
 * is worked out once: the elements between the sections, and what the antenna presents behind them.
 */
public final class StretchedRun {

    private final Radio radio;
    private final List<TwoPort> fixedBefore;
    private final List<LineConstants> sections;
    private final List<Double> shares;
    private final EndStates behindSections;
    private final double[] leavingW;
    private final double fixedLossDb;
    private final double lossDbPerM;
    private final double frequencyMHz;

    private StretchedRun(Run forking, List<Integer> all, Radio radio, Conditions conditions, AntennaStates antenna) {
        this.radio = radio;
        this.frequencyMHz = conditions.frequencyMHz();
        double lengthM =
                all.stream().mapToDouble(i -> line(forking, i).lengthM()).sum();
        Run run = forking.on(conditions.branch());
        List<Integer> at =
                all.stream().filter(i -> forking.isOn(conditions.branch(), i)).toList();
        this.shares = at.stream()
                .map(i -> lengthM == 0 ? 1.0 / all.size() : line(run, i).lengthM() / lengthM)
                .toList();
        this.sections = at.stream()
                .map(i -> LineConstants.of(line(run, i).cable(), frequencyMHz, conditions.ambientC()))
                .toList();
        this.fixedBefore = new ArrayList<>();
        TwoPort between = TwoPort.THROUGH;
        double fixed = 0;
        double perM = 0;
        for (int i = 0; i < run.elements().size(); i++) {
            Element element = run.elements().get(i);
            int section = at.indexOf(i);
            if (section >= 0) {
                fixedBefore.add(between);
                between = TwoPort.THROUGH;
                perM += shares.get(section)
                        * new Element.Line(line(run, i).cable(), 1).heatDb(frequencyMHz, conditions.ambientC());
            } else {
                between = between.then(
                        Chain.link(run, i, conditions, radio.impedanceOhm()).twoPort());
                fixed += element.heatDb(frequencyMHz, conditions.ambientC());
            }
        }
        EndStates atAntenna = RunAssessment.endOfRun(run, radio, antenna);
        this.behindSections = atAntenna.before(between);
        this.leavingW = atAntenna.power();
        this.fixedLossDb = fixed;
        this.lossDbPerM = perM;
    }

    private static Element.Line line(Run run, int index) {
        return (Element.Line) run.elements().get(index);
    }

    /**
     * Prepares a run.
     *
     * @param sections indices of the lines that change their length, in order
     */
    public static StretchedRun of(
            Run run, List<Integer> sections, Radio radio, Conditions conditions, AntennaStates antenna) {
        return new StretchedRun(run, sections, radio, conditions, antenna);
    }

    /**
     * What a run loses.
     *
     * @param totalDb from the radio's power to the power at the antenna, dB
     * @param throughDb of the run and the matching unit alone, dB
     */
    public record Losses(double totalDb, double throughDb) {}

    /**
     * What it loses with its sections together of a given length; with none as if of the shortest that there is, since what
     * stands beside them keeps its impedance.
     *
     * @return empty beyond 300 dB of matched loss
     */
    public Optional<Losses> at(double lengthM) {
        if (fixedLossDb + lossDbPerM * lengthM > Run.MAX_MATCHED_LOSS_DB) {
            return Optional.empty();
        }
        TwoPort whole = TwoPort.THROUGH;
        for (int i = 0; i < sections.size(); i++) {
            whole = whole.then(fixedBefore.get(i)).then(sections.get(i).ofLength(shares.get(i) * lengthM));
        }
        LoadAngles angles = LoadAngles.solve(whole, behindSections, leavingW, radio);
        double unitDb = radio.unitLossDb();
        return Optional.of(new Losses(
                unitDb - Decibels.ofPower(angles.meanDelivered()), unitDb - Decibels.ofPower(angles.meanEfficiency())));
    }
}
