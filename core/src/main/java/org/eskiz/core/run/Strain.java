package org.eskiz.core.run;

/**
 * What single parts of an assessed run get, at the worst angle of the load: as {@link RunProfile} has it, without following the
 * waves along the others.
 */
public final class Strain {

    private final RunAssessment assessment;

    /** By element, once it is followed: a part that may be too hot may stand too much voltage as well. */
    private final LineTracer[] followed;

    private Strain(RunAssessment assessment) {
        this.assessment = assessment;
        this.followed = new LineTracer[assessment.run().elements().size()];
    }

    /** Of a run of a radio that sends. */
    public static Strain on(RunAssessment assessment) {
        return new Strain(assessment);
    }

    /** The largest voltage on an element, V r.m.s. */
    public double voltageRms(int element) {
        return isLine(element)
                ? along(element).maxVoltageRms()
                : RunProfile.pad(element, assessment).voltageRms();
    }

    /** The matched power that would strain an element as much, W. */
    public double equivalentMatchedPowerW(int element) {
        return isLine(element)
                ? along(element).equivalentMatchedPowerW()
                : RunProfile.pad(element, assessment).equivalentMatchedPowerW();
    }

    private LineTracer along(int element) {
        if (followed[element] == null) {
            followed[element] = LineTracer.along(assessment, element, 0);
        }
        return followed[element];
    }

    private boolean isLine(int element) {
        return assessment.run().elements().get(element) instanceof Element.Line;
    }
}
