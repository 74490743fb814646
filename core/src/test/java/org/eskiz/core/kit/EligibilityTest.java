package org.eskiz.core.kit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Optional;
import java.util.Set;
import org.eskiz.core.kit.Eligibility.Candidate;
import org.eskiz.core.kit.Eligibility.Condition;
import org.eskiz.core.kit.Eligibility.Exclusion;
import org.eskiz.core.kit.Eligibility.Line;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class EligibilityTest {

    private static final Eligibility IN_50_OHM = new Eligibility(50, Set.of("left out"), false);

    private static final Optional<Line> COAX = Optional.of(new Line(false, 50));

    @Test
    void aSoundPieceOfTheRunsImpedanceMayGoIn() {
        assertThat(IN_50_OHM.exclusion(new Candidate("sound", Condition.SOUND, false, COAX, true)))
                .isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "left out, SOUND,   false, true,  ASKED",
        "a,        RETIRED, false, true,  RETIRED",
        "a,        SOUND,   true,  true,  OUT",
        "a,        SOUND,   false, false, ENDS_UNKNOWN",
        "a,        FAILING, false, true,  FAILING"
    })
    void whatKeepsAPieceOutIsNamed(String id, Condition condition, boolean isOut, boolean hasEnds, Exclusion why) {
        assertThat(IN_50_OHM.exclusion(new Candidate(id, condition, isOut, COAX, hasEnds)))
                .hasValue(why);
    }

    @ParameterizedTest
    @CsvSource({"false, 75, true", "false, 52, false", "false, 45, false", "false, 44.9, true", "true, 50, true"})
    void onlyCoaxialLinesOfTheSameNominalImpedanceFit(boolean balanced, double ohm, boolean isOther) {
        var piece = new Candidate("a", Condition.SOUND, false, Optional.of(new Line(balanced, ohm)), true);
        assertThat(IN_50_OHM.exclusion(piece))
                .isEqualTo(isOther ? Optional.of(Exclusion.OTHER_LINE) : Optional.empty());
    }

    @Test
    void behindATransformerItIsTheTransformedImpedanceThatCounts() {
        var behind = new Eligibility(200, Set.of(), false);
        assertThat(behind.exclusion(new Candidate("a", Condition.SOUND, false, COAX, true)))
                .hasValue(Exclusion.OTHER_LINE);
    }

    @Test
    void aFailingPieceGoesInWhereItIsAskedFor() {
        var failing = new Candidate("a", Condition.FAILING, false, COAX, true);
        assertThat(new Eligibility(50, Set.of(), true).exclusion(failing)).isEmpty();
    }

    @Test
    void aPieceOfUnknownLossIsNotJudgedByItsLine() {
        assertThat(IN_50_OHM.exclusion(new Candidate("a", Condition.SOUND, false, Optional.empty(), false)))
                .hasValue(Exclusion.LOSS_UNKNOWN);
    }
}
