package org.eskiz.core.run;

import java.util.ArrayList;
import java.util.List;

/**
 * What happens along a run: voltage, current, power, SWR and heat inside every line, and the voltage at every joint.
 *
 * <p>The scale is that of the power which enters the run in the matching mode at hand. Where the load's angle is unknown
 * every angle is followed, each with the power that enters at it, and the smallest and largest are given.
 *
 * @param lines one for every line of the run, in order
 * @param pads one for every joint, device and transformer, in order
 */
public record RunProfile(List<LineProfile> lines, List<PadProfile> pads) {

    public RunProfile {
        lines = List.copyOf(lines);
        pads = List.copyOf(pads);
    }

    /**
     * A joint, device or transformer.
     *
     * @param element its index in the run
     * @param voltageRms larger one of its two sides, at the worst angle of the load
     * @param equivalentMatchedPowerW the matched power that would strain it as much, W: {@code P_in·(1 + |ρ|²)/(1 − |ρ|²)} at
     *     the worst angle, with P_in that enters the run and ρ of the standing wave where it sits, in its impedance
     */
    public record PadProfile(int element, double voltageRms, double equivalentMatchedPowerW) {}

    /**
     * Follows the waves along a run that has been assessed.
     *
     * @throws IllegalArgumentException for a receiver, which sends nothing
     */
    public static RunProfile of(RunAssessment assessment) {
        if (assessment.radio().powerW().isEmpty()) {
            throw new IllegalArgumentException("a receiver sends nothing: there is no voltage along its run");
        }
        List<Element> elements = assessment.run().elements();
        List<LineProfile> lines = new ArrayList<>();
        List<PadProfile> pads = new ArrayList<>();
        double fromRadioM = 0;
        for (int i = 0; i < elements.size(); i++) {
            if (elements.get(i) instanceof Element.Line line) {
                lines.add(LineTracer.along(assessment, i, fromRadioM).profile(i));
                fromRadioM += line.lengthM();
            } else if (!(elements.get(i) instanceof Element.Aside)) {
                pads.add(pad(i, assessment));
            }
        }
        return new RunProfile(lines, pads);
    }

    /** The impedance in which a part stands, on its radio side. */
    static double radioSideOhm(int element, RunAssessment assessment) {
        return assessment.run().standingOhm(element, assessment.radio().impedanceOhm());
    }

    /** Likewise on its antenna side. */
    static double antennaSideOhm(int element, RunAssessment assessment) {
        double ratio =
                assessment.run().elements().get(element) instanceof Element.Transformer t ? t.impedanceRatio() : 1;
        return ratio * radioSideOhm(element, assessment);
    }

    private static PadProfile pad(int element, RunAssessment assessment) {
        double radioSideOhm = radioSideOhm(element, assessment);
        double antennaSideOhm = antennaSideOhm(element, assessment);
        List<PortState> radioSides = assessment.statesAt(element);
        List<PortState> antennaSides = assessment.statesAt(element + 1);
        double volts = 0;
        double watts = 0;
        for (int k = 0; k < radioSides.size(); k++) {
            PortState radioSide = radioSides.get(k);
            PortState antennaSide = antennaSides.get(k);
            double rho = Math.max(radioSide.reflection(radioSideOhm), antennaSide.reflection(antennaSideOhm));
            watts = Math.max(watts, assessment.enteringW(k) * (1 + rho * rho) / (1 - rho * rho));
            volts = Math.max(
                    volts,
                    Math.max(radioSide.voltage().abs(), antennaSide.voltage().abs()));
        }
        return new PadProfile(element, volts, watts);
    }
}
