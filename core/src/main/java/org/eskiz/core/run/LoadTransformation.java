package org.eskiz.core.run;

import org.apache.commons.numbers.complex.Complex;

/** What was measured at the radio end of a known run, carried through it to the antenna: de-embedding. */
public final class LoadTransformation {

    private LoadTransformation() {}

    /**
     * The antenna that shows an impedance at the radio, by the inverse of the run.
     *
     * @param atRadio measured at the radio end
     * @param run what it was measured through
     * @throws ImpossibleLoadException when no passive antenna behind this run can show it
     * @throws ReadingSaysNothingException when a matching unit at the antenna hides it
     */
    public static Load.Impedance impedance(Load.Impedance atRadio, Run run, Radio radio, Conditions at) {
        if (radio.matching() == Matching.AT_ANTENNA) {
            throw new ReadingSaysNothingException(
                    StandingWave.swrOf(seen(atRadio).reflection(radio.impedanceOhm())));
        }
        TwoPort whole = Chain.of(run.on(at.branch()), at, radio.impedanceOhm()).whole();
        PortState antenna = whole.towardAntenna(seen(atRadio));
        Complex ohm = antenna.impedance();
        if (!(antenna.power() > 0) || !Double.isFinite(ohm.real()) || !Double.isFinite(ohm.imag())) {
            throw ImpossibleLoadException.behindTheRun(atRadio, at.frequencyMHz());
        }
        return new Load.Impedance(ohm.real(), ohm.imag());
    }

    private static PortState seen(Load.Impedance atRadio) {
        return PortState.atImpedance(Complex.ofCartesian(atRadio.resistanceOhm(), atRadio.reactanceOhm()));
    }
}
