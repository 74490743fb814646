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
 * A piece with what is known of it, and how it stands by that.
 *
 * @param type empty where nobody knows
 */
record PieceHistory(PieceEntity piece, Optional<CableType> type, PieceLife life) {

    /** From this age on it is worth a word that a piece still is as its sheet. */
    private static final int OLD_YEARS = 8;

    private static final double DAYS_PER_YEAR = 365.25;

    /** Those that were noted, and the earlier ones that were only counted. */
    List<TestAgain.Outing> allOutings() {
        return Stream.concat(
                        piece.earlier().map(EarlierOutings::spread).orElse(List.of()).stream(), life.outings().stream())
                .toList();
    }

    Upkeep upkeep(Settings.Upkeep asked) {
        return Upkeep.of(
                new Upkeep.History(piece.since(), life.tests(), allOutings()), asked.intervals(), asked.limit());
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
        return Optional.ofNullable(life.newest());
    }

    boolean isOut() {
        return life.outSince() != null;
    }

    /** Whether it does not do what it should any more. */
    boolean isFailing(Upkeep upkeep) {
        return !failures(upkeep).isEmpty();
    }

    /** From when on it is worth a word that its last test found it as its sheet; empty where it did not. */
    Optional<LocalDate> wellAgedOn() {
        return newest().flatMap(PieceTest::outcome)
                .filter(outcome -> outcome == SheetDeviation.Outcome.AS_THE_SHEET)
                .map(outcome -> piece.since().plusDays((long) Math.ceil(OLD_YEARS * DAYS_PER_YEAR)));
    }

    /** Why it stands as it does, the weightiest first. */
    List<StandingReasonResponse> reasons(Upkeep upkeep, LocalDate today) {
        if (piece.retiredOn != null) {
            return List.of(new StandingReasonResponse(Code.RETIRED, piece.retiredOn, null));
        }
        List<StandingReasonResponse> reasons = failures(upkeep);
        if (upkeep.testAgain().isDueOn(today)) {
            reasons.add(due(upkeep));
        }
        if (reasons.isEmpty() && wellAgedOn().filter(on -> !on.isAfter(today)).isPresent()) {
            double years = (today.toEpochDay() - piece.since().toEpochDay()) / DAYS_PER_YEAR;
            reasons.add(new StandingReasonResponse(Code.BETTER_THAN_ITS_AGE, null, Math.floor(years)));
        }
        return reasons;
    }

    private List<StandingReasonResponse> failures(Upkeep upkeep) {
        List<StandingReasonResponse> failures = new ArrayList<>();
        if (upkeep.isPastLimit()) {
            failures.add(new StandingReasonResponse(
                    Code.PAST_LIMIT, null, upkeep.moreThanFirstDb().orElseThrow()));
        }
        newest().ifPresent(t -> t.outcome().flatMap(o -> ofOutcome(t, o)).ifPresent(failures::add));
        return failures;
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
