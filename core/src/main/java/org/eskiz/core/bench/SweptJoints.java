package org.eskiz.core.bench;

import java.util.Collections;
import java.util.List;
import java.util.Optional;
import org.apache.commons.numbers.complex.Complex;
import org.eskiz.core.cable.Cable;
import org.eskiz.core.cable.InsertionLoss;
import org.eskiz.core.run.LineConstants;
import org.eskiz.core.run.TwoPort;
import org.eskiz.core.unit.Decibels;
import org.hipparchus.stat.descriptive.moment.StandardDeviation;
import org.hipparchus.stat.descriptive.rank.Median;

/**
 * What joints at the ends add to the matched loss that a sweep shows: their pads, and the ripple of what their bumps reflect
 * between them. The cable with its joints is put together as in a plan, and read as the sweep is read; over a ripple the mean is
 * taken, as it is of the sweep.
 *
 * @param frequenciesMHz of the sweep
 * @param addedDb mean over a ripple, one for each
 * @param rippleDb standard deviation of the ripple about that, dB
 * @param impedanceOhm what the whole shows as its impedance, over the upper half of the sweep
 */
record SweptJoints(List<Double> frequenciesMHz, double[] addedDb, double rippleDb, double impedanceOhm)
        implements InsertionLoss {

    /** Where a two-port is read, Ω. */
    private static final double BENCH_OHM = 50;

    /**
     * Joints at both ends of a cable: of two the first at the near end and the second at the far one; more lie at the far end.
     *
     * @param line as it was swept, which tells how long it is for a wave
     */
    static SweptJoints of(List<TestJoint> joints, Cable cable, double lengthM, double temperatureC, MeasuredLine line) {
        // as fast as it was measured, so that the ripple lies where it does
        var asMeasured = new Cable(
                cable.impedanceOhm(),
                Math.min(1, line.velocityFactor(lengthM)),
                cable.attenuation(),
                Optional.empty(),
                cable.isCopperCladSteel());
        double[] f = line.points().stream()
                .mapToDouble(MeasuredLine.Point::frequencyMHz)
                .toArray();
        double[] added = new double[f.length];
        double[] ohm = new double[f.length];
        for (int i = 0; i < f.length; i++) {
            double heatDb = cable.attenuation().dbPer100m(f[i], temperatureC) * lengthM / 100;
            TwoPort whole = chain(joints, asMeasured, lengthM, f[i], temperatureC);
            added[i] = Math.log(growth(whole)) * Decibels.PER_NEPER - heatDb;
            ohm[i] = Math.abs(whole.b().divide(whole.c()).sqrt().real());
        }
        double[] mean = OverRipple.mean(f, added, line.rippleMHz());
        double[] about = new double[f.length];
        for (int i = 0; i < f.length; i++) {
            about[i] = added[i] - mean[i];
        }
        return new SweptJoints(
                line.points().stream().map(MeasuredLine.Point::frequencyMHz).toList(),
                mean,
                f.length < 2 ? 0 : new StandardDeviation().evaluate(about),
                new Median().evaluate(Phase.upperHalf(f, ohm)));
    }

    private static TwoPort chain(
            List<TestJoint> joints, Cable cable, double lengthM, double frequencyMHz, double temperatureC) {
        TwoPort whole = TwoPort.THROUGH;
        if (!joints.isEmpty()) {
            whole = joint(joints.get(0), frequencyMHz);
        }
        whole = whole.then(LineConstants.of(cable, frequencyMHz, temperatureC).ofLength(lengthM));
        for (int i = 1; i < joints.size(); i++) {
            whole = whole.then(joint(joints.get(i), frequencyMHz));
        }
        return whole;
    }

    private static TwoPort joint(TestJoint joint, double frequencyMHz) {
        TwoPort pad = TwoPort.pad(joint.pad().lossDb(frequencyMHz), BENCH_OHM);
        return joint.bump().map(b -> pad.then(TwoPort.bump(b, frequencyMHz))).orElse(pad);
    }

    /** |e^{γl}| of a two-port: as of a line, its larger eigenvalue. */
    private static double growth(TwoPort t) {
        Complex mean = t.a().add(t.d()).divide(2);
        Complex root = t.b().multiply(t.c()).sqrt();
        return Math.max(mean.add(root).abs(), mean.subtract(root).abs());
    }

    @Override
    public double lossDb(double frequencyMHz) {
        int found = Collections.binarySearch(frequenciesMHz, frequencyMHz);
        int nearest = found >= 0 ? found : Math.min(-found - 1, addedDb.length - 1);
        return Math.max(0, addedDb[nearest]);
    }

    @Override
    public boolean isExtrapolatedAt(double frequencyMHz) {
        return frequencyMHz > frequenciesMHz.get(frequenciesMHz.size() - 1);
    }
}
