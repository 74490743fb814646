package org.eskiz.server.exchange;

import java.util.List;
import java.util.regex.Pattern;

/**
 * How numbers of a text are written: with a decimal comma or point, and with commas, points or spaces that group thousands. A mark
 * that groups is never taken for a decimal mark where the text itself says otherwise, so that no loss is a thousand times another.
 *
 * @param decimalComma whether a comma is the decimal mark
 */
record NumberStyle(boolean decimalComma) {

    private static final Pattern NUMBER = Pattern.compile(
            "[-+]?(\\d{1,3}(?:[,. ]\\d{3})+(?:[.,]\\d+)?|\\d+(?:[.,]\\d+)?|[.,]\\d+)(?:[eE][-+]?\\d+)?");
    private static final Pattern GROUPED_BY_COMMA = Pattern.compile("[-+]?\\d{1,3}(?:,\\d{3})+(?:\\.\\d+)?");
    private static final Pattern GROUPED_BY_POINT = Pattern.compile("[-+]?\\d{1,3}(?:\\.\\d{3})+(?:,\\d+)?");
    private static final Pattern WITH_POINT = Pattern.compile("[-+]?\\d+\\.\\d+.*");

    /**
     * How a table is written.
     *
     * @param firsts cells of its first column, in order
     * @param all all of its cells
     */
    static NumberStyle of(List<String> firsts, List<String> all) {
        List<String> withComma =
                all.stream().filter(c -> isNumber(c) && c.indexOf(',') >= 0).toList();
        boolean mayGroup =
                withComma.stream().allMatch(c -> GROUPED_BY_COMMA.matcher(c).matches());
        boolean hasPoint =
                all.stream().anyMatch(c -> isNumber(c) && WITH_POINT.matcher(c).matches());
        boolean groups = mayGroup && (hasPoint || risesOnlyGrouped(firsts));
        return new NumberStyle(!withComma.isEmpty() && !groups);
    }

    /** 900 and then 1,000: the frequencies of a sheet rise, so that this is a thousand. */
    private static boolean risesOnlyGrouped(List<String> firsts) {
        List<String> numbers = firsts.stream().filter(NumberStyle::isNumber).toList();
        return numbers.size() > 1 && rises(numbers, new NumberStyle(false)) && !rises(numbers, new NumberStyle(true));
    }

    private static boolean rises(List<String> numbers, NumberStyle style) {
        for (int i = 1; i < numbers.size(); i++) {
            if (style.value(numbers.get(i)) <= style.value(numbers.get(i - 1))) {
                return false;
            }
        }
        return true;
    }

    static boolean isNumber(String cell) {
        return NUMBER.matcher(cell).matches();
    }

    /** What a cell says, that is a number. */
    double value(String cell) {
        String plain = cell.replace(" ", "");
        if (decimalComma) {
            plain = GROUPED_BY_POINT.matcher(plain).matches() && plain.indexOf(',') >= 0
                    ? plain.replace(".", "")
                    : plain;
            return Double.parseDouble(plain.replace(',', '.'));
        }
        return Double.parseDouble(plain.replace(",", ""));
    }
}
