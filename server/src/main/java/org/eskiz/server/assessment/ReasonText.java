package org.eskiz.server.assessment;

import java.util.Locale;
import org.eskiz.core.choice.Reason;
import org.eskiz.core.choice.Requirement;

/** A reason in English, for whoever has no sentence of their own; the front end makes its own from the values. */
final class ReasonText {

    private ReasonText() {}

    static String of(Reason reason, BandRequest band) {
        String on = " on " + (band.name() == null ? band.frequencyMHz() + " MHz" : band.name());
        double reached = reason.reached();
        return switch (reason.cause()) {
            case TOO_LOSSY -> "loses %s dB%s: too much to be assessed".formatted(figure(reached), on);
            case MISSED -> missed(reason.requirement().orElseThrow(), reached) + on;
            case MISSED_AT_WORST_ANGLE -> "missed%s at the worst angle of the load".formatted(on);
            case LITTLE_TO_SPARE -> "little to spare" + on;
            case EXTRAPOLATED -> "beyond a data sheet" + on;
        };
    }

    private static String missed(Requirement asked, double reached) {
        if (asked instanceof Requirement.MostLoss) {
            return "%s dB over %s dB".formatted(figure(reached - asked.asked()), figure(asked.asked()));
        }
        String unit = asked instanceof Requirement.LeastPower ? "W" : "%";
        return "%s %s short of %s %s".formatted(figure(asked.asked() - reached), unit, figure(asked.asked()), unit);
    }

    /** Three digits, without an exponent. */
    private static String figure(double value) {
        int decimals = Math.max(0, 2 - (int) Math.floor(Math.log10(Math.max(Math.abs(value), 1e-9))));
        String text = String.format(Locale.ROOT, "%." + decimals + "f", value);
        return text.contains(".") ? text.replaceAll("0+$", "").replaceAll("\\.$", "") : text;
    }
}
