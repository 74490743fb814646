package org.eskiz.core.bench;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;

/**
 * A line on the bench as its sweeps show it.
 *
 * @param sweep that its points come from
 * @param lengthM as it was stated, else by the velocity factor of its type; empty where neither is known
 */
public record SweptLine(TestSubject subject, Sweep sweep, MeasuredLine line, OptionalDouble lengthM) {

    private static final int ENOUGH_FOR_A_CAUSE = 80;

    private static final int WITHOUT_BANDS = 8;

    /** Of solid polyethylene, the slowest dielectric in use: the most careful guess. */
    private static final double USUAL_VELOCITY = 0.66;

    private static SweptLine of(TestSubject subject, Sweep sweep, MeasuredLine line) {
        return new SweptLine(
                subject, sweep, line, subject.lengthM().isPresent() ? subject.lengthM() : lengthByTypeM(subject, line));
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
        if (!(noted.sweep().get() instanceof Sweep.TwoPort sweep)) {
            throw new SweepException(
                    "this is a sweep of one port; a sweep through a cable has two. Measure from one end, or take the .s2p file");
        }
        List<SweepDoubt> doubts = SweepDoubt.of(sweep);
        findings.add(doubts);
        requireFineEnough(subject, sweep);
        MeasuredLine line = MeasuredLine.through(sweep);
        if (doubts.isEmpty()) {
            findings.add(SweepDoubt.of(sweep, line));
        }
        return Optional.of(of(subject, sweep, line));
    }

    private static Optional<SweptLine> oneEnd(TestSubject subject, TestSweeps.OneEnd noted, TestFindings findings) {
        Optional<Sweep.OnePort> open = noted.open().map(s -> onePort(s, "open"));
        Optional<Sweep.OnePort> shorted = noted.shorted().map(s -> onePort(s, "shorted"));
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
                ? MeasuredLine.openAndShorted(looks.get(0), looks.get(1))
                : MeasuredLine.fromOneEnd(looks.get(0));
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
        subject.lengthM().ifPresent(m -> MeasuredLine.requireFineEnough(sweep, m, guessedVelocity(subject)));
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
        subject.type().ifPresent(type -> {
            line.impedanceOhm().ifPresent(ohm -> {
                if (!type.hasImpedance(ohm)) {
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

    /** Whether a wave is faster or slower in it than its type can be. */
    boolean isOfAnotherVelocity() {
        OptionalDouble measured = velocityFactor();
        return measured.isPresent()
                && subject.type()
                        .filter(t -> !t.hasVelocityFactor(measured.getAsDouble()))
                        .isPresent();
    }

    /** By the velocity factor of its type, m; empty where no type is known. */
    public OptionalDouble lengthByTypeM() {
        return lengthByTypeM(subject, line);
    }

    /** By the length that was stated; empty where none was. */
    public OptionalDouble velocityFactor() {
        return subject.lengthM().isPresent()
                ? OptionalDouble.of(line.velocityFactor(subject.lengthM().getAsDouble()))
                : OptionalDouble.empty();
    }

    /** The longest line that the steps of the sweep can follow, m. */
    public double longestM() {
        return MeasuredLine.longestLengthM(sweep, guessedVelocity(subject));
    }

    /** Losses at the bands that are wanted, those outside the sweep left out; without any, a few over the sweep. */
    List<LossPoint> points(List<Double> bandsMHz, TestFindings findings) {
        List<Double> outside = bandsMHz.stream().filter(f -> !sweep.covers(f)).toList();
        if (!outside.isEmpty()) {
            List<Double> f = sweep.frequenciesMHz();
            findings.add(new TestFinding.BandNotSwept(outside, f.get(0), f.get(f.size() - 1)));
        }
        List<LossPoint> points = bandsMHz.stream()
                .sorted()
                .distinct()
                .map(line::measuredAt)
                .flatMap(Optional::stream)
                .toList();
        return points.isEmpty() ? line.spread(WITHOUT_BANDS) : points;
    }

    /** Enough of them to tell the shape of an excess, and a ripple. */
    List<LossPoint> spread() {
        return line.spread(ENOUGH_FOR_A_CAUSE);
    }
}
