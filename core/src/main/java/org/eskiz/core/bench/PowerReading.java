package org.eskiz.core.bench;

import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What a wattmeter shows, which may flicker between two values.
 *
 * @param leastW the smaller value read
 * @param mostW the larger one, the same where it stands still
 * @param digitW one step of the last digit as it was read
 */
public record PowerReading(double leastW, double mostW, double digitW) {

    private static final Map<String, Double> WATTS = Map.of("", 1.0, "mw", 1e-3, "w", 1.0, "kw", 1e3);

    private static final Pattern ONE = Pattern.compile("(\\d+)(?:[.,](\\d+))?");
    private static final Pattern TYPED = Pattern.compile(
            "(?i)\\s*(\\d+(?:[.,]\\d+)?)\\s*(?:(?:-|–|—|\\.\\.+|…|to)\\s*(\\d+(?:[.,]\\d+)?))?\\s*(mw|w|kw)?\\s*");

    private static final double LEAST_W = 1e-6;
    private static final double MOST_W = 1e6;

    /**
     * Reads what somebody typed: {@code 48}, {@code 47.5}, {@code 47–49}, {@code 0,8 to 0,9 kW}.
     *
     * @throws ReadingException when it is no reading above zero
     */
    public static PowerReading typed(String text) {
        Matcher typed = TYPED.matcher(text);
        if (!typed.matches()) {
            throw new ReadingException(
                    "\"%s\" is no reading; 48, 47.5 or 47-49 is, in W, with mW or kW behind it if need be"
                            .formatted(text));
        }
        double unit =
                WATTS.getOrDefault(typed.group(3) == null ? "" : typed.group(3).toLowerCase(Locale.ROOT), 1.0);
        String first = typed.group(1);
        String second = typed.group(2) == null ? first : typed.group(2);
        double a = number(first) * unit;
        double b = number(second) * unit;
        requirePossible(text, Math.min(a, b));
        requirePossible(text, Math.max(a, b));
        return new PowerReading(Math.min(a, b), Math.max(a, b), Math.max(digit(first), digit(second)) * unit);
    }

    private static void requirePossible(String text, double watts) {
        if (!(watts >= LEAST_W && watts <= MOST_W)) {
            throw new ReadingException(
                    "\"%s\" is %s W; a reading lies above 0 and at most %s W".formatted(text.strip(), watts, MOST_W));
        }
    }

    double middleW() {
        return (leastW + mostW) / 2;
    }

    private static double number(String text) {
        return Double.parseDouble(text.replace(',', '.'));
    }

    private static double digit(String text) {
        Matcher parts = ONE.matcher(text);
        return parts.matches() && parts.group(2) != null
                ? Math.pow(10, -parts.group(2).length())
                : 1;
    }

    /**
     * How well the same thing reads the same twice.
     *
     * @param digits of the last digit, to either side
     * @param share of the reading, to either side, added to it
     */
    public record Repeatability(double digits, double share) {

        /** Half a digit and one percent. */
        public static final Repeatability USUAL = new Repeatability(0.5, 0.01);

        public Repeatability {
            if (!(digits >= 0 && digits <= 100 && share >= 0 && share < 0.5)) {
                throw new IllegalArgumentException(
                        "repeatability must be 0 to 100 digits and 0 to 50 %%, not %s digits and %s %%"
                                .formatted(digits, 100 * share));
            }
        }
    }
}
