package org.eskiz.core.kit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;

class LengthSetsTest {

    private static final List<Site> SITES =
            List.of(new Site("jetty", 5, 1), new Site("camp", 10, 3), new Site("hill", 25, 1));

    private static LengthSets.Result search(List<Site> sites, double couplingDb, int most, boolean lightest) {
        return LengthSets.search(
                new LengthSets.Wanted(sites, 0.05, couplingDb, 0.1, 5, most, lightest), LengthSets.MOST_STEPS);
    }

    @Test
    void onePieceIsAsLongAsTheFarthestSite() {
        LengthSets.LengthSet one = search(SITES, 0.1, 1, false).best().get(0);

        assertThat(one.lengthsM()).containsExactly(25.0);
        assertThat(one.meanLossDb()).isCloseTo(25 * 0.05, within(1e-12));
        assertThat(one.massKg()).isCloseTo(2.5, within(1e-12));
        assertThat(one.uses().get(0).leftOverM()).isEqualTo(20);
    }

    @Test
    void aPieceForEachSiteLosesLeastAndWeighsMost() {
        LengthSets.Result result = search(SITES, 0.1, 3, false);
        LengthSets.LengthSet three = result.best().get(2);

        assertThat(three.lengthsM()).containsExactly(25.0, 10.0, 5.0);
        assertThat(three.meanLossDb()).isCloseTo((5 + 3 * 10 + 25) * 0.05 / 5, within(1e-12));
        assertThat(three.worstLossDb()).isCloseTo(25 * 0.05, within(1e-12));
        assertThat(result.isProven()).isTrue();
    }

    @Test
    void theLightestSetCarriesNoMoreThanTheFarthestSiteNeeds() {
        LengthSets.LengthSet two = search(SITES, 0.1, 2, true).best().get(1);

        assertThat(two.massKg()).isCloseTo(2.5, within(1e-12));
        assertThat(two.lengthsM()).containsExactly(15.0, 10.0);
        assertThat(two.uses().get(2).lengthsM()).containsExactly(15.0, 10.0);
        assertThat(two.uses().get(2).lossDb()).isCloseTo(25 * 0.05 + 0.1, within(1e-12));
    }

    @Test
    void aPieceThatSavesNothingIsNotCarried() {
        assertThat(search(SITES, 0.1, 5, false).best()).hasSize(3);
    }

    @Test
    void dearJointsAreAvoided() {
        LengthSets.LengthSet two = search(SITES, 10, 2, false).best().get(1);

        assertThat(two.lengthsM()).containsExactly(25.0, 10.0);
    }

    @Test
    void aSetThatRanOutOfStepsIsNotProven() {
        LengthSets.Result result = LengthSets.search(new LengthSets.Wanted(SITES, 0.05, 0.1, 0.1, 5, 6, false), 3_000);

        assertThat(result.isProven()).isFalse();
        assertThat(result.best()).isNotEmpty();
    }

    @Test
    void notEveryLengthTriedIsNotProven() {
        LengthSets.Result coarse =
                LengthSets.search(new LengthSets.Wanted(SITES, 0.05, 0.1, 0.1, 5, 2, false), LengthSets.MOST_STEPS);
        LengthSets.Result fine =
                LengthSets.search(new LengthSets.Wanted(SITES, 0.05, 0.1, 0.1, 0.1, 2, false), LengthSets.MOST_STEPS);

        assertThat(coarse.isProven()).isTrue();
        assertThat(fine.isProven()).isFalse();
    }

    @Test
    void noSiteIsRefused() {
        assertThatThrownBy(() -> search(List.of(), 0.1, 1, false)).hasMessageContaining("at least one site");
    }
}
