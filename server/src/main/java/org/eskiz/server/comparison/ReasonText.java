package org.eskiz.server.comparison;

import java.util.Locale;
import java.util.Optional;
import org.eskiz.core.choice.Reason;
import org.eskiz.core.choice.Requirement;
import org.eskiz.server.document.BandSpec;
import org.eskiz.server.document.RequirementSpec.Kind;

/** A reason in English, for whoever has no sentence of their own; the front end makes its own from the values. */
final class ReasonText {

    private ReasonText() {}

    static String of(Reason reason, Optional<Kind> kind, BandSpec band) {
        String on = band == null ? "" : " on " + (band.name() == null ? band.frequencyMHz() + " MHz" : band.name());
        String what = kind.map(k -> k.name().toLowerCase(Locale.ROOT).replace('_', ' '))
                .orElse("");
        return switch (reason.cause()) {
            case TOO_LOSSY ->
                "loses %s dB%s: too much to be assessed"
                        .formatted(figure(reason.reached().orElseThrow()), on);
            case MISSED -> missed(reason, kind.orElseThrow(), what) + on;
            case MISSED_AT_WORST_ANGLE -> "%s missed%s at the worst angle of the load".formatted(what, on);
            case MISSED_AT_TOLERANCE -> "%s missed%s at the unlucky end of the tolerance".formatted(what, on);
            case LITTLE_TO_SPARE -> what + ": little to spare" + on;
            case EXTRAPOLATED -> "beyond what is known of a part" + on;
            case TOO_HOT, NEARLY_TOO_HOT -> bears(reason, "heat") + on;
            case TOO_HIGH_VOLTAGE, NEARLY_TOO_HIGH_VOLTAGE -> bears(reason, "voltage") + on;
            case BEYOND_MATCHING_UNIT, BEYOND_MATCHING_UNIT_AT_WORST_ANGLE, BEYOND_ASSUMED_MATCHING_UNIT ->
                "an SWR of %s is beyond the matching unit, which copes with %s"
                                .formatted(
                                        figure(reason.reached().orElseThrow()),
                                        figure(reason.limit().orElseThrow()))
                        + on;
            case BALANCED_MEETS_UNBALANCED -> "a balanced line meets what is not balanced" + on;
            case UNKNOWN -> what + ": not known" + on;
        };
    }

    private static String bears(Reason reason, String what) {
        return "a part bears the %s %s times over"
                .formatted(what, figure(reason.reached().orElseThrow()));
    }

    private static String missed(Reason reason, Kind kind, String what) {
        Requirement asked = reason.requirement().orElseThrow();
        if (kind.isYesOrNo()) {
            return what + ": no";
        }
        double reached = reason.reached().orElseThrow();
        return switch (kind) {
            case LEAST_POWER -> shortOf(asked, reached, "W");
            case LEAST_PERCENT -> shortOf(asked, reached, "%");
            case MOST_LOSS ->
                "%s dB over %s dB".formatted(figure(reached - asked.threshold()), figure(asked.threshold()));
            default -> "%s %s where %s is asked".formatted(what, figure(reached), figure(asked.threshold()));
        };
    }

    private static String shortOf(Requirement asked, double reached, String unit) {
        return "%s %s short of %s %s"
                .formatted(figure(asked.threshold() - reached), unit, figure(asked.threshold()), unit);
    }

    /** Three digits, without an exponent. */
    private static String figure(double value) {
        int decimals = Math.max(0, 2 - (int) Math.floor(Math.log10(Math.max(Math.abs(value), 1e-9))));
        String text = String.format(Locale.ROOT, "%." + decimals + "f", value);
        return text.contains(".") ? text.replaceAll("0+$", "").replaceAll("\\.$", "") : text;
    }
}
