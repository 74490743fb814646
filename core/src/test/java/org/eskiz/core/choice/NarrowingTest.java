package org.eskiz.core.choice;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import org.eskiz.core.cable.Attenuation;
import org.eskiz.core.cable.Cable;
import org.eskiz.core.cable.SheetRange;
import org.eskiz.core.choice.Narrowing.Why;
import org.junit.jupiter.api.Test;

class NarrowingTest {

    private static final double LINE_OHM = 50;
    private static final double HIGHEST_MHZ = 435;

    private static List<Candidate> some(int count, String name, double impedanceOhm, double sheetToMHz) {
        var cable = new Cable(
                impedanceOhm, 0.8, new Attenuation(0.5, 0.002), Optional.of(new SheetRange(10, sheetToMHz)), false);
        return IntStream.range(0, count)
                .mapToObj(i -> new Candidate(name + " " + i, cable))
                .toList();
    }

    private static Narrowing narrowed(List<List<Candidate>> of) {
        return Narrowing.of(of.stream().flatMap(List::stream).toList(), c -> false, LINE_OHM, HIGHEST_MHZ);
    }

    @Test
    void ofAFewAllAreWorthARow() {
        Narrowing narrowed =
                narrowed(List.of(some(Narrowing.FEW - 1, "of 75 ohm", 75, 1000), some(1, "good", 50, 1000)));
        assertThat(narrowed.left()).hasSize(Narrowing.FEW);
        assertThat(narrowed.leftOut()).isEmpty();
    }

    @Test
    void ofManyThoseOfAnotherImpedanceAndThoseWithoutASheetThereAreLeftOut() {
        Narrowing narrowed = narrowed(List.of(
                some(150, "good", 50, 1000),
                some(5, "of 53.5 ohm", 53.5, 1000),
                some(30, "of 75 ohm", 75, 1000),
                some(20, "of 35 ohm", 35, 1000),
                some(10, "short sheet", 50, 200)));
        assertThat(narrowed.left()).hasSize(155);
        assertThat(narrowed.leftOut()).isEqualTo(Map.of(Why.OTHER_IMPEDANCE, 50, Why.SHEET_ENDS_BELOW, 10));
    }

    @Test
    void aSheetThatBeginsAboveTheHighestBandDoesNotEndBelowIt() {
        var cable = new Cable(50, 0.8, new Attenuation(0.5, 0.002), Optional.of(new SheetRange(2000, 6000)), false);
        List<Candidate> all = new ArrayList<>(some(250, "good", 50, 1000));
        all.add(new Candidate("of microwaves", cable));
        assertThat(Narrowing.of(all, c -> false, LINE_OHM, HIGHEST_MHZ).leftOut())
                .isEmpty();
    }

    @Test
    void whatStaysIsNeverLeftOut() {
        List<Candidate> all = new ArrayList<>(some(250, "good", 50, 1000));
        all.addAll(some(1, "mine", 450, 30));
        Narrowing narrowed = Narrowing.of(all, c -> c.id().startsWith("mine"), LINE_OHM, HIGHEST_MHZ);
        assertThat(narrowed.left()).hasSize(251);
        assertThat(narrowed.leftOut()).isEmpty();
    }

    @Test
    void aReasonThatWouldLeaveNothingLeavesOutNothing() {
        Narrowing narrowed = narrowed(List.of(some(250, "short sheet", 50, 200), some(10, "of 75 ohm", 75, 200)));
        assertThat(narrowed.left()).hasSize(250);
        assertThat(narrowed.leftOut()).containsOnlyKeys(Why.OTHER_IMPEDANCE);
    }
}
