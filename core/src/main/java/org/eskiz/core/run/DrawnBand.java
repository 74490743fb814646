package org.eskiz.core.run;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.stream.IntStream;
import org.eskiz.core.cable.Attenuation;
import org.eskiz.core.unit.Decibels;

/**
 * One band on which runs that are alike are drawn again and again. What one run has in common with the run before it, seen from
 * the antenna, is not worked out again: so it goes fast through a ledger, in which only the cable changes.
 */
public final class DrawnBand {

    private static final double NEARLY_NOTHING = Decibels.fractionLeft(Run.MAX_MATCHED_LOSS_DB);

    private final Radio radio;
    private final Conditions conditions;
    private final DrawnAntenna antenna;
    private final Draws draws;
    private final double[] conductor;

    private List<Element> elements = List.of();
    private double[] standingOhm = {};
    private final List<List<DrawnStep>> steps = new ArrayList<>();
    private final List<DrawnStates> behind = new ArrayList<>();

    /**
     * Prepares a band.
     *
     * @param antenna in as many draws as the others
     */
    public DrawnBand(Radio radio, Conditions conditions, DrawnAntenna antenna, Draws draws) {
        this.radio = radio;
        this.conditions = conditions;
        this.antenna = antenna;
        this.draws = draws;
        double asSaid = Attenuation.conductorFactor(conditions.ambientC());
        this.conductor = IntStream.range(0, draws.count())
                .mapToDouble(k -> Attenuation.conductorFactor(conditions.ambientC() + draws.warmerC()[k]) / asSaid)
                .toArray();
    }

    /**
     * What is left of the radio's power, in each draw.
     *
     * @param atAntenna after everything, as a fraction
     * @param through after run and matching unit alone, as noise meets them
     */
    public record Left(double[] atAntenna, double[] through) {}

    /** What a run leaves; of a run beyond what can be assessed, as good as nothing. */
    public Left left(Run forking) {
        Run run = forking.on(conditions.branch());
        if (run.elements().size() != elements.size() || behind.isEmpty() || hasOtherEnd(run)) {
            startAgain(run);
        }
        int changed = 0;
        for (int i = run.elements().size() - 1; i >= 0; i--) {
            if (!isKnown(run, i)) {
                steps.set(i, DrawnStep.of(run, i, conditions, radio.impedanceOhm(), draws, conductor));
                standingOhm[i] = run.standingOhm(i, radio.impedanceOhm());
                changed = Math.max(changed, i + 1);
            }
        }
        for (int i = changed - 1; i >= 0; i--) {
            through(steps.get(i), behind.get(i + 1), behind.get(i));
        }
        elements = run.elements();
        return left();
    }

    private boolean isKnown(Run run, int i) {
        return !steps.get(i).isEmpty()
                && elements.get(i) == run.elements().get(i)
                && standingOhm[i] == run.standingOhm(i, radio.impedanceOhm());
    }

    private static void through(List<DrawnStep> steps, DrawnStates from, DrawnStates to) {
        DrawnStates at = from;
        for (DrawnStep step : steps) {
            step.towardRadio(at, to);
            at = to;
        }
    }

    private boolean hasOtherEnd(Run run) {
        return radio.matching() == Matching.AT_ANTENNA
                && run.flatTerminationOhm(radio.impedanceOhm())
                        != new Run(elements).flatTerminationOhm(radio.impedanceOhm());
    }

    private void startAgain(Run run) {
        int count = run.elements().size();
        elements = run.elements();
        standingOhm = new double[count];
        steps.clear();
        steps.addAll(Collections.nCopies(count, List.of()));
        behind.clear();
        for (int i = 0; i < count; i++) {
            behind.add(new DrawnStates(draws.count()));
        }
        behind.add(
                radio.matching() == Matching.AT_ANTENNA
                        ? DrawnAntenna.known(run.flatTerminationOhm(radio.impedanceOhm()), draws.count())
                                .states()
                        : antenna.states());
    }

    private Left left() {
        double[] atAntenna = new double[draws.count()];
        double[] through = new double[draws.count()];
        double afterUnit = Decibels.fractionLeft(radio.unitLossDb());
        DrawnStates atRadio = behind.get(0);
        DrawnStates end = behind.get(behind.size() - 1);
        for (int k = 0; k < draws.count(); k++) {
            double power = atRadio.power(k);
            through[k] = orNearlyNothing(afterUnit * end.power(k) / power);
            atAntenna[k] = orNearlyNothing(through[k] * entering(atRadio, k, power));
        }
        return new Left(atAntenna, through);
    }

    /**
     * What is left in each draw behind each element, on the way from the antenna's end of it to the radio's, of the run that was
     * looked at last: one row an element.
     */
    public double[][] leftOfEach() {
        double[][] left = new double[elements.size()][draws.count()];
        for (int i = 0; i < left.length; i++) {
            for (int k = 0; k < draws.count(); k++) {
                left[i][k] = orNearlyNothing(
                        behind.get(i + 1).power(k) / behind.get(i).power(k));
            }
        }
        return left;
    }

    private static double orNearlyNothing(double left) {
        return left > NEARLY_NOTHING ? left : NEARLY_NOTHING;
    }

    /** What the radio makes, and of that what does not come back. */
    private double entering(DrawnStates atRadio, int k, double power) {
        double ohm = radio.impedanceOhm();
        double sumR = atRadio.vr[k] + ohm * atRadio.ir[k];
        double sumI = atRadio.vi[k] + ohm * atRadio.ii[k];
        double accepted = radio.acceptedFraction(power, sumR * sumR + sumI * sumI);
        return accepted * radio.madeFraction(Math.sqrt(Math.max(0, 1 - accepted)));
    }
}
