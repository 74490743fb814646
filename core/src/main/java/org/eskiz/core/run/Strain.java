package org.eskiz.core.run;

import org.jspecify.annotations.Nullable;

/**
 * What single parts of an assessed run get, at the worst angle of the load: as {@link RunProfile} has it, without following the
 * waves along the others.
 */
public final class Strain {

    private final RunAssessment assessment;

    /** What the states of each angle have to be multiplied by; null until anything is followed. */
    private double @Nullable [] scale;

    /** Behind each element, from the last on as far as they were asked for; before the first at 0. */
    private final EndStates[] boundaries;

    /** By element, once it is followed: a part that may be too hot may stand too much voltage as well. */
    private final LineStrain[] lines;

    private Strain(RunAssessment assessment) {
        int count = assessment.run().elements().size();
        this.assessment = assessment;
        this.boundaries = new EndStates[count + 1];
        this.boundaries[count] = assessment.endStates();
        this.lines = new LineStrain[count];
    }

    /** Of a run of a radio that sends. */
    public static Strain on(RunAssessment assessment) {
        return new Strain(assessment);
    }

    /** The largest voltage on an element, V r.m.s. */
    public double voltageRms(int element) {
        if (isLine(element)) {
            return line(element).maxVoltageRms();
        }
        EndStates before = boundary(element);
        EndStates behind = boundary(element + 1);
        double[] times = scale();
        double most = 0;
        for (int k = 0; k < times.length; k++) {
            most = Math.max(most, times[k] * Math.max(before.voltage(k), behind.voltage(k)));
        }
        return most;
    }

    /** The matched power that would strain an element as much, W. */
    public double equivalentMatchedPowerW(int element) {
        if (isLine(element)) {
            return line(element).equivalentMatchedPowerW();
        }
        double radioSideOhm = RunProfile.radioSideOhm(element, assessment);
        double antennaSideOhm = RunProfile.antennaSideOhm(element, assessment);
        EndStates before = boundary(element);
        EndStates behind = boundary(element + 1);
        double most = 0;
        for (int k = 0; k < before.count(); k++) {
            double back = Math.max(before.reflectedShare(k, radioSideOhm), behind.reflectedShare(k, antennaSideOhm));
            most = Math.max(most, assessment.enteringW(k) * (1 + back) / (1 - back));
        }
        return most;
    }

    private EndStates boundary(int index) {
        if (boundaries[index] == null) {
            boundaries[index] = boundary(index + 1).before(assessment.twoPort(index));
        }
        return boundaries[index];
    }

    private double[] scale() {
        if (scale == null) {
            scale = new double[assessment.endStates().count()];
            for (int k = 0; k < scale.length; k++) {
                scale[k] = assessment.scale(k);
            }
        }
        return scale;
    }

    private LineStrain line(int element) {
        if (lines[element] == null) {
            lines[element] = new LineStrain(
                    (Element.Line) assessment.run().elements().get(element),
                    assessment.conditions(),
                    boundary(element + 1),
                    scale());
        }
        return lines[element];
    }

    private boolean isLine(int element) {
        return assessment.run().elements().get(element) instanceof Element.Line;
    }
}
