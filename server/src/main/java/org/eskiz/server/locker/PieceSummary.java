package org.eskiz.server.locker;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.eskiz.core.bench.TestAgain;
import org.eskiz.core.kit.End;
import org.jspecify.annotations.Nullable;

/**
 * A piece in the locker, and how it stands; on the wire its groups are one flat object.
 *
 * @param standing how it stands today
 * @param reasons why, the weightiest first
 * @param lastTestedOn null where it never was
 * @param plans that have it in their run
 */
public record PieceSummary(
        UUID id,
        long version,
        boolean demo,
        String label,
        @JsonUnwrapped MakeResponse make,
        @JsonUnwrapped KeepingResponse keeping,
        @JsonUnwrapped WearResponse wear,
        PieceCondition standing,
        List<StandingReasonResponse> reasons,
        @Nullable LocalDate lastTestedOn,
        @JsonUnwrapped AgeingResponse ageing,
        @JsonUnwrapped TestAgainResponse testAgain,
        List<PlanNameResponse> plans) {

    /**
     * What it is.
     *
     * @param cableName null where nobody knows its type
     * @param massKg null where that of its type is not known
     */
    record MakeResponse(
            @Nullable String cableKey,
            @Nullable String cableName,
            double lengthM,
            @Nullable EndResponse near,
            @Nullable EndResponse far,
            @Nullable Double massKg) {}

    /** Whence it came and where it is kept. */
    record KeepingResponse(
            @Nullable LocalDate boughtOn,
            @Nullable BigDecimal price,
            @Nullable String priceCurrency,
            @Nullable String keptAt,
            @Nullable String note) {}

    /**
     * What it goes through.
     *
     * @param outSince null while it is in
     * @param outBy who has it out; null where nobody's name stands on it
     * @param outings all of them, the earlier ones too
     * @param hardOutings of them on which it was wet, frozen or trodden on
     * @param earlier of them, those that were not noted one by one; null for none
     */
    record WearResponse(
            @Nullable LocalDate retiredOn,
            @Nullable LocalDate outSince,
            @Nullable String outTo,
            @Nullable String outBy,
            int outings,
            int hardOutings,
            @Nullable EarlierOutingsResponse earlier) {}

    /** Outings that were not noted one by one, and the span in which they were. */
    record EarlierOutingsResponse(int outings, int hardOutings, LocalDate from, LocalDate until) {}

    /**
     * What its tests say of it.
     *
     * @param retireAtPercent of its sheet, at which it has had its day
     * @param trend null where the tests are too few
     */
    record AgeingResponse(
            @Nullable Double referenceMHz,
            @Nullable Double percentOfSheet,
            @Nullable Double retireAtPercent,
            @Nullable Double moreThanFirstDb,
            @Nullable TrendResponse trend) {}

    /**
     * When it is to be tested, and why then.
     *
     * @param testAgainOn null where it is retired
     */
    record TestAgainResponse(@Nullable LocalDate testAgainOn, TestAgain.@Nullable Why testAgainWhy) {

        private static final TestAgainResponse NEVER = new TestAgainResponse(null, null);

        static TestAgainResponse never() {
            return NEVER;
        }
    }

    /** How a piece stands. */
    public enum PieceCondition {
        /** It does what it should, as far as is known. */
        FINE,
        /** It should be tested. */
        DUE,
        /** It does not do what it should any more. */
        FAILING,
        /** It is not used any more. */
        RETIRED
    }

    /** What a piece ends in. */
    public record EndResponse(String connectorKey, End.Gender gender) {

        public static EndResponse of(End end) {
            return new EndResponse(end.connector(), end.gender());
        }
    }

    /**
     * Why a piece stands as it does.
     *
     * @param on the day that it is about; null for none
     * @param amount the number in it: dB, percent or a count, by its code; null for none
     */
    record StandingReasonResponse(
            Code code, @Nullable LocalDate on, @Nullable Double amount) {

        enum Code {
            /** Not used since {@code on}. */
            RETIRED,
            /** Lost {@code amount} dB more at its last test than at its first, which is past the limit. */
            PAST_LIMIT,
            /** Its last test was worse than its type allows, by {@code amount} dB. */
            WORSE_THAN_SHEET,
            /** Its last test was better than its type can be: another type, another length, or a wrong test. */
            BETTER_THAN_CAN_BE,
            /** Never tested. */
            NEVER_TESTED,
            /** To be tested since {@code on}, because of its age. */
            DUE_BY_AGE,
            /** Likewise, because of {@code amount} outings since its last test. */
            DUE_BY_OUTINGS,
            /** Likewise, because of {@code amount} hard ones. */
            DUE_BY_EXPOSURE,
            /** Likewise, because of its trend of {@code amount} percent of its sheet a year. */
            DUE_BY_TREND,
            /** {@code amount} years old or more, and still as its sheet. */
            BETTER_THAN_ITS_AGE
        }
    }

    /**
     * How it ages, in percent of its sheet a year.
     *
     * @param percentAtLastTest where its line stands on the day of the last test
     * @param least of the slope, with 95 %; null for fewer than five tests
     * @param most likewise
     */
    record TrendResponse(
            double percentPerYear,
            double percentAtLastTest,
            @Nullable Double least,
            @Nullable Double most) {}

    record PlanNameResponse(UUID id, String site, String name) {}
}
