package org.eskiz.core.run;

import org.apache.commons.numbers.complex.Complex;

/**
 * The two waves on one line, for one state of its antenna end: V(z) = V⁺·e^{γz} + V⁻·e^{−γz} and
 * I(z) = (V⁺·e^{γz} − V⁻·e^{−γz}) / Z0, with z in metres from the antenna end.
 */
final class LineWaves {

    private final LineConstants line;
    private final Complex forward;
    private final Complex backward;
    private final double seriesOhmPerM;
    private final double shuntSiemensPerM;

    private LineWaves(LineConstants line, Complex forward, Complex backward) {
        this.line = line;
        this.forward = forward;
        this.backward = backward;
        this.seriesOhmPerM = line.gamma().multiply(line.z0()).real();
        this.shuntSiemensPerM = line.gamma().divide(line.z0()).real();
    }

    static LineWaves on(LineConstants line, PortState antennaEnd) {
        Complex driven = antennaEnd.current().multiply(line.z0());
        return new LineWaves(
                line,
                antennaEnd.voltage().add(driven).multiply(0.5),
                antennaEnd.voltage().subtract(driven).multiply(0.5));
    }

    PortState at(double zM) {
        Complex growth = line.gamma().multiply(zM).exp();
        Complex toAntenna = forward.multiply(growth);
        Complex toRadio = backward.divide(growth);
        return new PortState(toAntenna.add(toRadio), toAntenna.subtract(toRadio).divide(line.z0()));
    }

    /** |V|² along the line. */
    Ripple voltageSquared() {
        return ripple(1, 1);
    }

    /** |I|² along the line. */
    Ripple currentSquared() {
        double perOhm = 1 / line.z0().norm();
        return ripple(perOhm, -perOhm);
    }

    /** Heat per metre along the line. */
    Ripple heat() {
        double ofCurrent = seriesOhmPerM / line.z0().norm();
        return ripple(shuntSiemensPerM + ofCurrent, shuntSiemensPerM - ofCurrent);
    }

    private Ripple ripple(double ofEach, double ofBoth) {
        Complex both = forward.multiply(backward.conj());
        return new Ripple(
                ofEach * forward.norm(),
                ofEach * backward.norm(),
                2 * ofBoth * both.abs(),
                both.arg(),
                2 * line.gamma().real(),
                2 * line.gamma().imag());
    }

    /** Heat per metre: |I|²·R' + |V|²·G' with R' = Re(γ·Z0), G' = Re(γ/Z0); along the line it adds up to what is lost. */
    double heatWPerM(PortState at) {
        return at.current().norm() * seriesOhmPerM + at.voltage().norm() * shuntSiemensPerM;
    }
}
