package org.eskiz.server.bench;

import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.IntStream;
import org.eskiz.core.bench.Cause;
import org.eskiz.core.bench.LossPoint;
import org.eskiz.core.bench.MeasuredLine;
import org.eskiz.core.bench.OwnCable;
import org.eskiz.core.bench.SheetDeviation;
import org.eskiz.core.bench.SheetDeviation.Outcome;
import org.eskiz.core.cable.Attenuation;
import org.eskiz.server.bench.BenchAnalysisResponse.BenchFigureResponse;
import org.eskiz.server.bench.BenchAnalysisResponse.CauseResponse;
import org.eskiz.server.bench.BenchAnalysisResponse.Code;
import org.eskiz.server.bench.BenchAnalysisResponse.OwnCableResponse;
import org.eskiz.server.bench.BenchAnalysisResponse.OwnPointResponse;
import org.eskiz.server.bench.BenchAnalysisResponse.SeveralLengthsResponse;
import org.eskiz.server.catalogue.CableType;

/** Works out what a test comes to. */
final class BenchAnalysis {

    private static final int MOST_OWN_POINTS = 12;
    private static final int MOST_LIKE = 3;
    private static final int FEWEST_TO_LIKEN = 3;

    /** A type whose sheet the losses meet this closely on the mean may be the one. */
    private static final double LIKE = 0.1;

    private static final double LIKE_VELOCITY = 0.03;

    /** Shorter than this a fixed loss stands out. */
    private static final double SHORT_M = 3;

    private static final double MUCH_FOR_A_SHORT_ONE_DB = 0.3;

    private final MeasuredTest test;
    private final Findings findings = new Findings();
    private final Optional<SweptLine> swept;
    private final ReadRows rows;
    private final List<LossPoint> points;
    private final Double lengthM;

    private BenchAnalysis(MeasuredTest test) {
        this.test = test;
        boolean isSweep = test.noted().method() == BenchMethod.THROUGH_SWEEP
                || test.noted().method() == BenchMethod.ONE_END_SWEEP;
        this.swept = isSweep ? SweptLine.of(test, findings) : Optional.empty();
        this.rows = new ReadRows(test, findings);
        this.points = isSweep ? swept.map(SweptLine::points).orElse(List.of()) : rows.points();
        this.lengthM = swept.map(SweptLine::lengthM).orElse(test.noted().lengthM());
    }

    static BenchAnalysisResponse of(MeasuredTest test) {
        return new BenchAnalysis(test).response();
    }

    private BenchAnalysisResponse response() {
        List<SeveralLengthsResponse> parted = rows.severalLengths();
        Optional<SheetDeviation> against =
                points.isEmpty() ? Optional.empty() : test.expectation(lengthM).map(e -> SheetDeviation.of(points, e));
        List<BenchFigureResponse> figures = IntStream.range(0, points.size())
                .mapToObj(i -> figure(points.get(i), against.map(a -> a.judged().get(i))))
                .toList();
        Optional<Outcome> outcome = against.map(SheetDeviation::outcome);
        Optional<BenchFigureResponse> worst = outcome.map(o -> worst(figures, o));
        lead();
        missing();
        shortAndLossy(outcome, worst);
        return new BenchAnalysisResponse(
                rows.results,
                figures,
                swept.map(SweptLine::response).orElse(null),
                swept.map(SweptLine::curve).orElse(List.of()),
                parted,
                outcome.orElse(null),
                worst.orElse(null),
                outcome.filter(o -> o == Outcome.WORSE)
                        .flatMap(o -> cause(against.orElseThrow()))
                        .map(c -> new CauseResponse(c.kind(), c.share(), c.amount()))
                        .orElse(null),
                likeTypes(outcome),
                ownCable().orElse(null),
                findings.found);
    }

    private BenchFigureResponse figure(LossPoint p, Optional<SheetDeviation.Judged> judged) {
        return new BenchFigureResponse(
                p.frequencyMHz(),
                p.lossDb(),
                p.leastDb(),
                p.mostDb(),
                lengthM == null ? null : Double.valueOf(p.lossDb() * 100 / lengthM),
                judged.map(SheetDeviation.Judged::expectedDb).orElse(null),
                judged.map(SheetDeviation.Judged::allowedDb).orElse(null),
                judged.map(SheetDeviation.Judged::excessDb).orElse(null),
                judged.map(j -> 100 * p.lossDb() / j.expectedDb()).orElse(null),
                judged.map(SheetDeviation.Judged::outcome).orElse(null));
    }

    /** Of those with the outcome of the whole, the one that lies farthest off for what it may be off. */
    private static BenchFigureResponse worst(List<BenchFigureResponse> figures, Outcome outcome) {
        return figures.stream()
                .filter(f -> f.outcome() == outcome)
                .max(Comparator.comparingDouble(f -> Math.abs(f.excessDb()) / f.allowedDb()))
                .orElseThrow();
    }

    /**
     * A sweep tells the shape of an excess better than its bands do. Where a wave has another speed than in its type, the
     * excess is over the sheet of another cable, and its shape says nothing.
     */
    private Optional<Cause> cause(SheetDeviation against) {
        if (swept.filter(SweptLine::isOfAnotherVelocity).isPresent()) {
            return Optional.empty();
        }
        return swept.flatMap(s -> test.expectation(lengthM)
                        .flatMap(e -> SheetDeviation.of(s.spread(), e).cause()))
                .or(against::cause);
    }

    private void lead() {
        BenchTestRequest.WattmeterRequest how = test.noted().wattmeter();
        if (test.noted().method() != BenchMethod.WATTMETER || how == null || how.lead() == null) {
            return;
        }
        if (how.lead() == BenchTestRequest.Lead.STAYED_IN) {
            findings.add(
                    Code.LEAD_STAYED_IN,
                    "the lead of the baseline stayed in, so it weakens both readings alike and nothing is added");
        } else if (how.lead() == BenchTestRequest.Lead.TAKEN_OUT) {
            double atMHz = points.isEmpty() ? 0 : points.get(points.size() - 1).frequencyMHz();
            boolean isKnown = how.leadLossDb() != null || (how.leadCableKey() != null && how.leadLengthM() != null);
            if (isKnown && atMHz > 0) {
                findings.add(
                        Code.LEAD_TAKEN_OUT,
                        String.format(
                                Locale.ROOT,
                                "the baseline was read through a lead that was then taken out: what it loses, %.2f dB at %s MHz, is added to the cable",
                                test.leadDb(atMHz),
                                atMHz),
                        "leadDb",
                        test.leadDb(atMHz),
                        "frequencyMHz",
                        atMHz);
            } else if (!isKnown) {
                findings.add(
                        Code.MISSING,
                        "what the lead of the baseline loses: its type and length, or dB",
                        "what",
                        "lead");
            }
        }
    }

    private void missing() {
        if (!points.isEmpty() && test.type().isEmpty()) {
            findings.add(Code.MISSING, "the type, to hold the losses against", "what", "type");
        } else if (!points.isEmpty() && lengthM == null) {
            findings.add(Code.MISSING, "the length, to hold the losses against its type", "what", "length");
        }
    }

    private void shortAndLossy(Optional<Outcome> outcome, Optional<BenchFigureResponse> worst) {
        boolean isShort = lengthM != null && lengthM <= SHORT_M;
        if (isShort
                && outcome.filter(o -> o == Outcome.WORSE).isPresent()
                && worst.orElseThrow().excessDb() > MUCH_FOR_A_SHORT_ONE_DB) {
            findings.add(
                    Code.SHORT_AND_LOSSY,
                    String.format(
                            Locale.ROOT,
                            "so short a piece hardly loses anything in the cable: the %.2f dB are in a connector, or in the calibration",
                            worst.orElseThrow().excessDb()),
                    "excessDb",
                    worst.orElseThrow().excessDb(),
                    "lengthM",
                    lengthM);
        }
    }

    /** Types whose sheet meets the losses, where that of its own does not or nobody knows it. */
    private List<String> likeTypes(Optional<Outcome> outcome) {
        boolean isAsked = test.type().isEmpty()
                || outcome.filter(o -> o != Outcome.AS_THE_SHEET).isPresent();
        if (!isAsked || lengthM == null || points.size() < FEWEST_TO_LIKEN) {
            return List.of();
        }
        return test.catalogue().offered().stream()
                .filter(t ->
                        !t.key().equals(test.noted().cableKey()) && !t.facts().balanced() && hasItsVelocity(t))
                .filter(t -> distance(t) < LIKE)
                .sorted(Comparator.comparingDouble(this::distance))
                .limit(MOST_LIKE)
                .map(CableType::key)
                .toList();
    }

    private boolean hasItsVelocity(CableType type) {
        Double measured = swept.map(SweptLine::velocityFactor).orElse(null);
        return measured == null
                || Math.abs(measured - type.fittedCable().velocityFactor())
                        < LIKE_VELOCITY * type.fittedCable().velocityFactor();
    }

    private double distance(CableType type) {
        return test.expectation(type, lengthM).meanDistance(points);
    }

    private Optional<OwnCableResponse> ownCable() {
        List<LossPoint> measured = swept.map(SweptLine::spread).orElse(points);
        if (lengthM == null) {
            return Optional.empty();
        }
        try {
            OwnCable own = OwnCable.of(measured, lengthM, test.temperatureC());
            List<Double> at = MeasuredLine.evenly(
                    measured.stream().map(LossPoint::frequencyMHz).distinct().toList(), MOST_OWN_POINTS);
            List<OwnPointResponse> law = at.stream()
                    .map(f -> new OwnPointResponse(f, own.attenuation().dbPer100m(f, Attenuation.SHEET_TEMPERATURE_C)))
                    .filter(p -> p.attenuationDbPer100m() > 0)
                    .toList();
            return law.isEmpty()
                    ? Optional.empty()
                    : Optional.of(new OwnCableResponse(
                            own.attenuation().k1(),
                            own.attenuation().k2(),
                            own.jointsDb(),
                            own.worstResidualDb(),
                            law));
        } catch (IllegalArgumentException tooFew) {
            return Optional.empty();
        }
    }
}
