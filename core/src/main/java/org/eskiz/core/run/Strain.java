package org.eskiz.core.run;

/**
 * What single parts of an assessed run get, at the worst angle of the load: as {@link RunProfile} has it, without following the
 * waves along the others.
 */
public final class Strain {

    private final RunAssessment assessment;

    private Strain(RunAssessment assessment) {
        this.assessment = assessment;
    }

    /** Of a run of a radio that sends. */
    public static Strain on(RunAssessment assessment) {
        return new Strain(assessment);
    }

    /** The largest voltage on an element, V r.m.s. */
    public double voltageRms(int element) {
        return isLine(element)
                ? LineTracer.along(assessment, element, 0).maxVoltageRms()
                : RunProfile.pad(element, assessment).voltageRms();
    }

    /** The matched power that would strain an element as much, W. */
    public double equivalentMatchedPowerW(int element) {
        return isLine(element)
                ? LineTracer.along(assessment, element, 0).equivalentMatchedPowerW()
                : RunProfile.pad(element, assessment).equivalentMatchedPowerW();
    }

    private boolean isLine(int element) {
        return assessment.run().elements().get(element) instanceof Element.Line;
    }
}
