package org.eskiz.core.bench;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;

/**
 * A line on the bench as its sweeps show it.
 *
 * @param sweep that its points come from
 * @param lengthM as it was stated, else by the velocity factor of its type; empty where neither is known
 * @param joints at its ends, entered or not, as they show in the sweep; empty where there are none, or where the type or the length
 *     is not known
 */
public record SweptLine(
        TestSubject subject, Sweep sweep, MeasuredLine line, OptionalDouble lengthM, Optional<SweptJoints> joints) {

    private static final int ENOUGH_FOR_A_CAUSE = 24;
    private static final int ENOUGH_FOR_A_RIPPLE = 80;

    private static final int WITHOUT_BANDS = 8;

    /** A velocity factor known no better than this is no result. */
    private static final double MOST_LENGTH_UNCERTAINTY = 0.03;

    /** Less than this inside a cable matters to nobody: an SWR of 1.2, a return loss of 20 dB. */
    private static final double WORTH_A_WORD = 0.1;

    /** Where a piece begins and ends is not known better than this, m. */
    private static final double END_M = 0.05;

    /** Longer than this no piece is taken to be without being asked, m. */
    private static final double LONGEST_UNASKED_M = 200;

    /** Of solid polyethylene, the slowest dielectric in use: the most careful guess. */
    private static final double USUAL_VELOCITY = 0.66;

    private static SweptLine of(TestSubject subject, Sweep sweep, MeasuredLine line) {
        OptionalDouble lengthM = subject.lengthM().isPresent() ? subject.lengthM() : lengthByTypeM(subject, line);
        return new SweptLine(subject, sweep, line, lengthM, joints(subject, line, lengthM));
    }

    private static Optional<SweptJoints> joints(TestSubject subject, MeasuredLine line, OptionalDouble lengthM) {
        List<TestJoint> joints = subject.joints().isEmpty() ? subject.notEntered() : subject.joints();
        return joints.isEmpty() || lengthM.isEmpty()
                ? Optional.empty()
                : subject.type()
                        .map(t ->
                                SweptJoints.of(joints, t.cable(), lengthM.getAsDouble(), subject.temperatureC(), line));
    }

    /** Reads the sweeps of a test; empty where there is none yet, or where no line can be made of it. */
    static Optional<SweptLine> of(BenchTest test, TestFindings findings) {
        try {
            Optional<SweptLine> swept = read(test, findings);
            swept.ifPresent(s -> s.againstType(findings));
            return swept;
        } catch (SweepException e) {
            findings.add(new TestFinding.Impossible(e));
            return Optional.empty();
        }
    }

    private static Optional<SweptLine> read(BenchTest test, TestFindings findings) {
        if (test.sweeps() instanceof TestSweeps.Through through) {
            return through(test.subject(), through, findings);
        }
        return test.sweeps() instanceof TestSweeps.OneEnd oneEnd
                ? oneEnd(test.subject(), oneEnd, findings)
                : Optional.empty();
    }

    private static Optional<SweptLine> through(TestSubject subject, TestSweeps.Through noted, TestFindings findings) {
        if (noted.sweep().isEmpty()) {
            findings.add(new TestFinding.Missing(TestFinding.Wanted.THROUGH_SWEEP));
            return Optional.empty();
        }
        if (!(noted.sweep().get() instanceof Sweep.TwoPort measured)) {
            throw new SweepException(
                    "this is a sweep of one port; a sweep through a cable has two. Measure from one end, or take the .s2p file");
        }
        if (measured.isOnePath()) {
            findings.add(new TestFinding.OnePath());
        }
        Sweep.TwoPort sweep = measured.isOnePath() ? measured.mirrored() : measured;
        List<SweepDoubt> doubts = SweepDoubt.of(sweep);
        findings.add(doubts);
        requireFineEnough(subject, sweep);
        MeasuredLine line = LineFromSweep.through(sweep);
        if (doubts.isEmpty()) {
            findings.add(SweepDoubt.of(sweep, line));
        }
        return Optional.of(of(subject, sweep, line));
    }

    private static Optional<SweptLine> oneEnd(TestSubject subject, TestSweeps.OneEnd noted, TestFindings findings) {
        Optional<Sweep.OnePort> open = noted.open().map(s -> onePort(s, "open"));
        Optional<Sweep.OnePort> shorted = noted.shorted().map(s -> onePort(s, "shorted"));
        if (open.isPresent() && open.equals(shorted)) {
            throw new SweepException(
                    "the same sweep is given with the far end open and with it shorted; one of the two is another file");
        }
        List<Sweep.OnePort> looks =
                Stream.concat(open.stream(), shorted.stream()).toList();
        if (looks.isEmpty()) {
            if (!noted.isTerminated()) {
                findings.add(new TestFinding.Missing(TestFinding.Wanted.ONE_END_SWEEP));
            }
            return Optional.empty();
        }
        looks.forEach(s -> {
            requireFineEnough(subject, s);
            findings.add(SweepDoubt.of(s));
        });
        if (looks.size() == 1) {
            findings.add(new TestFinding.Estimate(open.isEmpty()));
        }
        MeasuredLine line = looks.size() == 2
                ? LineFromSweep.openAndShorted(looks.get(0), looks.get(1))
                : LineFromSweep.fromOneEnd(looks.get(0));
        return Optional.of(of(subject, looks.get(0), line));
    }

    private static Sweep.OnePort onePort(Sweep sweep, String which) {
        if (sweep instanceof Sweep.OnePort one) {
            return one;
        }
        throw new SweepException(
                "the %s sweep is one of two ports; a look into one end has one. Choose the way of measuring from end to end"
                        .formatted(which));
    }

    private static void requireFineEnough(TestSubject subject, Sweep sweep) {
        subject.lengthM().ifPresent(m -> SweepSteps.requireFineEnough(sweep, m, guessedVelocity(subject)));
    }

    private static double guessedVelocity(TestSubject subject) {
        return subject.type().map(t -> t.cable().velocityFactor()).orElse(USUAL_VELOCITY);
    }

    private static OptionalDouble lengthByTypeM(TestSubject subject, MeasuredLine line) {
        return subject.type()
                .map(t -> OptionalDouble.of(line.lengthM(t.cable().velocityFactor())))
                .orElse(OptionalDouble.empty());
    }

    private void againstType(TestFindings findings) {
        velocityOfStated()
                .filter(this::isNoVelocity)
                .ifPresent(v -> findings.add(new TestFinding.NoVelocity(v, lengthUncertainty())));
        if (subject.lengthM().isEmpty() && longestM() < LONGEST_UNASKED_M) {
            findings.add(new TestFinding.LengthMayWrap(longestM()));
        }
        subject.type().ifPresent(type -> {
            line.impedanceOhm().ifPresent(ohm -> {
                if (!type.hasImpedance(ohm) && !type.hasImpedance(withoutJoints(ohm, type))) {
                    findings.add(
                            new TestFinding.OtherImpedance(ohm, type.cable().impedanceOhm()));
                }
            });
            if (isOfAnotherVelocity()) {
                double promised = type.cable().velocityFactor();
                findings.add(new TestFinding.OtherVelocity(
                        velocityFactor().getAsDouble(),
                        promised,
                        line.lengthM(promised),
                        subject.lengthM().getAsDouble()));
            }
        });
    }

    /** Joints of another impedance pull that of the whole along. */
    private double withoutJoints(double ohm, TypeSheet type) {
        return joints.map(j -> ohm * type.cable().impedanceOhm() / j.impedanceOhm())
                .orElse(ohm);
    }

    /** Whether a wave is faster or slower in it than its type can be. */
    boolean isOfAnotherVelocity() {
        OptionalDouble measured = velocityFactor();
        return measured.isPresent()
                && subject.type()
                        .filter(t -> !t.hasVelocityFactor(measured.getAsDouble(), lengthUncertainty()))
                        .isPresent();
    }

    /** By the velocity factor of its type, m; empty where no type is known. */
    public OptionalDouble lengthByTypeM() {
        return lengthByTypeM(subject, line);
    }

    /** How far that may be off, m: as cables of a type differ, and where an end begins, at both of them. */
    public OptionalDouble lengthByTypeUncertaintyM() {
        return lengthByTypeM().stream()
                .map(m ->
                        m * (TypeSheet.SAME_VELOCITY + line.certainty().electricalLengthM() / line.electricalLengthM())
                                + 2 * END_M)
                .findFirst();
    }

    /** By the length that was stated; empty where none was, or where the sweep cannot tell it. */
    public OptionalDouble velocityFactor() {
        return velocityOfStated()
                .filter(v -> !isNoVelocity(v))
                .map(OptionalDouble::of)
                .orElse(OptionalDouble.empty());
    }

    private Optional<Double> velocityOfStated() {
        return subject.lengthM().isPresent()
                ? Optional.of(line.velocityFactor(subject.lengthM().getAsDouble()))
                : Optional.empty();
    }

    /** No wave is faster than light, and what is known no better than this is not known. */
    private boolean isNoVelocity(double velocityFactor) {
        return velocityFactor > 1 || lengthUncertainty() > MOST_LENGTH_UNCERTAINTY;
    }

    /** Expanded uncertainty of the length for a wave, as a share of it: of the phase, and of the ends. */
    public double lengthUncertainty() {
        return line.certainty().electricalLengthM() / line.electricalLengthM()
                + subject.lengthM().stream().map(m -> END_M / m).findFirst().orElse(0);
    }

    /** The longest line that the steps of the sweep can follow, m. */
    public double longestM() {
        return SweepSteps.longestLengthM(sweep, guessedVelocity(subject));
    }

    /** What its type promises as a sweep shows it, with its joints; empty where the type or the length is not known. */
    public Optional<Expectation> expectation() {
        return subject.expectation(lengthM, TestSubject.Seen.BY_SWEEP)
                .map(plain -> joints.map(plain::withJointsSeenAs).orElse(plain));
    }

    /** Standard deviation of the ripple that joints at its ends make, dB: no more than the sweep shows. */
    double rippleDb() {
        return joints.map(j -> Math.min(j.rippleDb(), line.rippleDb())).orElse(0.0);
    }

    /** What changes along it and is worth a word, the strongest first; where no speed of a wave is known, nothing is. */
    List<DistanceToFault.Peak> changes() {
        OptionalDouble speed = velocityFactor().isPresent()
                ? velocityFactor()
                : subject.type().stream()
                        .mapToDouble(t -> t.cable().velocityFactor())
                        .findFirst();
        if (speed.isEmpty()) {
            return List.of();
        }
        Sweep.OnePort near = sweep instanceof Sweep.TwoPort two ? two.nearEnd() : (Sweep.OnePort) sweep;
        try {
            return DistanceToFault.of(
                            near,
                            Window.KAISER,
                            new DistanceToFault.Line(
                                    speed.getAsDouble(),
                                    subject.type().map(t -> t.cable().attenuation()),
                                    lengthM,
                                    List.of()))
                    .peaks()
                    .stream()
                    .filter(p -> p.kind() == DistanceToFault.Kind.CHANGE && p.reflection() >= WORTH_A_WORD)
                    .sorted(Comparator.comparingDouble(p -> -p.reflection()))
                    .toList();
        } catch (SweepException tooFewOrUneven) {
            return List.of();
        }
    }

    /** Losses at the bands that are wanted, those outside the sweep left out; without any, a few over the sweep. */
    List<LossPoint> points(List<Double> bandsMHz, TestFindings findings) {
        List<Double> outside = bandsMHz.stream().filter(f -> !sweep.covers(f)).toList();
        if (!outside.isEmpty()) {
            List<Double> f = sweep.frequenciesMHz();
            findings.add(new TestFinding.BandNotSwept(outside, f.get(0), f.get(f.size() - 1)));
        }
        MeasuredLine smooth = judgedLine();
        List<LossPoint> points = bandsMHz.stream()
                .sorted()
                .distinct()
                .map(smooth::measuredAt)
                .flatMap(Optional::stream)
                .toList();
        return points.isEmpty() ? smooth.spread(WITHOUT_BANDS) : points;
    }

    /** Over a ripple of joints that reflect the mean is what a cable loses. */
    private MeasuredLine judgedLine() {
        return rippleDb() > 0 ? line.withoutRipple() : line;
    }

    /** Enough of them to tell the shape of an excess; where a ripple was taken off, no better known than that was high. */
    List<LossPoint> spread() {
        double rippleDb = rippleDb();
        return judgedLine().spread(ENOUGH_FOR_A_CAUSE).stream()
                .map(p -> rippling(p, rippleDb))
                .toList();
    }

    /** The same as they were swept, with the ripple in them; what the joints explain of it is uncertain. */
    List<LossPoint> rippled() {
        double rippleDb = rippleDb();
        return line.spread(ENOUGH_FOR_A_RIPPLE).stream()
                .map(p -> rippling(p, rippleDb))
                .toList();
    }

    private static LossPoint rippling(LossPoint point, double rippleDb) {
        return new LossPoint(
                point.frequencyMHz(), point.lossDb(), point.uncertainty().with(Uncertainty.Source.RIPPLE, rippleDb));
    }
}
