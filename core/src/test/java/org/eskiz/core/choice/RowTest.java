package org.eskiz.core.choice;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.eskiz.core.cable.Attenuation;
import org.eskiz.core.cable.Cable;
import org.eskiz.core.choice.Reason.Cause;
import org.junit.jupiter.api.Test;

class RowTest {

    private static final Requirement POWER = new Requirement.OnBand(BandFigure.POWER, 20);

    @Test
    void isMarginalByChanceOnlyForWhatIsAnotherInEveryRunLikeIt() {
        assertThat(marginal(onBand(Cause.MISSED_AT_TOLERANCE, POWER))).isTrue();
        assertThat(marginal(onBand(Cause.MISSED_AT_WORST_ANGLE, POWER))).isTrue();
        assertThat(marginal(onBand(Cause.LITTLE_TO_SPARE, POWER))).isTrue();

        assertThat(marginal(onBand(Cause.UNKNOWN, POWER))).isFalse();
        assertThat(marginal(onBand(Cause.LITTLE_TO_SPARE, new Requirement.OnBand(BandFigure.POWER_MARGIN, 2))))
                .isFalse();
        assertThat(marginal(Reason.ofRun(
                        Cause.LITTLE_TO_SPARE, new Requirement.OfRun(RunFigure.BEND_ONCE, 100), OptionalDouble.of(98))))
                .isFalse();
        assertThat(marginal(Reason.extrapolated(0, 0, 5000))).isFalse();
    }

    @Test
    void isNotMarginalByChanceWhereItPassesOrFails() {
        assertThat(row(List.of()).isMarginalByChance()).isFalse();
        assertThat(marginal(onBand(Cause.MISSED, POWER))).isFalse();
    }

    private static Reason onBand(Cause cause, Requirement asked) {
        return Reason.onBand(cause, 0, asked, OptionalDouble.of(19));
    }

    private static boolean marginal(Reason reason) {
        return row(List.of(reason)).isMarginalByChance();
    }

    private static Row row(List<Reason> reasons) {
        Cell cell = new Cell(Optional.empty(), new Judgement(reasons, OptionalDouble.empty()));
        return new Row(
                List.of(new Candidate("one", Cable.ofCoefficients(50, 0.66, new Attenuation(1, 0)))),
                Suitability.SUITED,
                List.of(cell),
                List.of(),
                Optional.empty(),
                OptionalDouble.empty(),
                Optional.empty());
    }
}
