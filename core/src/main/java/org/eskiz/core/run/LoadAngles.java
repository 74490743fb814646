package org.eskiz.core.run;

/** Every angle of the load solved whole: what enters the run, what leaves it, what the radio sees. */
final class LoadAngles {

    private final double[] entering;
    private final double[] atRadio;
    private double efficiencySum;
    private double acceptedSum;
    private double deliveredSum;
    private double reflectionSum;
    private double greatestReflection;
    private double leastDelivered = Double.POSITIVE_INFINITY;
    private double leastEfficiency = Double.POSITIVE_INFINITY;
    private double greatestEfficiency = Double.NEGATIVE_INFINITY;

    private LoadAngles(int count) {
        entering = new double[count];
        atRadio = new double[count];
    }

    /** Solves them all: the innermost loop of every ledger, gone through some twenty thousand times for one. */
    static LoadAngles solve(TwoPort whole, EndStates atAntenna, Radio radio) {
        return solve(whole, atAntenna, atAntenna.power(), radio);
    }

    /**
     * The same for the part of a run that ends before the antenna.
     *
     * @param whole that part
     * @param behind the states at its end
     * @param leaving power that the antenna gets in each of them
     */
    static LoadAngles solve(TwoPort whole, EndStates behind, double[] leaving, Radio radio) {
        double ar = whole.a().real();
        double ai = whole.a().imag();
        double br = whole.b().real();
        double bi = whole.b().imag();
        double cr = whole.c().real();
        double ci = whole.c().imag();
        double dr = whole.d().real();
        double di = whole.d().imag();
        LoadAngles angles = new LoadAngles(behind.count());
        for (int k = 0; k < leaving.length; k++) {
            double vr = behind.voltageReal(k);
            double vi = behind.voltageImag(k);
            double ir = behind.currentReal(k);
            double ii = behind.currentImag(k);
            double radioVr = ar * vr - ai * vi + br * ir - bi * ii;
            double radioVi = ar * vi + ai * vr + br * ii + bi * ir;
            double radioIr = cr * vr - ci * vi + dr * ir - di * ii;
            double radioIi = cr * vi + ci * vr + dr * ii + di * ir;
            angles.add(k, radio, leaving[k], radioVr, radioVi, radioIr, radioIi);
        }
        return angles;
    }

    private void add(int k, Radio radio, double leaving, double vr, double vi, double ir, double ii) {
        double ohm = radio.impedanceOhm();
        double power = vr * ir + vi * ii;
        double forward = square(vr + ohm * ir) + square(vi + ohm * ii);
        double backward = square(vr - ohm * ir) + square(vi - ohm * ii);
        double efficiency = leaving / power;
        double reflection = Math.sqrt(backward / forward);
        double accepted = radio.acceptedFraction(power, forward);
        double foldback = radio.madeFraction(reflection);

        entering[k] = accepted * foldback;
        atRadio[k] = power;
        efficiencySum += efficiency;
        acceptedSum += efficiency * accepted;
        deliveredSum += efficiency * accepted * foldback;
        reflectionSum += reflection;
        greatestReflection = Math.max(greatestReflection, reflection);
        leastDelivered = Math.min(leastDelivered, efficiency * accepted * foldback);
        leastEfficiency = Math.min(leastEfficiency, efficiency);
        greatestEfficiency = Math.max(greatestEfficiency, efficiency);
    }

    private static double square(double x) {
        return x * x;
    }

    /** Fraction of the radio's power that enters the run at one angle. */
    double enteringFraction(int k) {
        return entering[k];
    }

    /** Power that enters the run at one angle, to the scale of the state at its end. */
    double powerAtRadio(int k) {
        return atRadio[k];
    }

    double meanEfficiency() {
        return efficiencySum / entering.length;
    }

    /** Mean of efficiency times what the run accepts, as if the radio never held back. */
    double meanAccepted() {
        return acceptedSum / entering.length;
    }

    /** Mean of efficiency times what really enters. */
    double meanDelivered() {
        return deliveredSum / entering.length;
    }

    double leastDelivered() {
        return leastDelivered;
    }

    double meanReflectionAtRadio() {
        return reflectionSum / entering.length;
    }

    double greatestReflectionAtRadio() {
        return greatestReflection;
    }

    double leastEfficiency() {
        return leastEfficiency;
    }

    RunAssessment.EfficiencyRange efficiencyRange() {
        return new RunAssessment.EfficiencyRange(leastEfficiency, greatestEfficiency);
    }
}
