package org.eskiz.core.run;

/** Every angle of the load solved whole: what enters the run, what leaves it, what the radio sees. */
final class LoadAngles {

    private final EndStates atRadio;
    private final double[] entering;
    private double efficiencySum;
    private double acceptedSum;
    private double deliveredSum;
    private double reflectionSum;
    private double greatestReflection;
    private double leastDelivered = Double.POSITIVE_INFINITY;
    private double leastEfficiency = Double.POSITIVE_INFINITY;
    private double greatestEfficiency = Double.NEGATIVE_INFINITY;

    private LoadAngles(EndStates atRadio) {
        this.atRadio = atRadio;
        this.entering = new double[atRadio.count()];
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
        EndStates atRadio = behind.before(whole);
        LoadAngles angles = new LoadAngles(atRadio);
        for (int k = 0; k < leaving.length; k++) {
            angles.add(k, radio, leaving[k]);
        }
        return angles;
    }

    private void add(int k, Radio radio, double leaving) {
        double power = atRadio.power()[k];
        double forward = atRadio.forward(k, radio.impedanceOhm());
        double efficiency = leaving / power;
        double reflection = Math.sqrt(atRadio.backward(k, radio.impedanceOhm()) / forward);
        double accepted = radio.acceptedFraction(power, forward);
        double foldback = radio.madeFraction(reflection);

        entering[k] = accepted * foldback;
        efficiencySum += efficiency;
        acceptedSum += efficiency * accepted;
        deliveredSum += efficiency * accepted * foldback;
        reflectionSum += reflection;
        greatestReflection = Math.max(greatestReflection, reflection);
        leastDelivered = Math.min(leastDelivered, efficiency * accepted * foldback);
        leastEfficiency = Math.min(leastEfficiency, efficiency);
        greatestEfficiency = Math.max(greatestEfficiency, efficiency);
    }

    /** Fraction of the radio's power that enters the run at one angle. */
    double enteringFraction(int k) {
        return entering[k];
    }

    /** Power that enters the run at one angle, to the scale of the state at its end. */
    double powerAtRadio(int k) {
        return atRadio.power()[k];
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
