package org.eskiz.core.bench;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import org.eskiz.core.bench.SheetDeviation.Outcome;

/**
 * What a test comes to.
 *
 * @param rows what each row comes to, in order
 * @param figures one for each frequency
 * @param swept what sweeps show; empty without any
 * @param severalLengths cable and connectors parted by frequency, where pieces of different lengths were read
 * @param outcome against what the type promises; empty where no type is known or nothing was read
 * @param worst of the figures with that outcome the one that lies farthest off; empty where there is no outcome
 * @param causes of what is lost too much, the best first; several are rivals, and none can be claimed where there are none
 * @param likeTypes types whose sheet meets what was measured, where its own does not or is not known, the best first
 * @param ownCable a type made of the test; empty where there is too little to make one
 */
public record TestAnalysis(
        List<RowResult> rows,
        List<Figure> figures,
        Optional<SweptLine> swept,
        Map<Double, SeveralLengths> severalLengths,
        Optional<Outcome> outcome,
        Optional<Figure> worst,
        List<Cause> causes,
        List<Likeness> likeTypes,
        Optional<MadeCable> ownCable,
        List<TestFinding> findings) {

    /**
     * A loss at one frequency: of several rows at one their mean, and the interval of all.
     *
     * @param per100mDb empty where the length is not known
     * @param judged against its type; empty where the type or the length is not known
     */
    public record Figure(LossPoint point, OptionalDouble per100mDb, Optional<SheetDeviation.Judged> judged) {

        /** How far it lies off for what it may be off. */
        private double strain() {
            SheetDeviation.Judged j = judged.orElseThrow();
            return Math.abs(j.excessDb()) / j.allowedDb();
        }
    }

    /**
     * A type made of the test.
     *
     * @param points that were measured, thinned out: where its data sheet would have rows
     */
    public record MadeCable(OwnCable cable, List<OwnPoint> points) {}

    /**
     * A row of it.
     *
     * @param uncertaintyDbPer100m of what was measured there, expanded
     */
    public record OwnPoint(double frequencyMHz, double uncertaintyDbPer100m) {}

    private static final int MOST_OWN_POINTS = 12;
    private static final int MOST_LIKE = 3;
    private static final int MOST_CHANGES = 3;
    private static final int FEWEST_TO_LIKEN = 3;

    /** A type whose sheet the losses meet this closely on the mean may be the one. */
    private static final double LIKE = 0.1;

    private static final double RIPPLE_WORTH_A_WORD_DB = 0.1;

    /** Shorter than this a fixed loss stands out. */
    private static final double SHORT_M = 3;

    private static final double MUCH_FOR_A_SHORT_ONE_DB = 0.3;

    public TestAnalysis {
        rows = List.copyOf(rows);
        figures = List.copyOf(figures);
        causes = List.copyOf(causes);
        likeTypes = List.copyOf(likeTypes);
        findings = List.copyOf(findings);
    }

    /**
     * Works a test out.
     *
     * @param known types that the piece may be like
     */
    public static TestAnalysis of(BenchTest test, List<TypeSheet> known) {
        return new Working(test).analysis(known);
    }

    /** A test half worked out. */
    private static final class Working {

        private final BenchTest test;
        private final TestSubject subject;
        private final TestFindings findings = new TestFindings();
        private final Optional<SweptLine> swept;
        private final RowReadings rows;
        private final List<LossPoint> points;
        private final OptionalDouble lengthM;

        Working(BenchTest test) {
            this.test = test;
            this.subject = test.subject();
            this.swept = SweptLine.of(test, findings);
            this.rows = new RowReadings(test, findings);
            this.points = test.sweeps() instanceof TestSweeps.None
                    ? rows.points()
                    : swept.map(s -> s.points(test.bandsMHz(), findings)).orElse(List.of());
            this.lengthM = swept.map(SweptLine::lengthM).orElse(subject.lengthM());
        }

        TestAnalysis analysis(List<TypeSheet> known) {
            Map<Double, SeveralLengths> parted = rows.severalLengths();
            Optional<SheetDeviation> deviation =
                    points.isEmpty() ? Optional.empty() : expectation().map(e -> SheetDeviation.of(points, e));
            List<Figure> figures = figures(deviation);
            Optional<Outcome> outcome = deviation.map(SheetDeviation::outcome);
            Optional<Figure> worst = outcome.map(o -> worst(figures, o));
            lead();
            missing();
            shortAndLossy(outcome, worst);
            deviation.filter(d -> d.outcome() == Outcome.CANNOT_TELL).ifPresent(this::wouldTell);
            swept.ifPresent(this::jointsRipple);
            swept.ifPresent(s -> s.changes().stream()
                    .limit(MOST_CHANGES)
                    .forEach(c -> findings.add(new TestFinding.ChangeInside(c.distanceM(), c.returnLossDb()))));
            List<Cause> causes = deviation
                    .filter(d -> d.outcome() == Outcome.WORSE)
                    .map(this::causes)
                    .orElse(List.of());
            return new TestAnalysis(
                    judgedRows(figures),
                    figures,
                    swept,
                    parted,
                    outcome,
                    worst,
                    causes,
                    likeTypes(known, outcome),
                    ownCable(causes),
                    findings.all());
        }

        /** A row of the test's own length is judged as its frequency is, among all others. */
        private List<RowResult> judgedRows(List<Figure> figures) {
            return rows.results().stream()
                    .map(r -> figures.stream()
                            .filter(f -> r.point().isPresent()
                                    && r.lengthM().equals(lengthM)
                                    && f.point.frequencyMHz() == r.frequencyMHz())
                            .findFirst()
                            .flatMap(Figure::judged)
                            .map(j -> r.judged(j.outcome()))
                            .orElse(r))
                    .toList();
        }

        private List<Figure> figures(Optional<SheetDeviation> deviation) {
            return IntStream.range(0, points.size())
                    .mapToObj(i -> new Figure(
                            points.get(i),
                            lengthM.isPresent()
                                    ? OptionalDouble.of(points.get(i).lossDb() * 100 / lengthM.getAsDouble())
                                    : OptionalDouble.empty(),
                            deviation.map(d -> d.judged().get(i))))
                    .toList();
        }

        private static Figure worst(List<Figure> figures, Outcome outcome) {
            return figures.stream()
                    .filter(f -> f.judged.orElseThrow().outcome() == outcome)
                    .max(Comparator.comparingDouble(Figure::strain))
                    .orElseThrow();
        }

        /**
         * A sweep tells the shape of an excess better than its bands do. Where a wave has another speed than in its type,
         * the excess is over the sheet of another cable, and its shape says nothing.
         */
        private List<Cause> causes(SheetDeviation deviation) {
            if (swept.filter(SweptLine::isOfAnotherVelocity).isPresent()) {
                return List.of();
            }
            return swept.flatMap(s -> s.expectation().map(e -> sweptCauses(s, e)))
                    .orElse(deviation.causes());
        }

        private static List<Cause> sweptCauses(SweptLine swept, Expectation expectation) {
            return Causes.ripple(SheetDeviation.of(swept.rippled(), expectation).judged())
                    .map(List::of)
                    .orElseGet(() -> Causes.of(
                            SheetDeviation.of(swept.spread(), expectation).judged(), expectation));
        }

        private Optional<Expectation> expectation() {
            return swept.map(SweptLine::expectation)
                    .orElseGet(() -> subject.expectation(lengthM, TestSubject.Seen.BY_POWER));
        }

        /** What would decide: the frequency from which on the readings are good enough, or else what they suffer from most. */
        private void wouldTell(SheetDeviation deviation) {
            SheetDeviation.Judged best = deviation.judged().stream()
                    .max(Comparator.comparingDouble(
                            j -> j.expectedDb() / j.uncertainty().expandedDb()))
                    .orElseThrow();
            OptionalDouble fromMHz = expectation().orElseThrow().tellingFromMHz(best.uncertainty());
            findings.add(
                    fromMHz.isPresent()
                            ? new TestFinding.WouldTell(TestFinding.Remedy.HIGHER_BAND, fromMHz.getAsDouble())
                            : new TestFinding.WouldTell(
                                    remedy(best.uncertainty()), best.measured().frequencyMHz()));
        }

        private static TestFinding.Remedy remedy(Uncertainty uncertainty) {
            return switch (uncertainty.dominating().orElseThrow().source()) {
                case DRIFT -> TestFinding.Remedy.BASELINE_AGAIN;
                case FLICKER, REPEATABILITY, LEVELS, SCATTER -> TestFinding.Remedy.STEADY_READING;
                case METER_CLASS -> TestFinding.Remedy.ALIKE_LEVELS;
                case JOINTS_NOT_ENTERED, RIPPLE -> TestFinding.Remedy.ENTER_JOINTS;
                case ESTIMATE -> TestFinding.Remedy.BOTH_ENDS;
                case NOISE, CONNECTING, CALIBRATION -> TestFinding.Remedy.QUIETER_SWEEP;
                case RESOLUTION, AS_READ, MISMATCH -> TestFinding.Remedy.MORE_POWER;
            };
        }

        private void jointsRipple(SweptLine s) {
            double heightDb = 2 * Math.sqrt(2) * s.rippleDb();
            if (!subject.joints().isEmpty() && heightDb > RIPPLE_WORTH_A_WORD_DB) {
                findings.add(new TestFinding.JointsRipple(heightDb, s.line().rippleMHz()));
            }
        }

        private void lead() {
            Lead lead = test.meter().lead();
            if (lead instanceof Lead.StayedIn) {
                findings.add(new TestFinding.LeadStayedIn());
            } else if (lead instanceof Lead.TakenOut) {
                findings.add(new TestFinding.Missing(TestFinding.Wanted.LEAD));
            } else if (!(lead instanceof Lead.None) && !points.isEmpty()) {
                double highestMHz = points.get(points.size() - 1).frequencyMHz();
                findings.add(new TestFinding.LeadTakenOut(lead.missingDb(highestMHz), highestMHz));
            }
        }

        private void missing() {
            if (!points.isEmpty() && subject.type().isEmpty()) {
                findings.add(new TestFinding.Missing(TestFinding.Wanted.TYPE));
            } else if (!points.isEmpty() && lengthM.isEmpty()) {
                findings.add(new TestFinding.Missing(TestFinding.Wanted.LENGTH));
            }
        }

        /** So short a piece hardly loses anything in the cable. */
        private void shortAndLossy(Optional<Outcome> outcome, Optional<Figure> worst) {
            boolean isShort = lengthM.isPresent() && lengthM.getAsDouble() <= SHORT_M;
            if (isShort && outcome.equals(Optional.of(Outcome.WORSE))) {
                double excessDb = worst.orElseThrow().judged.orElseThrow().excessDb();
                if (excessDb > MUCH_FOR_A_SHORT_ONE_DB) {
                    findings.add(new TestFinding.ShortAndLossy(excessDb, lengthM.getAsDouble()));
                }
            }
        }

        private List<Likeness> likeTypes(List<TypeSheet> known, Optional<Outcome> outcome) {
            boolean isAsked = subject.type().isEmpty()
                    || outcome.filter(o -> o == Outcome.WORSE || o == Outcome.BETTER_THAN_IT_CAN_BE)
                            .isPresent();
            if (!isAsked || lengthM.isEmpty() || points.size() < FEWEST_TO_LIKEN) {
                return List.of();
            }
            OptionalDouble velocityFactor = swept.map(SweptLine::velocityFactor).orElse(OptionalDouble.empty());
            return known.stream()
                    .filter(t -> !subject.type().map(TypeSheet::key).equals(Optional.of(t.key())))
                    .filter(t -> velocityFactor.isEmpty()
                            || t.hasVelocityFactor(
                                    velocityFactor.getAsDouble(),
                                    swept.orElseThrow().lengthUncertainty()))
                    .map(t -> likeness(t, velocityFactor))
                    .filter(l -> l.lossShare() < LIKE)
                    .sorted(Comparator.comparingDouble(Likeness::distance))
                    .limit(MOST_LIKE)
                    .toList();
        }

        private Likeness likeness(TypeSheet type, OptionalDouble velocityFactor) {
            OptionalDouble impedanceOhm =
                    swept.map(s -> s.line().impedanceOhm()).orElse(OptionalDouble.empty());
            return new Likeness(
                    type,
                    distance(type),
                    share(velocityFactor, type.cable().velocityFactor()),
                    share(impedanceOhm, type.cable().impedanceOhm()));
        }

        private static OptionalDouble share(OptionalDouble measured, double promised) {
            return measured.isPresent()
                    ? OptionalDouble.of(Math.abs(measured.getAsDouble() - promised) / promised)
                    : OptionalDouble.empty();
        }

        private double distance(TypeSheet type) {
            TestSubject.Seen seen = swept.isPresent() ? TestSubject.Seen.BY_SWEEP : TestSubject.Seen.BY_POWER;
            return subject.expectation(type, lengthM.getAsDouble(), seen).meanDistance(points);
        }

        /** Joints of an own cable never say otherwise than the cause: where that is in the cable, they lose what they should. */
        private static boolean isOneOfTheJoints(List<Cause> causes) {
            return causes.isEmpty()
                    || causes.stream()
                            .anyMatch(c -> c.kind() == Cause.Kind.CONTACT || c.kind() == Cause.Kind.JOINTS_NOT_ENTERED);
        }

        private Optional<MadeCable> ownCable(List<Cause> causes) {
            List<LossPoint> measured = swept.map(SweptLine::spread).orElse(points);
            if (lengthM.isEmpty() || !OwnCable.isEnough(measured)) {
                return Optional.empty();
            }
            OwnCable own =
                    OwnCable.of(measured, lengthM.getAsDouble(), subject.temperatureC(), isOneOfTheJoints(causes));
            List<OwnPoint> rows = MeasuredLine.evenly(measured, MOST_OWN_POINTS).stream()
                    .filter(p -> own.sheetDbPer100m(p.frequencyMHz()) > 0)
                    .map(p ->
                            new OwnPoint(p.frequencyMHz(), p.uncertainty().expandedDb() * 100 / lengthM.getAsDouble()))
                    .toList();
            return rows.isEmpty() ? Optional.empty() : Optional.of(new MadeCable(own, rows));
        }
    }
}
