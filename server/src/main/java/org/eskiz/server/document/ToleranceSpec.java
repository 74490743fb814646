package org.eskiz.server.document;

import static java.util.Objects.requireNonNullElse;

import org.eskiz.server.catalogue.Provenance;
import org.eskiz.server.catalogue.Source;
import org.eskiz.server.operator.Settings;
import org.eskiz.server.problem.Within;

/**
 * How far the attenuation of a cable may be off what is said of it, to either side, by where that comes from.
 *
 * @param typicalPercent of figures typical of a type, default 10
 * @param sheetPercent of a data sheet, and of a cable written out, default 5
 * @param measuredPercent of a measurement, default 5: a piece like the one measured is not the one measured
 * @param guessedPercent of a guess, default 30
 */
public record ToleranceSpec(
        @Within(what = MOST, min = 0, max = 90) Double typicalPercent,
        @Within(what = MOST, min = 0, max = 90) Double sheetPercent,
        @Within(what = MOST, min = 0, max = 90) Double measuredPercent,
        @Within(what = MOST, min = 0, max = 90) Double guessedPercent) {

    private static final String MOST = "tolerance in percent";

    public static final ToleranceSpec USUAL = new ToleranceSpec(null, null, null, null);

    /** As the operator has set them. */
    public static ToleranceSpec of(Settings.Tolerances set) {
        return new ToleranceSpec(set.typicalPercent(), set.sheetPercent(), set.measuredPercent(), set.guessedPercent());
    }

    /** Of a type, as a fraction: what is said of it itself, or else of where its figures come from. */
    public double of(Source source) {
        return source.withinPercent() == null ? of(source.provenance()) : source.withinPercent() / 100;
    }

    /** As a fraction. */
    private double of(Provenance provenance) {
        return switch (provenance) {
                    case TYPICAL -> requireNonNullElse(typicalPercent, 10.0);
                    case SHEET -> requireNonNullElse(sheetPercent, 5.0);
                    case MEASURED -> requireNonNullElse(measuredPercent, 5.0);
                    case GUESSED -> requireNonNullElse(guessedPercent, 30.0);
                }
                / 100;
    }
}
