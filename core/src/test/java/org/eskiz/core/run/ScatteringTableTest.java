package org.eskiz.core.run;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.OptionalDouble;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.apache.commons.numbers.complex.Complex;
import org.eskiz.core.cable.Attenuation;
import org.eskiz.core.cable.Cable;
import org.eskiz.core.cable.InsertionLoss;
import org.junit.jupiter.api.Test;

class ScatteringTableTest {

    private static final Cable COAX = Cable.ofCoefficients(50, 0.85, new Attenuation(0.39, 0.0014));

    /** The scattering of any two-port, by table 4.2. */
    private static ScatteringTable of(TwoPort t, double frequencyMHz) {
        Complex bz = t.b().divide(50);
        Complex cz = t.c().multiply(50);
        Complex sum = t.a().add(bz).add(cz).add(t.d());
        Complex through = Complex.ofCartesian(2, 0).divide(sum);
        return new ScatteringTable(
                50,
                List.of(ScatteringTable.Point.of(
                        frequencyMHz,
                        t.a().add(bz).subtract(cz).subtract(t.d()).divide(sum),
                        through,
                        through,
                        t.d().add(bz).subtract(cz).subtract(t.a()).divide(sum))));
    }

    @Property
    void aMeasuredLineIsTheLine(
            @ForAll @DoubleRange(min = 0.1, max = 60) double lengthM,
            @ForAll @DoubleRange(min = 1, max = 8) double swr,
            @ForAll @DoubleRange(min = 20, max = 150) double ohm) {
        Cable odd = Cable.ofCoefficients(ohm, 0.8, new Attenuation(0.5, 0.002));
        Conditions at = new Conditions(145, 20);
        TwoPort line = LineConstants.of(odd, 145, 20).ofLength(lengthM);
        Load load = new Load.SwrAtAntenna(swr, OptionalDouble.empty());
        RunAssessment stated = RunAssessment.of(
                Run.of(new Element.Line(COAX, 5), new Element.Line(odd, lengthM)), Radio.matched(100), at, load);
        RunAssessment measured = RunAssessment.of(
                Run.of(new Element.Line(COAX, 5), new Element.Measured(of(line, 145))), Radio.matched(100), at, load);
        assertThat(measured.runLossDb()).isCloseTo(stated.runLossDb(), within(1e-7));
        assertThat(measured.swrAtRadio()).isCloseTo(stated.swrAtRadio(), within(1e-6));
        StrainBound[] most = StrainBound.of(measured);
        Strain strain = Strain.on(measured);
        for (int i = 0; i < most.length; i++) {
            assertThat(strain.voltageRms(i)).isLessThanOrEqualTo(most[i].voltageRms() * (1 + 1e-6));
        }
    }

    @Test
    void betweenTwoPointsItIsBetweenThem() {
        var table = new ScatteringTable(50, List.of(point(100, 0.1, 0.9), point(200, 0.3, 0.8)));
        assertThat(table.insertionLossDb(150)).isCloseTo(-20 * Math.log10(0.85), within(1e-9));
        assertThat(table.isExtrapolatedAt(99)).isTrue();
        assertThat(table.isExtrapolatedAt(200)).isFalse();
    }

    private static ScatteringTable.Point point(double frequencyMHz, double reflection, double through) {
        Complex back = Complex.ofCartesian(reflection, 0);
        Complex on = Complex.ofCartesian(through, 0);
        return ScatteringTable.Point.of(frequencyMHz, back, on, on, back);
    }

    @Test
    void anAmplifierIsNoPassivePart() {
        assertThatThrownBy(() -> point(100, 0, 1.2)).hasMessageContaining("more comes out");
        assertThatThrownBy(() -> ScatteringTable.Point.of(
                        100, Complex.ZERO, Complex.ofCartesian(0.9, 0), Complex.ofCartesian(0.01, 0), Complex.ZERO))
                .hasMessageContaining("one way");
    }

    @Test
    void aPadOfTheSameLossIsTheSame() {
        Conditions at = new Conditions(50, 20);
        Load load = new Load.Impedance(100, 30);
        var pad = new Element.Pad(new InsertionLoss.Flat(3), OptionalDouble.of(50));
        var measured = new Element.Measured(of(TwoPort.pad(3, 50), 50));
        double asPad =
                RunAssessment.of(Run.of(pad), Radio.matched(10), at, load).runLossDb();
        double asMeasured =
                RunAssessment.of(Run.of(measured), Radio.matched(10), at, load).runLossDb();
        assertThat(asMeasured).isCloseTo(asPad, within(1e-9));
    }
}
