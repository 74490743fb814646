package org.eskiz.core.run;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.IntStream;
import org.apache.commons.numbers.complex.Complex;
import org.eskiz.core.unit.Decibels;

/**
 * What one run does on one band.
 *
 * <p>Where the load's angle is unknown every angle is solved whole and the figures are means over the angles; see the
 * package's contract. Loss is positive; mismatch loss may come out slightly below 0 and is shown so.
 */
public final class RunAssessment {

    private final Run run;
    private final Radio radio;
    private final Conditions conditions;
    private final Chain chain;
    private final EndStates atAntenna;
    private final LoadAngles angles;
    private final AntennaStates antenna;

    private RunAssessment(Run run, Radio radio, Conditions conditions, AntennaStates antenna) {
        this.run = run.on(conditions.branch());
        this.radio = radio;
        this.conditions = conditions;
        this.chain = Chain.of(this.run, conditions, radio.impedanceOhm());
        this.atAntenna = endOfRun(this.run, radio, antenna);
        this.angles = LoadAngles.solve(chain.whole(), atAntenna, radio);
        this.antenna = antenna;
    }

    /**
     * Assesses a run whose load is stated as seen through this same run.
     *
     * @throws RunTooLossyException beyond 300 dB of matched loss
     * @throws ImpossibleReadingException when the run cannot show the SWR read at the radio
     * @throws ReadingSaysNothingException for such a reading with the matching unit at the antenna
     */
    public static RunAssessment of(Run run, Radio radio, Conditions conditions, Load load) {
        return of(run, radio, conditions, AntennaStates.of(load, run, radio, conditions));
    }

    /** Assesses a run that ends in an antenna known from elsewhere, for instance from a reading through another run. */
    public static RunAssessment of(Run run, Radio radio, Conditions conditions, AntennaStates antenna) {
        return new RunAssessment(run, radio, conditions, antenna);
    }

    /** What stands at the antenna end: the antenna, or what a matching unit there makes of it. */
    static EndStates endOfRun(Run run, Radio radio, AntennaStates antenna) {
        if (radio.matching() != Matching.AT_ANTENNA) {
            return antenna.ends();
        }
        return EndStates.atResistance(run.flatTerminationOhm(radio.impedanceOhm()));
    }

    /** What was assessed: of a run that forks, what stands on the way of this band. */
    public Run run() {
        return run;
    }

    /** What feeds the run. */
    public Radio radio() {
        return radio;
    }

    /** Frequency and temperature of this assessment. */
    public Conditions conditions() {
        return conditions;
    }

    /** Whether any element's loss at this frequency is an extrapolation beyond what is known of it. */
    public boolean isExtrapolated() {
        for (Element element : run.elements()) {
            if (element.isExtrapolatedAt(conditions.frequencyMHz())) {
                return true;
            }
        }
        return false;
    }

    /** Sum over the elements of what each loses into its own impedance, dB. */
    public double matchedLossDb() {
        return chain.matchedLossDb();
    }

    /** Power entering the run over power leaving it, dB. */
    public double runLossDb() {
        return -Decibels.ofPower(angles.meanEfficiency());
    }

    /** Additional loss in the run because of SWR, dB; not the reflection at the radio. */
    public double mismatchLossDb() {
        return runLossDb() - matchedLossDb();
    }

    /** Loss of the matching unit, dB; it is in no element. */
    public double matchingLossDb() {
        return radio.unitLossDb();
    }

    /** Power that came back to the radio instead of entering the run, dB; 0 with a matching unit at the radio. */
    public double reflectionLossDb() {
        return Decibels.ofPower(angles.meanEfficiency() / angles.meanAccepted());
    }

    /** Power the radio did not make because of the SWR it saw, dB. */
    public double foldbackDb() {
        return Decibels.ofPower(angles.meanAccepted() / angles.meanDelivered());
    }

    /** From the radio's power to the power at the antenna, dB: all of the above together. */
    public double totalLossDb() {
        return -Decibels.ofPower(angles.meanDelivered()) + matchingLossDb();
    }

    /** Total loss at the angle of the load that is worst, dB; equal to the total where the angle is known. */
    public double totalLossAtWorstAngleDb() {
        return -Decibels.ofPower(angles.leastDelivered()) + matchingLossDb();
    }

    /** Loss of the run and the matching unit, as noise meets it: no reflection, no foldback; dB. */
    public double throughLossDb() {
        return runLossDb() + matchingLossDb();
    }

    /** The same at the angle of the load that is worst, dB. */
    public double throughLossAtWorstAngleDb() {
        return -Decibels.ofPower(angles.leastEfficiency()) + matchingLossDb();
    }

    /** Power that the antenna gets, W; empty for a receiver. */
    public OptionalDouble powerAtAntennaW() {
        return radio.powerW().isEmpty()
                ? OptionalDouble.empty()
                : OptionalDouble.of(radio.powerW().getAsDouble() * Decibels.fractionLeft(totalLossDb()));
    }

    /** Whether the run ends in one known state, so that voltages along it have one value each. */
    public boolean isAngleKnownAlongTheRun() {
        return atAntenna.count() == 1;
    }

    /**
     * Least and greatest efficiency of the run over the angles of the load; empty where the angle is known, or is of no matter
     * behind a unit at the antenna.
     */
    public Optional<EfficiencyRange> efficiencyRange() {
        return isEndKnown() ? Optional.empty() : Optional.of(angles.efficiencyRange());
    }

    /** SWR at the radio's end, in its impedance; infinite when nothing enters. */
    public double swrAtRadio() {
        return StandingWave.swrOf(angles.meanReflectionAtRadio());
    }

    /** The same at the angle of the load that is worst. */
    public double swrAtRadioAtWorstAngle() {
        return StandingWave.swrOf(angles.greatestReflectionAtRadio());
    }

    /**
     * SWR with which a matching unit has to cope; empty where there is none.
     *
     * <p>A unit at the antenna has the antenna's own before it, one at the radio that of the run.
     */
    public OptionalDouble swrAtUnit() {
        return switch (radio.matching()) {
            case AT_RADIO -> OptionalDouble.of(swrAtRadio());
            case AT_ANTENNA -> OptionalDouble.of(swrAtAntenna());
            case NONE -> OptionalDouble.empty();
        };
    }

    /** The same at the angle of the load that is worst. */
    public OptionalDouble swrAtUnitAtWorstAngle() {
        return radio.matching() == Matching.AT_RADIO ? OptionalDouble.of(swrAtRadioAtWorstAngle()) : swrAtUnit();
    }

    /** SWR of the antenna itself, in the radio's impedance. */
    public double swrAtAntenna() {
        return StandingWave.swrOf(antenna.meanReflection(radio.impedanceOhm()));
    }

    /** What the run presents at the radio, ohm; empty where the load's angle is unknown. */
    public Optional<Impedance> inputImpedance() {
        if (!isEndKnown()) {
            return Optional.empty();
        }
        Complex z = chain.whole().towardRadio(atAntenna.state(0)).impedance();
        return Optional.of(new Impedance(z.real(), z.imag()));
    }

    private boolean isEndKnown() {
        return antenna.isAngleKnown() || radio.matching() == Matching.AT_ANTENNA;
    }

    /** What each element loses, in order from the radio; the losses add up to {@link #runLossDb()}. */
    public List<ElementLoss> elements() {
        double[] entering = new double[chain.links().size() + 1];
        double[] sent = new double[entering.length];
        for (int k = 0; k < atAntenna.count(); k++) {
            double[] powers = boundaryPowers(atAntenna.state(k));
            for (int i = 0; i < powers.length; i++) {
                entering[i] += powers[i] / powers[0];
                sent[i] += powers[i] / powers[0] * angles.enteringFraction(k);
            }
        }
        double wattsPerSent = radio.powerW().orElse(Double.NaN) * fractionBeforeRun() / atAntenna.count();
        return IntStream.range(0, chain.links().size())
                .mapToObj(i -> new ElementLoss(
                        Decibels.lossBetween(entering[i], entering[i + 1]),
                        chain.links().get(i).matchedLossDb(),
                        watts(sent[i] * wattsPerSent),
                        watts(sent[i + 1] * wattsPerSent)))
                .toList();
    }

    /**
     * What each element loses at each angle of the load, dB, in order from the radio: one row an angle. The means of them are
     * no losses of a mean; those are in {@link #elements()}.
     */
    public List<double[]> elementLossesAtEachAngleDb() {
        return IntStream.range(0, atAntenna.count())
                .mapToObj(k -> {
                    double[] powers = boundaryPowers(atAntenna.state(k));
                    return IntStream.range(0, powers.length - 1)
                            .mapToDouble(i -> Decibels.lossBetween(powers[i], powers[i + 1]))
                            .toArray();
                })
                .toList();
    }

    /** The elements that are used beyond what is known of them, each kind once. */
    public List<Integer> extrapolatedElements() {
        if (!isExtrapolated()) {
            return List.of();
        }
        Set<Element> seen = new HashSet<>();
        return IntStream.range(0, run.elements().size())
                .filter(i -> run.elements().get(i).isExtrapolatedAt(conditions.frequencyMHz()))
                .filter(i -> seen.add(kind(run.elements().get(i))))
                .boxed()
                .toList();
    }

    private static Element kind(Element element) {
        return element instanceof Element.Line line ? new Element.Line(line.cable(), 1) : element;
    }

    /** Power that the radio may send into the run at most, W: what no angle and no reflection takes more of. */
    double mostEnteringW() {
        return radio.powerW().orElseThrow() * fractionBeforeRun();
    }

    EndStates endStates() {
        return atAntenna;
    }

    /**
     * States at one boundary for every angle of the load; r.m.s. at the power that enters.
     *
     * @param boundary 0 at the radio, then behind each element
     */
    List<PortState> statesAt(int boundary) {
        EndStates there = atAntenna;
        for (int i = chain.links().size() - 1; i >= boundary; i--) {
            there = there.before(twoPort(i));
        }
        EndStates unscaled = there;
        return IntStream.range(0, atAntenna.count())
                .mapToObj(k -> unscaled.state(k).times(scale(k)))
                .toList();
    }

    TwoPort twoPort(int element) {
        return chain.links().get(element).twoPort();
    }

    /** What the states of one angle of the load have to be multiplied by, so that they are r.m.s. at the power that enters. */
    double scale(int angle) {
        return Math.sqrt(enteringW(angle) / angles.powerAtRadio(angle));
    }

    /** Power that enters the run at one angle of the load, W. */
    double enteringW(int angle) {
        return mostEnteringW() * angles.enteringFraction(angle);
    }

    /** A unit at the radio takes its share before the run, one at the antenna after it. */
    private double fractionBeforeRun() {
        return radio.matching() == Matching.AT_RADIO ? Decibels.fractionLeft(matchingLossDb()) : 1;
    }

    private OptionalDouble watts(double value) {
        return radio.powerW().isEmpty() ? OptionalDouble.empty() : OptionalDouble.of(value);
    }

    /** Real power at each boundary, radio's end first, for one state of the antenna end. */
    private double[] boundaryPowers(PortState antenna) {
        return boundaries(antenna).stream().mapToDouble(PortState::power).toArray();
    }

    private List<PortState> boundaries(PortState antenna) {
        PortState[] states = new PortState[chain.links().size() + 1];
        states[states.length - 1] = antenna;
        for (int i = states.length - 2; i >= 0; i--) {
            states[i] = chain.links().get(i).twoPort().towardRadio(states[i + 1]);
        }
        return List.of(states);
    }

    /**
     * An impedance.
     *
     * @param resistanceOhm real part
     * @param reactanceOhm imaginary part, positive for inductive
     */
    public record Impedance(double resistanceOhm, double reactanceOhm) {}

    /**
     * Power out over power in of the run alone, 0 to 1.
     *
     * @param min at the worst angle of the load
     * @param max at the best
     */
    public record EfficiencyRange(double min, double max) {}

    /**
     * What one element does to the power.
     *
     * @param lossDb real loss, standing wave included
     * @param matchedLossDb what it would lose into its own impedance
     * @param powerInW mean real power entering it; empty for a receiver
     * @param powerOutW mean real power leaving it; empty for a receiver
     */
    public record ElementLoss(double lossDb, double matchedLossDb, OptionalDouble powerInW, OptionalDouble powerOutW) {}
}
