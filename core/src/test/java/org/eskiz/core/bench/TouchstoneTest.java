package org.eskiz.core.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.apache.commons.numbers.complex.Complex;
import org.eskiz.core.bench.Touchstone.Form;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

class TouchstoneTest {

    @ParameterizedTest
    @ValueSource(
            strings = {
                "# MHz S RI R 75\n10 0 0.5\n20 0 -0.5",
                "# mhz s ma r 75 ! as an instrument wrote it\n! note\n10 0.5 90\n\n20 0.5 -90 ! end",
                "# KHZ S DB R 75\n10000 -6.020599913279624 90\n20000 -6.020599913279624 270",
                "# GHz R 75 S RI\n0.01\t0\t0.5\n0.02\t0\t-0.5",
                "# S MA R 75 HZ\n1e7 -0.5 -90\n2e7 0.5 -90"
            })
    void everyFormSaysTheSame(String text) {
        Sweep.OnePort sweep = (Sweep.OnePort) Touchstone.read(text);
        assertThat(sweep.referenceOhm()).isEqualTo(75);
        assertThat(sweep.frequenciesMHz()).hasSize(2);
        assertThat(sweep.frequenciesMHz().get(1)).isCloseTo(20, within(1e-9));
        assertThat(sweep.reflections()
                        .get(0)
                        .subtract(Complex.ofCartesian(0, 0.5))
                        .abs())
                .isLessThan(1e-9);
        assertThat(sweep.reflections()
                        .get(1)
                        .subtract(Complex.ofCartesian(0, -0.5))
                        .abs())
                .isLessThan(1e-9);
    }

    @Test
    void withoutAnOptionLineItIsGigahertzMagnitudeAngleAnd50() {
        Sweep.OnePort sweep = (Sweep.OnePort) Touchstone.read("0.1 1 0");
        assertThat(sweep.referenceOhm()).isEqualTo(50);
        assertThat(sweep.frequenciesMHz()).containsExactly(100.0);
    }

    @ParameterizedTest
    @EnumSource(Form.class)
    void whatIsWrittenReadsBackTheSame(Form form) {
        Sweep.TwoPort sweep = SweepReferenceTest.twoPort("bad-joint-rg213.s2p");
        Sweep.TwoPort again = (Sweep.TwoPort) Touchstone.read(Touchstone.write(sweep, form));
        assertThat(again.referenceOhm()).isEqualTo(sweep.referenceOhm());
        assertThat(again.frequenciesMHz()).isEqualTo(sweep.frequenciesMHz());
        for (int i = 0; i < sweep.scattering().size(); i++) {
            Complex before = sweep.scattering().get(i).s21();
            assertThat(again.scattering().get(i).s21().subtract(before).abs()).isLessThan(1e-12);
        }
        Sweep.OnePort one = SweepReferenceTest.onePort("kink-foam7-27m4.s1p");
        assertThat(Touchstone.read(Touchstone.write(one, Form.RI))).isEqualTo(one);
    }

    @Test
    void noiseDataBehindTwoPortsAreSkipped() {
        String text = "# MHz S RI R 50\n10 0 0 0.9 0 0.9 0 0 0\n20 0 0 0.8 0 0.8 0 0 0\n"
                + "! noise\n5 0.7 0.2 40 0.3\n15 0.8 0.2 50 0.3\n";
        assertThat(Touchstone.read(text).frequenciesMHz()).containsExactly(10.0, 20.0);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "''|line 1: there is no point",
                "10 NaN 0|line 1: \"NaN\" is not a number",
                "10 1 0_20 1 0_10 1 0|line 3: 10000.0 MHz stands in line 1 already",
                "10 1 0_20 1 0 1 0 1 0 1 0|line 2: 9 numbers, where the lines before have 3",
                "10 1|line 1: 2 numbers, where a sweep of one port has 3",
                "# MHz Z RI R 50_10 1 0|line 1: \"Z\" is not understood",
                "# MHz S RI R -50_10 1 0|line 1: a reference of -50",
                "[Version] 3.0_# MHz|line 1: this is version 3.0",
                "[Number of Ports] 4|line 1: a sweep of 4 ports",
                "[Mixed-Mode Order] D1|line 1: a mixed-mode sweep",
                "[Matrix Format] Upper|line 1: a matrix of which only a half",
                "[Reference] 50 75|line 1: the ports have references of 50 75",
                "[Colour] red|line 1: \"[Colour] red\" is no keyword",
                "[Version 2.0|line 1: \"[Version 2.0\" lacks its closing ]",
                "-10 1 0|line 1: -10000.0 MHz; a frequency lies above 0",
                "10 1e300 45|line 1: a magnitude of",
                "# MHz S DB_10 9999 0|line 2: a magnitude of",
                "hello there all|line 1: \"hello\" is not a number"
            })
    void whatIsNoSweepIsToldWithItsLine(String text, String told) {
        assertThatThrownBy(() -> Touchstone.read(text.replace('_', '\n')))
                .isInstanceOf(TouchstoneException.class)
                .hasMessageContaining(told);
    }

    @Test
    void moreThanAnyAnalyserTakesIsRefusedWithTheLimit() {
        StringBuilder text = new StringBuilder("# Hz S RI\n");
        for (int i = 1; i <= Touchstone.MOST_POINTS + 1; i++) {
            text.append(i).append(" 0 0\n");
        }
        assertThatThrownBy(() -> Touchstone.read(text.toString())).hasMessageContaining("more than 100001 points");
    }

    @Test
    void versionTwoSaysItsPortsItsReferenceAndItsOrderInKeywords() {
        Sweep read = Touchstone.read("""
                [Version] 2.0
                # MHz S RI R 75
                [Number of Ports] 2
                [Two-Port Data Order] 12_21
                [Number of Frequencies] 1
                [Reference]
                50 50
                [Begin Information]
                anything 1 2 3
                [End Information]
                [Network Data]
                10  0.1 0  0.2 0  0.3 0  0.4 0 ! S11 S12 S21 S22
                [Noise Data]
                2 0.7 0.64 69 0.38
                [End]
                """);
        assertThat(read.referenceOhm()).isEqualTo(50);
        Sweep.Scattering s = ((Sweep.TwoPort) read).scattering().get(0);
        assertThat(s.s12().real()).isEqualTo(0.2);
        assertThat(s.s21().real()).isEqualTo(0.3);
    }

    @Test
    void aPointAtZeroIsLeftOutAndWhatIsOutOfOrderIsSortedAndBothAreSaid() {
        Touchstone.Reading reading = Touchstone.reading("# MHz S RI R 50\n0 1 0\n30 0.3 0\n10 0.1 0\n20 0.2 0");
        assertThat(reading.hadZero()).isTrue();
        assertThat(reading.wasSorted()).isTrue();
        assertThat(reading.sweep().frequenciesMHz()).containsExactly(10.0, 20.0, 30.0);
        assertThat(((Sweep.OnePort) reading.sweep()).reflections())
                .extracting(c -> c.real())
                .containsExactly(0.1, 0.2, 0.3);
        Touchstone.Reading plain = Touchstone.reading("# MHz S RI R 50\n10 0.1 0\n20 0.2 0");
        assertThat(plain.hadZero() || plain.wasSorted()).isFalse();
    }
}
