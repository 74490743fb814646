package org.eskiz.core.run;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.OptionalDouble;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

class LoadTableTest {

    private static final LoadTable IMPEDANCES = LoadTable.ofImpedances(
            List.of(new LoadTable.ImpedanceRow(7.2, 60, 40), new LoadTable.ImpedanceRow(7.0, 40, -30)), 50);

    @Test
    void everyRowIsFoundAgain() {
        var load = (Load.Impedance) IMPEDANCES.at(7.0).orElseThrow();
        assertThat(load.resistanceOhm()).isCloseTo(40, within(1e-9));
        assertThat(load.reactanceOhm()).isCloseTo(-30, within(1e-9));
        assertThat(((Load.Impedance) IMPEDANCES.at(7.2).orElseThrow()).resistanceOhm())
                .isCloseTo(60, within(1e-9));
    }

    @Test
    void beyondTheRowsNothingIsKnown() {
        assertThat(IMPEDANCES.at(6.99)).isEmpty();
        assertThat(IMPEDANCES.at(7.21)).isEmpty();
        assertThat(IMPEDANCES.lowestMHz()).isEqualTo(7.0);
    }

    @Property(tries = 200)
    void betweenTwoAntennasThereIsAnAntenna(
            @ForAll @DoubleRange(min = 0.5, max = 5000) double r1,
            @ForAll @DoubleRange(min = -5000, max = 5000) double x1,
            @ForAll @DoubleRange(min = 0.5, max = 5000) double r2,
            @ForAll @DoubleRange(min = -5000, max = 5000) double x2,
            @ForAll @DoubleRange(min = 0, max = 1) double way) {
        var table = LoadTable.ofImpedances(
                List.of(new LoadTable.ImpedanceRow(10, r1, x1), new LoadTable.ImpedanceRow(11, r2, x2)), 50);
        assertThat(((Load.Impedance) table.at(10 + way).orElseThrow()).resistanceOhm())
                .isPositive();
    }

    @Test
    void anSwrStaysAnSwrInItsOwnReference() {
        var table = LoadTable.ofSwrs(List.of(new LoadTable.SwrRow(144, 1.2), new LoadTable.SwrRow(146, 2)), 75);
        var load = (Load.SwrAtAntenna) table.at(144).orElseThrow();
        assertThat(load.swr()).isCloseTo(1.2, within(1e-12));
        assertThat(load.referenceOhm()).isEqualTo(OptionalDouble.of(75));
        double between = ((Load.SwrAtAntenna) table.at(145).orElseThrow()).swr();
        double reflection = (0.2 / 2.2 + 1.0 / 3) / 2;
        assertThat(between).isCloseTo((1 + reflection) / (1 - reflection), within(1e-12));
    }

    @Test
    void moreThanWasSentCannotComeBack() {
        var table = LoadTable.ofReflections(List.of(new LoadTable.ReflectionRow(10, 0.9, 0.6)), 50);
        assertThatThrownBy(() -> table.at(10))
                .isInstanceOf(ImpossibleLoadException.class)
                .hasMessageContaining("reflection of 1.082");
        assertThatThrownBy(() -> LoadTable.ofSwrs(List.of(), 50)).hasMessageContaining("at least one row");
    }
}
