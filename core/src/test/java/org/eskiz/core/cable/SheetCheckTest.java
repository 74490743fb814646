package org.eskiz.core.cable;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import org.eskiz.core.cable.SheetCheck.Finding;
import org.eskiz.core.cable.SheetCheck.Slip;
import org.junit.jupiter.api.Test;

class SheetCheckTest {

    private static ShieldBore bore(double mm) {
        return new ShieldBore(mm, ShieldBore.Known.STATED);
    }

    @Test
    void theShieldOfABraidedCableIsTakenAsTwoThirdsOfItUnlessSomebodySays() {
        OptionalDouble across = OptionalDouble.of(10);
        assertThat(ShieldBore.of(OptionalDouble.of(7), across, "braid").orElseThrow())
                .isEqualTo(new ShieldBore(7, ShieldBore.Known.STATED));
        assertThat(ShieldBore.of(OptionalDouble.empty(), across, "foil+Braid").orElseThrow())
                .isEqualTo(new ShieldBore(6.5, ShieldBore.Known.USUAL_OF_BRAIDED));
        assertThat(ShieldBore.of(OptionalDouble.empty(), across, "corrugated copper")
                        .orElseThrow())
                .isEqualTo(new ShieldBore(10, ShieldBore.Known.AT_MOST));
        assertThat(ShieldBore.of(OptionalDouble.empty(), OptionalDouble.empty(), "braid"))
                .isEmpty();
    }

    private static final double[] MHZ = {10, 30, 50, 100, 150, 400, 1000};

    @Test
    void theFloorIsThatOfTwoTubesOfCopper() {
        // written out for 50 Ω, velocity factor 0.85, 10.3 mm: d = 10.3·e^(−50/50.966), with the constants as they
        // are rounded in books (59.96 Ω, 868.6 dB per 100 m), so to the five digits that these have
        double inner = 10.3e-3 * Math.exp(-50 / (59.96 * 0.85));
        double byHand = 868.6 * 2.609e-4 / (2 * Math.PI * 50) * (1 / inner + 1 / 10.3e-3);
        assertThat(CopperFloor.ofCoax(50, 0.85, bore(10.3))).isCloseTo(byHand, withinPercentage(0.005));
        assertThat(CopperFloor.ofCoax(50, 0.85, bore(5))).isGreaterThan(byHand);
        assertThat(CopperFloor.ofTwoWires(600, 2))
                .isCloseTo(868.6 * 2.609e-4 / (Math.PI * 2e-3 * 600), withinPercentage(0.005));
        assertThatThrownBy(() -> bore(0)).hasMessageContaining("bore of the shield");
    }

    @Test
    void aGoodSheetHasNothingTheMatter() {
        assertThat(SheetCheck.of(sheet(0.4, 0.0014), OptionalDouble.of(CopperFloor.ofCoax(50, 0.85, bore(10.3)))))
                .isEmpty();
    }

    @Test
    void swappedColumnsAreSeenByHowSteeplyLossGrows() {
        List<AttenuationPoint> swapped = sheet(0.4, 0.0014).stream()
                .map(p -> new AttenuationPoint(p.attenuationDbPer100m(), p.frequencyMHz()))
                .toList();
        assertThat(slips(SheetCheck.of(swapped, OptionalDouble.empty()))).containsExactly(Slip.COLUMNS_SWAPPED);
    }

    @Test
    void lossThatFallsAndARowThatLiesOffAreNamedWithTheirNumbers() {
        List<AttenuationPoint> rows = new ArrayList<>(sheet(0.4, 0.0014));
        double before = rows.get(2).attenuationDbPer100m();
        rows.set(3, new AttenuationPoint(100, before * 0.9));
        List<Finding> findings = SheetCheck.of(rows, OptionalDouble.empty());
        assertThat(findings).anySatisfy(f -> {
            assertThat(f.slip()).isEqualTo(Slip.FALLING);
            assertThat(f.row()).hasValue(3);
            assertThat(f.number()).isEqualTo(before);
        });
        assertThat(findings).anySatisfy(f -> {
            assertThat(f.slip()).isEqualTo(Slip.FAR_OFF_THE_FIT);
            assertThat(f.row()).hasValue(3);
            assertThat(f.number()).isGreaterThan(0.08);
        });
    }

    @Test
    void oneWrongRowDoesNotMakeTheOthersLookWrong() {
        List<AttenuationPoint> rows = new ArrayList<>(sheet(0.4, 0.0014));
        rows.set(5, new AttenuationPoint(400, rows.get(5).attenuationDbPer100m() / 4));
        assertThat(SheetCheck.of(rows, OptionalDouble.of(CopperFloor.ofCoax(50, 0.85, bore(10.3)))))
                .filteredOn(f -> f.slip() != Slip.FALLING && f.slip() != Slip.TOO_GOOD_TO_BE_TRUE)
                .singleElement()
                .satisfies(f -> {
                    assertThat(f.slip()).isEqualTo(Slip.FAR_OFF_THE_FIT);
                    assertThat(f.row()).hasValue(5);
                    assertThat(f.number()).isCloseTo(3, within(1e-6));
                });
    }

    @Test
    void rowsThatFollowNoLawAreAllNamed() {
        double[] wild = {1, 8, 2, 9, 1, 7, 3};
        List<AttenuationPoint> rows = IntStream.range(0, MHZ.length)
                .mapToObj(i -> new AttenuationPoint(MHZ[i], wild[i]))
                .toList();
        assertThat(SheetCheck.of(rows, OptionalDouble.empty()))
                .filteredOn(f -> f.slip() == Slip.FAR_OFF_THE_FIT)
                .hasSizeGreaterThan(MHZ.length / 2);
    }

    @Test
    void aTablePer100FtTakenPer100MIsTooGoodToBeTrueAndSaysWhy() {
        OptionalDouble floor = OptionalDouble.of(CopperFloor.ofCoax(50, 0.85, bore(10.3)));
        List<AttenuationPoint> inFeet = sheet(0.4 * 0.3048, 0.0014 * 0.3048);
        assertThat(slips(SheetCheck.of(inFeet, floor))).containsExactly(Slip.PER_100_FT);
        // so little that not even feet explain it
        assertThat(slips(SheetCheck.of(sheet(0.01, 0), floor))).containsOnly(Slip.TOO_GOOD_TO_BE_TRUE);
    }

    @Test
    void oneRowBelowTheFloorIsEnoughToDoubtASheet() {
        double floor = CopperFloor.ofCoax(50, 0.85, bore(10.3));
        assertThat(SheetCheck.isBelowTheFloor(sheet(0.4, 0.0014), floor)).isFalse();
        assertThat(SheetCheck.isBelowTheFloor(List.of(new AttenuationPoint(100, 9.9 * floor)), floor))
                .isTrue();
    }

    @Test
    void oneRowAloneIsNoCurve() {
        assertThat(SheetCheck.of(List.of(new AttenuationPoint(145, 9)), OptionalDouble.empty()))
                .isEmpty();
    }

    private static List<AttenuationPoint> sheet(double k1, double k2) {
        return IntStream.range(0, MHZ.length)
                .mapToObj(i -> new AttenuationPoint(MHZ[i], k1 * Math.sqrt(MHZ[i]) + k2 * MHZ[i]))
                .toList();
    }

    private static List<Slip> slips(List<Finding> findings) {
        return findings.stream().map(Finding::slip).toList();
    }
}
