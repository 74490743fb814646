package org.eskiz.server.locker;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.eskiz.core.bench.EarlierOutings;
import org.eskiz.core.bench.MeasuredTolerance;
import org.eskiz.core.bench.PieceLoss;
import org.eskiz.core.bench.SheetDeviation;
import org.eskiz.core.bench.TestAgain;
import org.eskiz.core.bench.Upkeep;
import org.eskiz.core.cable.Attenuation;
import org.eskiz.server.bench.PieceTest;
import org.eskiz.server.catalogue.CableType;
import org.eskiz.server.locker.PieceSummary.PieceCondition;
import org.eskiz.server.locker.PieceSummary.StandingReasonResponse;
import org.eskiz.server.locker.PieceSummary.StandingReasonResponse.Code;
import org.eskiz.server.operator.Settings;

/**
 * A piece with all that is known of it, and how it stands by that.
 *
 * @param type empty where nobody knows
 * @param tests that count, the earliest first
 * @param outings the earliest first
 */
record PieceHistory(PieceEntity piece, Optional<CableType> type, List<PieceTest> tests, List<OutingEntity> outings) {

    /** From this age on it is worth a word that a piece still is as its sheet. */
    private static final double OLD_YEARS = 8;

    private static final double DAYS_PER_YEAR = 365.25;

    /** The frequency at which its tests are compared; empty where it was never tested. */
    OptionalDouble referenceMHz() {
        return Upkeep.referenceMHz(tests.stream()
                .map(t -> t.figures().stream()
                        .map(f -> f.measured().frequencyMHz())
                        .toList())
                .toList());
    }

    /** What a test shows at the reference frequency; empty where it was not read there. */
    Optional<Upkeep.Tested> atReference(PieceTest test) {
        double reference = referenceMHz().orElse(0);
        return test.figures().stream()
                .filter(f ->
                        f.measured().frequencyMHz() == reference && f.measured().lossDb() > 0)
                .findFirst()
                .map(f -> new Upkeep.Tested(
                        test.on(),
                        f.measured().lossDb(),
                        f.expectedDb().map(OptionalDouble::of).orElse(OptionalDouble.empty())));
    }

    /** Those that were noted, and the earlier ones that were only counted. */
    List<TestAgain.Outing> allOutings() {
        return Stream.concat(
                        piece.earlier().map(EarlierOutings::spread).orElse(List.of()).stream(),
                        outings.stream().map(o -> new TestAgain.Outing(o.takenOn, o.isHard())))
                .toList();
    }

    Upkeep upkeep(Settings.Upkeep asked) {
        return Upkeep.of(
                new Upkeep.History(
                        piece.since(),
                        tests.stream().flatMap(t -> atReference(t).stream()).toList(),
                        allOutings()),
                asked.intervals(),
                asked.limit());
    }

    /** The law by which it loses, as its newest test says; empty where it was never tested. */
    Optional<Attenuation> measuredLaw() {
        return newest().flatMap(t -> PieceLoss.of(
                t.figures().stream().map(PieceTest.Figure::measured).toList(),
                t.lengthM().orElse(piece.lengthM),
                type.map(c -> c.fittedCable().attenuation())));
    }

    /** How far that may be off, as a fraction, by the interval of the readings; empty where it was never tested. */
    OptionalDouble measuredTolerance() {
        return newest().map(t -> MeasuredTolerance.of(t.figures().stream()
                        .mapToDouble(f -> f.uncertaintyDb() / f.measured().ofCableDb())
                        .toArray()))
                .orElse(OptionalDouble.empty());
    }

    Optional<PieceTest> newest() {
        return tests.isEmpty() ? Optional.empty() : Optional.of(tests.get(tests.size() - 1));
    }

    Optional<OutingEntity> underWay() {
        return outings.stream().filter(o -> o.putAwayOn == null).findFirst();
    }

    /** Why it stands as it does, the weightiest first. */
    List<StandingReasonResponse> reasons(Upkeep upkeep, LocalDate today) {
        if (piece.retiredOn != null) {
            return List.of(new StandingReasonResponse(Code.RETIRED, piece.retiredOn, null));
        }
        List<StandingReasonResponse> reasons = new ArrayList<>();
        if (upkeep.isPastLimit()) {
            reasons.add(new StandingReasonResponse(
                    Code.PAST_LIMIT, null, upkeep.moreThanFirstDb().orElseThrow()));
        }
        newest().ifPresent(t -> t.outcome().flatMap(o -> ofOutcome(t, o)).ifPresent(reasons::add));
        if (upkeep.testAgain().isDueOn(today)) {
            reasons.add(due(upkeep));
        }
        double years = (today.toEpochDay() - piece.since().toEpochDay()) / DAYS_PER_YEAR;
        if (reasons.isEmpty()
                && years >= OLD_YEARS
                && newest().flatMap(PieceTest::outcome).isPresent()) {
            reasons.add(new StandingReasonResponse(Code.BETTER_THAN_ITS_AGE, null, Math.floor(years)));
        }
        return reasons;
    }

    private static Optional<StandingReasonResponse> ofOutcome(PieceTest test, SheetDeviation.Outcome outcome) {
        Double amount = test.worstExcessDb().orElse(null);
        return switch (outcome) {
            case WORSE -> Optional.of(new StandingReasonResponse(Code.WORSE_THAN_SHEET, test.on(), amount));
            case BETTER_THAN_IT_CAN_BE ->
                Optional.of(new StandingReasonResponse(Code.BETTER_THAN_CAN_BE, test.on(), amount));
            case AS_THE_SHEET, CANNOT_TELL -> Optional.empty();
        };
    }

    private StandingReasonResponse due(Upkeep upkeep) {
        LocalDate on = upkeep.testAgain().on();
        LocalDate last = newest().map(PieceTest::on).orElse(piece.since());
        List<TestAgain.Outing> after =
                allOutings().stream().filter(o -> o.on().isAfter(last)).toList();
        return switch (upkeep.testAgain().because()) {
            case NEVER_TESTED -> new StandingReasonResponse(Code.NEVER_TESTED, on, null);
            case AGE -> new StandingReasonResponse(Code.DUE_BY_AGE, on, null);
            case OUTINGS -> new StandingReasonResponse(Code.DUE_BY_OUTINGS, on, (double) after.size());
            case EXPOSURE ->
                new StandingReasonResponse(Code.DUE_BY_EXPOSURE, on, (double)
                        after.stream().filter(TestAgain.Outing::isHard).count());
            case TREND ->
                new StandingReasonResponse(
                        Code.DUE_BY_TREND, on, upkeep.ageing().orElseThrow().percentPerYear());
        };
    }

    static PieceCondition standing(List<StandingReasonResponse> reasons) {
        return reasons.stream()
                .map(r -> switch (r.code()) {
                    case RETIRED -> PieceCondition.RETIRED;
                    case PAST_LIMIT, WORSE_THAN_SHEET, BETTER_THAN_CAN_BE -> PieceCondition.FAILING;
                    case BETTER_THAN_ITS_AGE -> PieceCondition.FINE;
                    default -> PieceCondition.DUE;
                })
                .max(PieceCondition::compareTo)
                .orElse(PieceCondition.FINE);
    }
}
