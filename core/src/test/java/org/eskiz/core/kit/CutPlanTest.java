package org.eskiz.core.kit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.eskiz.core.choice.Allowances;
import org.junit.jupiter.api.Test;

class CutPlanTest {

    private static List<CutPlan.Cut> cuts(double... lengthsM) {
        return IntStream.range(0, lengthsM.length)
                .mapToObj(i -> new CutPlan.Cut("cut " + (i + 1), lengthsM[i]))
                .toList();
    }

    private static CutPlan.Reel owned(double lengthM) {
        return new CutPlan.Reel("reel of " + lengthM, lengthM, false);
    }

    private static CutPlan plan(List<CutPlan.Cut> cuts, List<CutPlan.Reel> reels, double soldInM) {
        return CutPlan.of(cuts, reels, soldInM, CutPlan.MOST_STEPS);
    }

    /** The longest first would put 60 with 30 and need a third reel. */
    @Test
    void reelsAreFilledToTheirEndRatherThanGreedily() {
        CutPlan plan = plan(cuts(60, 40, 30, 30, 40), List.of(owned(100), owned(100)), 100);

        assertThat(plan.begun()).hasSize(2);
        assertThat(plan.boughtM()).isZero();
        assertThat(plan.leftM()).isCloseTo(0, within(1e-9));
        assertThat(plan.isProven()).isTrue();
    }

    @Test
    void whatIsAtHandGoesBeforeWhatIsBought() {
        CutPlan plan = plan(cuts(30, 20), List.of(owned(25)), 50);

        assertThat(plan.boughtM()).isEqualTo(50);
        assertThat(plan.begun()).hasSize(1).first().satisfies(b -> {
            assertThat(b.reel().isBought()).isTrue();
            assertThat(b.leftM()).isEqualTo(0);
        });
    }

    @Test
    void theShorterReelThatSufficesIsBegun() {
        CutPlan plan = plan(cuts(20), List.of(owned(100), owned(25)), 0);

        assertThat(plan.begun())
                .singleElement()
                .satisfies(b -> assertThat(b.reel().lengthM()).isEqualTo(25));
    }

    @Test
    void oneLongRestIsBetterThanTwoShortOnes() {
        CutPlan plan = plan(cuts(60, 60, 20, 20), List.of(owned(100), owned(100)), 0);

        assertThat(plan.longestRestM()).isEqualTo(40);
    }

    @Test
    void whatNoReelIsLongEnoughForIsSaid() {
        CutPlan plan = plan(cuts(120, 30), List.of(owned(100)), 50);

        assertThat(plan.uncut()).extracting(CutPlan.Cut::lengthM).containsExactly(120.0);
        assertThat(plan.begun()).hasSize(1);
    }

    @Test
    void whatThereIsNoRoomForIsTheLeast() {
        CutPlan plan = plan(cuts(60, 50, 40), List.of(owned(100)), 0);

        assertThat(plan.uncut()).extracting(CutPlan.Cut::lengthM).containsExactly(50.0);
    }

    @Test
    void oneLongRestIsPreferredEvenWhereSomethingStaysUncut() {
        CutPlan plan = plan(cuts(90, 90, 90, 5, 5), List.of(owned(100), owned(100)), 0);

        assertThat(plan.uncut()).extracting(CutPlan.Cut::lengthM).containsExactly(90.0);
        assertThat(plan.longestRestM()).isCloseTo(10, within(1e-9));
    }

    @Test
    void aPlanThatRanOutOfStepsIsNotProven() {
        CutPlan plan = CutPlan.of(cuts(60, 40, 30, 30, 40), List.of(owned(100), owned(100)), 100, 40);

        assertThat(plan.isProven()).isFalse();
        assertThat(plan.begun()).isNotEmpty();
    }

    /** Against every way there is to put each cut on a reel or on none. */
    @Test
    void nothingWastesLessThanAProvenPlan() {
        Random random = new Random(11);
        for (int round = 0; round < 40; round++) {
            List<CutPlan.Cut> cuts = cuts(random.ints(5, 5, 60).asDoubleStream().toArray());
            List<CutPlan.Reel> reels = List.of(owned(70), owned(50));
            CutPlan plan = plan(cuts, reels, 0);
            assertThat(plan.isProven()).isTrue();
            double[] mine = {
                plan.uncut().stream().mapToDouble(CutPlan.Cut::lengthM).sum(),
                plan.begun().stream().mapToDouble(b -> b.reel().lengthM()).sum(),
                -plan.longestRestM()
            };
            for (int way = 0; way < Math.pow(3, cuts.size()); way++) {
                double[] other = waste(cuts, reels, way);
                assertThat(Arrays.compare(mine, other)).isLessThanOrEqualTo(0);
            }
        }
    }

    /** Uncut, begun and, negative, the longest rest of one way; infinite where a reel is overdrawn. */
    private static double[] waste(List<CutPlan.Cut> cuts, List<CutPlan.Reel> reels, int way) {
        double[] cutM = new double[reels.size() + 1];
        int rest = way;
        for (CutPlan.Cut cut : cuts) {
            cutM[rest % cutM.length] += cut.lengthM();
            rest /= cutM.length;
        }
        double begun = 0;
        double longest = 0;
        for (int r = 0; r < reels.size(); r++) {
            double lengthM = reels.get(r).lengthM();
            if (cutM[r] > lengthM) {
                return new double[] {Double.POSITIVE_INFINITY, 0, 0};
            }
            if (cutM[r] > 0) {
                begun += lengthM;
                longest = Math.max(longest, lengthM - cutM[r]);
            }
        }
        return new double[] {cutM[reels.size()], begun, -longest};
    }

    @Test
    void allowancesCountBothEnds() {
        assertThat(new Allowances(0.1, 0.3, 0.5).toCutM(20)).isCloseTo(21, within(1e-12));
    }

    @Test
    void nothingIsCutTwiceAndNoReelIsOverdrawn() {
        Random random = new Random(5);
        for (int round = 0; round < 30; round++) {
            List<CutPlan.Cut> cuts = cuts(random.doubles(9, 2, 40).toArray());
            CutPlan plan = plan(cuts, List.of(owned(45), owned(30)), 50);
            List<CutPlan.Cut> placed = new ArrayList<>(plan.uncut());
            plan.begun().forEach(b -> placed.addAll(b.cuts()));
            assertThat(placed).containsExactlyInAnyOrderElementsOf(cuts);
            plan.begun()
                    .forEach(b -> assertThat(b.cuts().stream()
                                    .mapToDouble(CutPlan.Cut::lengthM)
                                    .sum())
                            .isLessThanOrEqualTo(b.reel().lengthM() + 1e-9));
            double least = cuts.stream().mapToDouble(CutPlan.Cut::lengthM).sum() - 75;
            assertThat(plan.boughtM()).isGreaterThanOrEqualTo(least);
        }
    }
}
