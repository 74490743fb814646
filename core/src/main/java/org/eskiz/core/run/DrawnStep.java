package org.eskiz.core.run;

import java.util.ArrayList;
import java.util.List;
import org.apache.commons.numbers.complex.Complex;
import org.eskiz.core.cable.Attenuation;
import org.eskiz.core.unit.Decibels;

/** What one piece of a run does to voltage and current in each of many draws. */
sealed interface DrawnStep {

    /** The states on the radio's side of it, from those on the antenna's. */
    void towardRadio(DrawnStates antennaSide, DrawnStates radioSide);

    /** The steps of one element where it stands, in order from the antenna: a bump or a ratio, then what it loses. */
    static List<DrawnStep> of(Run run, int index, Conditions at, double radioOhm, Draws draws, double[] conductor) {
        Element element = run.elements().get(index);
        if (element instanceof Element.Line line) {
            return List.of(line(line, index, at, draws, conductor));
        }
        if (element.isAbsent()) {
            return List.of(new Turns(1));
        }
        if (element instanceof Element.Measured measured) {
            return List.of(new Matrix(measured.table().twoPort(at.frequencyMHz())));
        }
        double ohm = run.standingOhm(index, radioOhm);
        List<DrawnStep> steps = new ArrayList<>();
        if (element instanceof Element.Transformer t) {
            steps.add(new Turns(Math.sqrt(t.impedanceRatio())));
        }
        if (element instanceof Element.Pad pad) {
            pad.bump().ifPresent(b -> {
                Waves bump = new Waves(b.impedanceOhm(), 0, draws.count());
                double radians = b.radians(at.frequencyMHz());
                for (int k = 0; k < draws.count(); k++) {
                    bump.set(k, 0, radians);
                }
                steps.add(bump);
            });
        }
        Waves loss = new Waves(ohm, 0, draws.count());
        double nepers = element.heatDb(at.frequencyMHz(), at.ambientC()) / Decibels.PER_NEPER;
        for (int k = 0; k < draws.count(); k++) {
            loss.set(k, nepers * draws.loss()[index][k], 0);
        }
        steps.add(loss);
        return steps;
    }

    /** Its characteristic impedance stays as it is on paper: with the loss it turns by less than matters to anybody. */
    private static Waves line(Element.Line line, int index, Conditions at, Draws draws, double[] conductor) {
        LineConstants constants = LineConstants.of(line.cable(), at.frequencyMHz(), at.ambientC());
        Attenuation law = line.cable().attenuation();
        double ofConductor = law.conductorDbPer100m(at.frequencyMHz(), at.ambientC()) / 100 / Decibels.PER_NEPER;
        double ofDielectric = constants.gamma().real() - ofConductor;
        Waves waves = new Waves(constants.z0().real(), constants.z0().imag(), draws.count());
        for (int k = 0; k < draws.count(); k++) {
            double lengthM = line.lengthM() * draws.length()[index][k];
            waves.set(
                    k,
                    (ofConductor * conductor[k] + ofDielectric) * draws.loss()[index][k] * lengthM,
                    constants.gamma().imag() * lengthM);
        }
        return waves;
    }

    /** An ideal transformer. */
    record Turns(double turns) implements DrawnStep {

        @Override
        public void towardRadio(DrawnStates from, DrawnStates to) {
            for (int k = 0; k < from.count(); k++) {
                to.vr[k] = from.vr[k] / turns;
                to.vi[k] = from.vi[k] / turns;
                to.ir[k] = from.ir[k] * turns;
                to.ii[k] = from.ii[k] * turns;
            }
        }
    }

    /** A two-port that was measured; what it does is not drawn. */
    record Matrix(TwoPort twoPort) implements DrawnStep {

        @Override
        public void towardRadio(DrawnStates from, DrawnStates to) {
            for (int k = 0; k < from.count(); k++) {
                PortState there = twoPort.towardRadio(new PortState(
                        Complex.ofCartesian(from.vr[k], from.vi[k]), Complex.ofCartesian(from.ir[k], from.ii[k])));
                to.vr[k] = there.voltage().real();
                to.vi[k] = there.voltage().imag();
                to.ir[k] = there.current().real();
                to.ii[k] = there.current().imag();
            }
        }
    }

    /** A length of something with an impedance of its own, as its two waves: {@link TwoPort#line} in plain numbers. */
    final class Waves implements DrawnStep {

        private final double zr;
        private final double zi;
        private final double yr;
        private final double yi;
        private final double[] growR;
        private final double[] growI;
        private final double[] decayR;
        private final double[] decayI;

        Waves(double zr, double zi, int count) {
            this.zr = zr;
            this.zi = zi;
            double norm = zr * zr + zi * zi;
            this.yr = zr / norm;
            this.yi = -zi / norm;
            growR = new double[count];
            growI = new double[count];
            decayR = new double[count];
            decayI = new double[count];
        }

        void set(int k, double nepers, double radians) {
            double grow = Math.exp(nepers) / 2;
            double decay = 0.25 / grow;
            double place = Circle.place(radians);
            double cos = Circle.cos(place);
            double sin = Circle.sin(place);
            growR[k] = grow * cos;
            growI[k] = grow * sin;
            decayR[k] = decay * cos;
            decayI[k] = -decay * sin;
        }

        @Override
        public void towardRadio(DrawnStates from, DrawnStates to) {
            for (int k = 0; k < from.count(); k++) {
                double zir = zr * from.ir[k] - zi * from.ii[k];
                double zii = zr * from.ii[k] + zi * from.ir[k];
                double forwardR = from.vr[k] + zir;
                double forwardI = from.vi[k] + zii;
                double backR = from.vr[k] - zir;
                double backI = from.vi[k] - zii;
                double sentR = forwardR * growR[k] - forwardI * growI[k];
                double sentI = forwardR * growI[k] + forwardI * growR[k];
                double cameR = backR * decayR[k] - backI * decayI[k];
                double cameI = backR * decayI[k] + backI * decayR[k];
                to.vr[k] = sentR + cameR;
                to.vi[k] = sentI + cameI;
                double differenceR = sentR - cameR;
                double differenceI = sentI - cameI;
                to.ir[k] = yr * differenceR - yi * differenceI;
                to.ii[k] = yr * differenceI + yi * differenceR;
            }
        }
    }
}
