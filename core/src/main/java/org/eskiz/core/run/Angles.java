package org.eskiz.core.run;

import java.util.Arrays;
import java.util.List;

/** Every angle of the load solved whole: what enters the run, what leaves it, what the radio sees. */
final class Angles {

    private final double[] efficiency;
    private final double[] accepted;
    private final double[] foldback;
    private final double[] reflectionAtRadio;

    private Angles(int count) {
        efficiency = new double[count];
        accepted = new double[count];
        foldback = new double[count];
        reflectionAtRadio = new double[count];
    }

    static Angles solve(TwoPort whole, List<PortState> atAntenna, Radio radio) {
        Angles angles = new Angles(atAntenna.size());
        for (int k = 0; k < atAntenna.size(); k++) {
            angles.solve(k, whole.towardRadio(atAntenna.get(k)), atAntenna.get(k), radio);
        }
        return angles;
    }

    private void solve(int k, PortState radioEnd, PortState antennaEnd, Radio radio) {
        boolean tuned = radio.matching() == Matching.AT_RADIO;
        efficiency[k] = antennaEnd.power() / radioEnd.power();
        reflectionAtRadio[k] = radioEnd.reflection(radio.impedanceOhm());
        accepted[k] = tuned ? 1 : radioEnd.acceptedFraction(radio.impedanceOhm());
        foldback[k] = tuned ? 1 : radio.foldbackFraction(reflectionAtRadio[k]);
    }

    int count() {
        return efficiency.length;
    }

    /** Fraction of the radio's power that enters the run at one angle. */
    double enteringFraction(int k) {
        return accepted[k] * foldback[k];
    }

    double meanEfficiency() {
        return mean(efficiency);
    }

    /** Mean of efficiency times what the run accepts, as if the radio never held back. */
    double meanAccepted() {
        return mean(product(efficiency, accepted));
    }

    /** Mean of efficiency times what really enters. */
    double meanDelivered() {
        return mean(delivered());
    }

    double leastDelivered() {
        return Arrays.stream(delivered()).min().orElseThrow();
    }

    double meanReflectionAtRadio() {
        return mean(reflectionAtRadio);
    }

    RunAssessment.EfficiencyRange efficiencyRange() {
        var range = Arrays.stream(efficiency).summaryStatistics();
        return new RunAssessment.EfficiencyRange(range.getMin(), range.getMax());
    }

    private double[] delivered() {
        return product(product(efficiency, accepted), foldback);
    }

    private static double[] product(double[] a, double[] b) {
        double[] product = new double[a.length];
        for (int k = 0; k < a.length; k++) {
            product[k] = a[k] * b[k];
        }
        return product;
    }

    private static double mean(double[] values) {
        return Arrays.stream(values).average().orElseThrow();
    }
}
