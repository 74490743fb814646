package org.eskiz.core.run;

/** Voltage and current at one boundary of a run in each of many draws; in plain numbers, for they are gone through often. */
final class DrawnStates {

    final double[] vr;
    final double[] vi;
    final double[] ir;
    final double[] ii;

    DrawnStates(int count) {
        vr = new double[count];
        vi = new double[count];
        ir = new double[count];
        ii = new double[count];
    }

    int count() {
        return vr.length;
    }

    void set(int draw, PortState state) {
        vr[draw] = state.voltage().real();
        vi[draw] = state.voltage().imag();
        ir[draw] = state.current().real();
        ii[draw] = state.current().imag();
    }

    /** Real power toward the antenna in one draw. */
    double power(int draw) {
        return vr[draw] * ir[draw] + vi[draw] * ii[draw];
    }
}
