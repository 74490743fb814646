package org.eskiz.server.bench;

import static java.util.Objects.requireNonNullElse;

import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.eskiz.core.bench.Expectation;
import org.eskiz.core.bench.LossPoint;
import org.eskiz.core.bench.MeasuredLine;
import org.eskiz.core.bench.Sweep;
import org.eskiz.core.bench.SweepDoubt;
import org.eskiz.server.bench.BenchAnalysisResponse.Code;
import org.eskiz.server.bench.BenchAnalysisResponse.SweptLineResponse;
import org.eskiz.server.bench.BenchAnalysisResponse.SweptPointResponse;
import org.eskiz.server.catalogue.CableType;

/** What the sweeps of a test tell. */
final class SweptLine {

    private static final int MOST_DRAWN = 300;
    private static final int ENOUGH_FOR_A_CAUSE = 80;

    /** Of solid polyethylene, the slowest dielectric in use: the most careful guess. */
    private static final double USUAL_VELOCITY = 0.66;

    /** Types of the same name are made a little different; farther off than this it is another one. */
    private static final double SAME_VELOCITY = 0.03;

    private static final double SAME_IMPEDANCE = 0.06;

    private final MeasuredTest test;
    private final Findings findings;
    private final Sweep sweep;
    private final MeasuredLine line;
    private final Double lengthM;
    private boolean isOfAnotherVelocity;

    private SweptLine(MeasuredTest test, Findings findings, Sweep sweep, MeasuredLine line) {
        this.test = test;
        this.findings = findings;
        this.sweep = sweep;
        this.line = line;
        Double stated = test.noted().lengthM();
        this.lengthM = stated == null ? lengthByType() : stated;
        differences();
    }

    /** Reads the sweeps of a test; empty where there is none yet, or where it cannot be worked out. */
    static Optional<SweptLine> of(MeasuredTest test, Findings findings) {
        try {
            return test.noted().method() == BenchMethod.THROUGH_SWEEP
                    ? through(test, findings)
                    : oneEnd(test, findings);
        } catch (IllegalArgumentException e) {
            findings.add(Code.IMPOSSIBLE, e.getMessage());
            return Optional.empty();
        }
    }

    private static Optional<SweptLine> through(MeasuredTest test, Findings findings) {
        Optional<Sweep> found = test.sweep(test.noted().throughFileId());
        if (found.isEmpty()) {
            findings.add(Code.MISSING, "a sweep from one end to the other (.s2p)", "what", "through");
            return Optional.empty();
        }
        if (!(found.get() instanceof Sweep.TwoPort sweep)) {
            throw new IllegalArgumentException(
                    "this is a sweep of one port; a sweep through a cable has two. Measure from one end, or take the .s2p file");
        }
        List<SweepDoubt> doubts = SweepDoubt.of(sweep);
        findings.add(doubts);
        requireFineEnough(test, sweep);
        MeasuredLine line = MeasuredLine.through(sweep);
        if (doubts.isEmpty()) {
            findings.add(SweepDoubt.of(sweep, line));
        }
        return Optional.of(new SweptLine(test, findings, sweep, line));
    }

    private static Optional<SweptLine> oneEnd(MeasuredTest test, Findings findings) {
        Optional<Sweep.OnePort> open = onePort(test, test.noted().openFileId(), "open");
        Optional<Sweep.OnePort> shorted = onePort(test, test.noted().shortedFileId(), "shorted");
        List<Sweep.OnePort> both =
                Stream.concat(open.stream(), shorted.stream()).toList();
        if (both.isEmpty() && test.noted().terminatedFileId() != null) {
            return Optional.empty();
        }
        if (both.isEmpty()) {
            findings.add(
                    Code.MISSING,
                    "a sweep of one end with the far one open, and one with it shorted",
                    "what",
                    "oneEnd");
            return Optional.empty();
        }
        both.forEach(s -> {
            requireFineEnough(test, s);
            findings.add(SweepDoubt.of(s));
        });
        if (both.size() == 1) {
            findings.add(
                    Code.ESTIMATE,
                    "half the return loss of one look, smoothed: an estimate. A second sweep with the far end %s makes it a measurement"
                            .formatted(open.isPresent() ? "shorted" : "open"),
                    "missing",
                    open.isPresent() ? "shorted" : "open");
        }
        MeasuredLine line = both.size() == 2
                ? MeasuredLine.openAndShorted(both.get(0), both.get(1))
                : MeasuredLine.fromOneEnd(both.get(0));
        return Optional.of(new SweptLine(test, findings, both.get(0), line));
    }

    private static Optional<Sweep.OnePort> onePort(MeasuredTest test, UUID file, String which) {
        return test.sweep(file).map(s -> {
            if (s instanceof Sweep.OnePort one) {
                return one;
            }
            throw new IllegalArgumentException(
                    "the %s sweep is one of two ports; a look into one end has one. Choose the way of measuring from end to end"
                            .formatted(which));
        });
    }

    private static void requireFineEnough(MeasuredTest test, Sweep sweep) {
        if (test.noted().lengthM() != null) {
            MeasuredLine.requireFineEnough(sweep, test.noted().lengthM(), velocity(test));
        }
    }

    private static double velocity(MeasuredTest test) {
        return test.type().map(t -> t.fittedCable().velocityFactor()).orElse(USUAL_VELOCITY);
    }

    private Double lengthByType() {
        return test.type()
                .map(t -> line.lengthM(t.fittedCable().velocityFactor()))
                .orElse(null);
    }

    private void differences() {
        test.type().ifPresent(type -> {
            double impedance = type.fittedCable().impedanceOhm();
            if (line.impedanceOhm().isPresent()
                    && Math.abs(line.impedanceOhm().getAsDouble() - impedance) > SAME_IMPEDANCE * impedance) {
                findings.add(
                        Code.OTHER_IMPEDANCE,
                        String.format(
                                Locale.ROOT,
                                "it has %.1f Ω, where %s has %s Ω",
                                line.impedanceOhm().getAsDouble(),
                                type.facts().name(),
                                impedance),
                        "measuredOhm",
                        line.impedanceOhm().getAsDouble(),
                        "typeOhm",
                        impedance);
            }
            if (test.noted().lengthM() != null) {
                velocityAgainst(type, test.noted().lengthM());
            }
        });
    }

    private void velocityAgainst(CableType type, double statedM) {
        double measured = line.velocityFactor(statedM);
        double promised = type.fittedCable().velocityFactor();
        isOfAnotherVelocity = Math.abs(measured - promised) > SAME_VELOCITY * promised;
        if (isOfAnotherVelocity) {
            findings.add(
                    Code.OTHER_VELOCITY,
                    String.format(
                            Locale.ROOT,
                            "a wave is in it at %.3f of light's speed, where %s has %s: it is another cable, or %.2f m long rather than %s m",
                            measured,
                            type.facts().name(),
                            promised,
                            line.lengthM(promised),
                            statedM),
                    "measured",
                    measured,
                    "promised",
                    promised,
                    "lengthByTypeM",
                    line.lengthM(promised),
                    "statedM",
                    statedM);
        }
    }

    boolean isOfAnotherVelocity() {
        return isOfAnotherVelocity;
    }

    /** Of the piece: as it was stated, else by the velocity factor of its type; null where neither is known. */
    Double lengthM() {
        return lengthM;
    }

    /** By the length that was stated; null where none was. */
    Double velocityFactor() {
        return test.noted().lengthM() == null
                ? null
                : Double.valueOf(line.velocityFactor(test.noted().lengthM()));
    }

    /** Losses at the bands that are wanted, those outside the sweep left out. */
    List<LossPoint> points() {
        List<Double> wanted = requireNonNullElse(test.noted().bandsMHz(), List.of());
        List<Double> outside = wanted.stream().filter(f -> !sweep.covers(f)).toList();
        if (!outside.isEmpty()) {
            List<Double> f = sweep.frequenciesMHz();
            findings.add(
                    Code.BAND_NOT_SWEPT,
                    "the sweep goes from %s to %s MHz, so it says nothing at %s"
                            .formatted(
                                    f.get(0),
                                    f.get(f.size() - 1),
                                    outside.stream().map(x -> x + " MHz").collect(Collectors.joining(", "))),
                    "frequenciesMHz",
                    outside);
        }
        List<LossPoint> points = wanted.stream()
                .sorted()
                .distinct()
                .map(line::measuredAt)
                .flatMap(Optional::stream)
                .toList();
        return points.isEmpty() ? line.spread(8) : points;
    }

    /** Enough of them to tell the shape of an excess, and a ripple. */
    List<LossPoint> spread() {
        return line.spread(ENOUGH_FOR_A_CAUSE);
    }

    SweptLineResponse response() {
        return new SweptLineResponse(
                line.impedanceOhm().isPresent() ? line.impedanceOhm().getAsDouble() : null,
                lengthByType(),
                velocityFactor(),
                MeasuredLine.longestLengthM(sweep, velocity(test)),
                line.isEstimate());
    }

    List<SweptPointResponse> curve() {
        Optional<Expectation> expectation = test.expectation(lengthM);
        List<Integer> all = IntStream.range(0, line.points().size()).boxed().toList();
        return MeasuredLine.evenly(all, MOST_DRAWN).stream()
                .map(i -> point(i, expectation))
                .filter(Objects::nonNull)
                .toList();
    }

    private SweptPointResponse point(int i, Optional<Expectation> expectation) {
        MeasuredLine.Point p = line.points().get(i);
        double returnLoss = sweep instanceof Sweep.TwoPort two ? two.returnLossDb(i) : Double.NaN;
        if (!Double.isFinite(p.matchedLossDb()) || !Double.isFinite(p.plainLossDb())) {
            return null;
        }
        return new SweptPointResponse(
                p.frequencyMHz(),
                p.matchedLossDb(),
                p.plainLossDb(),
                Double.isFinite(returnLoss) ? returnLoss : null,
                lengthM == null ? null : Double.valueOf(p.matchedLossDb() * 100 / lengthM),
                expectation.map(e -> e.lossDb(p.frequencyMHz())).orElse(null));
    }
}
