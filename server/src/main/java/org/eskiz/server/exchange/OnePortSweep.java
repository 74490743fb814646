package org.eskiz.server.exchange;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.eskiz.core.run.LoadTable;

/**
 * Reads a one-port sweep in the Touchstone format, version 1: an option line such as {@code # MHz S RI R 50}, then
 * frequency and two numbers in every line; {@code !} begins a comment.
 */
final class OnePortSweep {

    private static final Map<String, Double> MHZ_PER_UNIT = Map.of("HZ", 1e-6, "KHZ", 1e-3, "MHZ", 1.0, "GHZ", 1e3);

    private static final double RADIANS_PER_DEGREE = Math.PI / 180;

    private double mhzPerUnit = 1e3;
    private String format = "MA";
    private double referenceOhm = 50;
    private boolean hasOptions;
    private final List<LoadTable.ReflectionRow> rows = new ArrayList<>();

    private OnePortSweep() {}

    static LoadTable read(String text) {
        var sweep = new OnePortSweep();
        int number = 0;
        for (String line : text.lines().toList()) {
            number++;
            sweep.line(number, line.replaceFirst("!.*", "").strip());
        }
        if (sweep.rows.isEmpty()) {
            throw new LoadFileException("there is no point in this sweep");
        }
        return LoadTable.ofReflections(sweep.rows, sweep.referenceOhm);
    }

    private void line(int number, String line) {
        if (line.isEmpty()) {
            return;
        }
        if (line.startsWith("#")) {
            // of several option lines the first counts
            if (!hasOptions) {
                options(
                        number,
                        line.substring(1).strip().toUpperCase(Locale.ROOT).split("\\s+"));
            }
            hasOptions = true;
            return;
        }
        if (line.startsWith("[")) {
            throw new LoadFileException(number, "this is version 2 of the format; version 1 is read here");
        }
        point(number, line.split("\\s+"));
    }

    private void options(int number, String[] words) {
        for (int i = 0; i < words.length; i++) {
            String word = words[i];
            if (MHZ_PER_UNIT.containsKey(word)) {
                mhzPerUnit = MHZ_PER_UNIT.get(word);
            } else if (List.of("RI", "MA", "DB").contains(word)) {
                format = word;
            } else if (word.equals("R") && i + 1 < words.length) {
                i++;
                referenceOhm = number(number, words[i]);
            } else if (!word.equals("S") && !word.isEmpty()) {
                throw new LoadFileException(
                        number, "\"%s\" is not understood; a line such as # MHz S RI R 50 is".formatted(word));
            }
        }
    }

    private void point(int number, String[] words) {
        if (words.length != 3) {
            throw new LoadFileException(
                    number,
                    "%d numbers, where a one-port sweep has 3: frequency and reflection%s"
                            .formatted(words.length, words.length == 9 ? "; this looks like a two-port sweep" : ""));
        }
        double frequencyMHz = number(number, words[0]) * mhzPerUnit;
        double a = number(number, words[1]);
        double b = number(number, words[2]);
        if (!rows.isEmpty() && frequencyMHz <= rows.get(rows.size() - 1).frequencyMHz()) {
            throw new LoadFileException(number, "%s MHz does not rise above the line before".formatted(frequencyMHz));
        }
        rows.add(reflection(frequencyMHz, a, b));
    }

    private LoadTable.ReflectionRow reflection(double frequencyMHz, double a, double b) {
        if (format.equals("RI")) {
            return new LoadTable.ReflectionRow(frequencyMHz, a, b);
        }
        double magnitude = format.equals("DB") ? Math.pow(10, a / 20) : a;
        double angle = b * RADIANS_PER_DEGREE;
        return new LoadTable.ReflectionRow(frequencyMHz, magnitude * Math.cos(angle), magnitude * Math.sin(angle));
    }

    private static double number(int line, String word) {
        try {
            double value = Double.parseDouble(word);
            if (Double.isFinite(value)) {
                return value;
            }
        } catch (NumberFormatException e) {
            // told below
        }
        throw new LoadFileException(line, "\"%s\" is not a number".formatted(word));
    }
}
