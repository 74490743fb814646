package org.eskiz.core.run;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.apache.commons.numbers.complex.Complex;
import org.eskiz.core.unit.Require;

/**
 * An antenna measured or computed at several frequencies, read at any frequency between.
 *
 * <p>Between two rows the reflection coefficient is interpolated in a straight line, real and imaginary part each: it stays
 * within the unit circle whatever the two rows are, which resistance and reactance near a resonance do not. Beyond the rows
 * nothing is known.
 */
public final class LoadTable {

    private final double referenceOhm;
    private final boolean isAngleKnown;
    private final List<Row> rows;

    /**
     * One row.
     *
     * @param frequencyMHz above 0
     * @param reflection in the table's reference impedance; of angle 0 where only an SWR is known
     */
    private record Row(double frequencyMHz, Complex reflection) {}

    private LoadTable(double referenceOhm, boolean isAngleKnown, List<Row> rows) {
        if (rows.isEmpty()) {
            throw new IllegalArgumentException("a table of loads needs at least one row, not 0");
        }
        this.referenceOhm = Require.positive("reference in ohm", referenceOhm);
        this.isAngleKnown = isAngleKnown;
        this.rows = rows.stream()
                .sorted(Comparator.comparingDouble(Row::frequencyMHz))
                .toList();
    }

    /** A row with an impedance. */
    public record ImpedanceRow(double frequencyMHz, double resistanceOhm, double reactanceOhm) {}

    /** A row with an SWR at the antenna. */
    public record SwrRow(double frequencyMHz, double swr) {}

    /** A row with a complex reflection coefficient. */
    public record ReflectionRow(double frequencyMHz, double real, double imaginary) {}

    /** From impedances; interpolated as reflections in a reference impedance. */
    public static LoadTable ofImpedances(List<ImpedanceRow> rows, double referenceOhm) {
        return new LoadTable(
                referenceOhm,
                true,
                rows.stream()
                        .map(r -> new Row(
                                r.frequencyMHz,
                                reflection(Complex.ofCartesian(r.resistanceOhm, r.reactanceOhm), referenceOhm)))
                        .toList());
    }

    /** From SWRs, whose angle nobody knows. */
    public static LoadTable ofSwrs(List<SwrRow> rows, double referenceOhm) {
        return new LoadTable(
                referenceOhm,
                false,
                rows.stream()
                        .map(r -> new Row(r.frequencyMHz, Complex.ofCartesian(StandingWave.reflectionOf(r.swr), 0)))
                        .toList());
    }

    /** From reflection coefficients, as a sweep has them. */
    public static LoadTable ofReflections(List<ReflectionRow> rows, double referenceOhm) {
        return new LoadTable(
                referenceOhm,
                true,
                rows.stream()
                        .map(r -> new Row(r.frequencyMHz, Complex.ofCartesian(r.real, r.imaginary)))
                        .toList());
    }

    public double lowestMHz() {
        return rows.get(0).frequencyMHz;
    }

    public double highestMHz() {
        return rows.get(rows.size() - 1).frequencyMHz;
    }

    public int size() {
        return rows.size();
    }

    /**
     * What the antenna is at a frequency.
     *
     * @return empty beyond the rows
     * @throws ImpossibleLoadException where the table says that more comes back than was sent
     */
    public Optional<Load> at(double frequencyMHz) {
        if (frequencyMHz < lowestMHz() || frequencyMHz > highestMHz()) {
            return Optional.empty();
        }
        Complex reflection = interpolated(frequencyMHz);
        if (!(reflection.abs() < 1)) {
            throw ImpossibleLoadException.inTheTable(reflection.abs(), frequencyMHz);
        }
        return Optional.of(isAngleKnown ? impedance(reflection) : swr(reflection));
    }

    private Complex interpolated(double frequencyMHz) {
        Row below = rows.get(0);
        for (Row row : rows) {
            if (row.frequencyMHz >= frequencyMHz) {
                double span = row.frequencyMHz - below.frequencyMHz;
                double way = span == 0 ? 1 : (frequencyMHz - below.frequencyMHz) / span;
                return below.reflection.multiply(1 - way).add(row.reflection.multiply(way));
            }
            below = row;
        }
        return below.reflection;
    }

    private Load impedance(Complex reflection) {
        Complex ohm = reflection.add(1).divide(Complex.ONE.subtract(reflection)).multiply(referenceOhm);
        return new Load.Impedance(ohm.real(), ohm.imag());
    }

    private Load swr(Complex reflection) {
        return new Load.SwrAtAntenna(StandingWave.swrOf(reflection.abs()), OptionalDouble.of(referenceOhm));
    }

    private static Complex reflection(Complex ohm, double referenceOhm) {
        return ohm.subtract(referenceOhm).divide(ohm.add(referenceOhm));
    }
}
