package org.eskiz.core.run;

import java.util.List;
import org.eskiz.core.cable.Bump;

/**
 * What a part of a run gets at most, whatever the angle of the load: found without following a wave, so that of a ledger with
 * hundreds of cells only those are followed in which something may come near to its rating.
 *
 * <p>The SWR of parts in a row is at most the product of theirs, since reflections at worst add as the velocities of relativity
 * do; loss only lowers it. So it grows, from the antenna to the radio, by every step of impedance and by every bump. Where power
 * P passes a standing wave S in an impedance Z, no more than √(P·Z·S) volts stand anywhere on it, and nothing is heated more
 * than by the matched power P·S.
 *
 * @param element its index in the run
 * @param voltageRms the largest
 * @param equivalentMatchedPowerW the largest
 */
public record StrainBound(int element, double voltageRms, double equivalentMatchedPowerW) {

    /**
     * The impedance of a line is not quite real: its standing wave, and the product of voltage and current, may be greater by so
     * many times its imaginary over its real part.
     */
    private static final double NOT_QUITE_REAL = 6;

    /** One for each element. */
    public static StrainBound[] of(RunAssessment a) {
        List<Element> elements = a.run().elements();
        double enteringW = a.mostEnteringW();
        StrainBound[] bounds = new StrainBound[elements.size()];
        double ohm = a.radio().impedanceOhm();
        double swr = 0;
        for (int i = elements.size() - 1; i >= 0; i--) {
            Element element = elements.get(i);
            if (element instanceof Element.Aside) {
                bounds[i] = new StrainBound(i, 0, 0);
                continue;
            }
            double ownOhm = antennaSideOhm(a, i);
            swr = swr == 0 ? greatestSwr(a, ownOhm) : swr * step(ohm, ownOhm);
            if (element instanceof Element.Line line) {
                swr *= notQuiteReal(line, a.conditions());
            } else if (element instanceof Element.Pad pad && pad.bump().isPresent()) {
                swr *= swrOf(pad.bump().get(), ownOhm, a.conditions().frequencyMHz());
            }
            double greatest = swr;
            if (element instanceof Element.Measured measured) {
                swr = measured.table().greatestSwr(a.conditions().frequencyMHz(), swr);
                greatest = Math.max(greatest, swr);
            }
            bounds[i] = new StrainBound(
                    i, Math.sqrt(enteringW * Math.max(ownOhm, radioSideOhm(a, i)) * greatest), enteringW * greatest);
            ohm = radioSideOhm(a, i);
        }
        return bounds;
    }

    private static double greatestSwr(RunAssessment a, double ohm) {
        return StandingWave.swrOf(a.endStates().greatestReflection(ohm));
    }

    private static double radioSideOhm(RunAssessment a, int element) {
        return a.run().elements().get(element) instanceof Element.Line line
                ? line.cable().impedanceOhm()
                : a.run().standingOhm(element, a.radio().impedanceOhm());
    }

    private static double antennaSideOhm(RunAssessment a, int element) {
        double ratio = a.run().elements().get(element) instanceof Element.Transformer t ? t.impedanceRatio() : 1;
        return ratio * radioSideOhm(a, element);
    }

    private static double step(double ohm, double otherOhm) {
        return Math.max(ohm / otherOhm, otherOhm / ohm);
    }

    private static double notQuiteReal(Element.Line line, Conditions at) {
        var z0 =
                LineConstants.of(line.cable(), at.frequencyMHz(), at.ambientC()).z0();
        return 1 + NOT_QUITE_REAL * Math.abs(z0.imag()) / z0.real();
    }

    /** SWR of a short line of another impedance between two lines: |S11| = x/√(1 + x²) with x = sin θ·(k − 1/k)/2. */
    private static double swrOf(Bump bump, double ohm, double frequencyMHz) {
        double k = bump.impedanceOhm() / ohm;
        double x = Math.sin(bump.radians(frequencyMHz)) * (k - 1 / k) / 2;
        return StandingWave.swrOf(Math.abs(x) / Math.sqrt(1 + x * x));
    }
}
