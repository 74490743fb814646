package org.eskiz.core.bench;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.Iterator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.IntStream;
import org.apache.commons.numbers.complex.Complex;
import org.eskiz.core.unit.Decibels;

/**
 * The Touchstone format, versions 1.1 and 2.0 (IBIS Open Forum, 2009): an option line such as {@code # MHz S RI R 50}, then
 * frequency and pairs of numbers in every line; {@code !} begins a comment. Version 2 tells the ports, their reference and the
 * order of the data in keywords. One port and two ports, single-ended, are read; noise data behind a two-port sweep are skipped. A
 * point at 0 Hz is left out, since no wave is there, and points out of order are sorted; both are said.
 */
public final class Touchstone {

    /** A line that stands before a sweep of an analyser that was not calibrated, and so goes wherever the file goes. */
    public static final String UNCALIBRATED = "! not calibrated\n";

    /** More points than any analyser takes. */
    public static final int MOST_POINTS = 100_001;

    private static final Map<String, Double> MHZ_PER_UNIT = Map.of("HZ", 1e-6, "KHZ", 1e-3, "MHZ", 1.0, "GHZ", 1e3);

    private static final double MOST_MAGNITUDE = 1000;

    private static final int NUMBERS_OF_ONE_PORT = 3;
    private static final int NUMBERS_OF_TWO_PORTS = 9;
    private static final int NUMBERS_OF_NOISE = 5;

    private final List<Double> frequencies = new ArrayList<>();
    private final List<double[]> numbers = new ArrayList<>();
    private final Map<Double, Integer> lineOf = new HashMap<>();
    private double mhzPerUnit = 1e3;
    private Form form = Form.MA;
    private double referenceOhm = 50;
    private boolean hasOptions;
    private boolean inNoise;
    private boolean isSkipped;
    private boolean isUncalibrated;
    private boolean isLeftOut;
    private boolean isOutOfOrder;
    private boolean isReferenceNext;
    private boolean isBackwardFirst;
    private int ports;

    /**
     * What was read.
     *
     * @param hadZero whether there was a point at 0 Hz, which is left out
     * @param wasSorted whether its points were out of order
     * @param isUncalibrated whether a comment says that the analyser was not calibrated
     */
    public record Reading(Sweep sweep, boolean hadZero, boolean wasSorted, boolean isUncalibrated) {}

    /** How a complex number is written. */
    public enum Form {
        /** Real and imaginary part. */
        RI,
        /** Magnitude and angle in degrees. */
        MA,
        /** Magnitude in dB and angle in degrees. */
        DB;

        Complex read(double a, double b) {
            return switch (this) {
                case RI -> Complex.ofCartesian(a, b);
                case MA -> polar(a, b);
                case DB -> polar(Math.pow(10, a / 20), b);
            };
        }

        private String written(Complex c) {
            double degrees = Math.toDegrees(c.arg());
            return switch (this) {
                case RI -> c.real() + " " + c.imag();
                case MA -> c.abs() + " " + degrees;
                case DB -> Decibels.ofAmplitude(c.abs()) + " " + degrees;
            };
        }

        /** A magnitude below zero is a half turn; polar forms of libraries refuse it. */
        private static Complex polar(double magnitude, double degrees) {
            double angle = Math.toRadians(degrees);
            return Complex.ofCartesian(magnitude * Math.cos(angle), magnitude * Math.sin(angle));
        }
    }

    private Touchstone() {}

    /**
     * Reads a sweep of one port or of two.
     *
     * @throws TouchstoneException when it is none, with the line
     */
    public static Sweep read(String text) {
        return reading(text).sweep();
    }

    /**
     * The same, with what was done to it.
     *
     * @throws TouchstoneException when it is none, with the line
     */
    public static Reading reading(String text) {
        var file = new Touchstone();
        int number = 0;
        for (Iterator<String> lines = text.lines().iterator(); lines.hasNext(); ) {
            number++;
            String line = lines.next();
            int comment = line.indexOf('!');
            file.isUncalibrated |= line.strip().equals(UNCALIBRATED.strip());
            file.line(number, (comment < 0 ? line : line.substring(0, comment)).strip());
        }
        if (file.numbers.isEmpty()) {
            throw new TouchstoneException(Math.max(1, number), "there is no point in this sweep");
        }
        return file.read();
    }

    /** Writes a sweep, in MHz, so that reading it gives the same back to the precision of the form. */
    public static String write(Sweep sweep, Form form) {
        StringBuilder text = new StringBuilder("# MHz S %s R %s\n".formatted(form, sweep.referenceOhm()));
        for (int i = 0; i < sweep.frequenciesMHz().size(); i++) {
            text.append(sweep.frequenciesMHz().get(i));
            for (Complex c : values(sweep, i)) {
                text.append(' ').append(form.written(c));
            }
            text.append('\n');
        }
        return text.toString();
    }

    private static List<Complex> values(Sweep sweep, int i) {
        if (sweep instanceof Sweep.OnePort one) {
            return List.of(one.reflections().get(i));
        }
        Sweep.Scattering s = ((Sweep.TwoPort) sweep).scattering().get(i);
        return List.of(s.s11(), s.s21(), s.s12(), s.s22());
    }

    private void line(int number, String line) {
        if (line.startsWith("[")) {
            keyword(number, line);
            return;
        }
        if (line.isEmpty() || inNoise || isSkipped) {
            return;
        }
        if (isReferenceNext) {
            references(number, line);
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
        point(number, line.split("\\s+"));
    }

    private void keyword(int number, String line) {
        int end = line.indexOf(']');
        if (end < 0) {
            throw new TouchstoneException(number, "\"%s\" lacks its closing ]".formatted(shown(line)));
        }
        String value = line.substring(end + 1).strip();
        switch (line.substring(1, end).strip().toUpperCase(Locale.ROOT)) {
            case "VERSION" -> requireVersion(number, value);
            case "NUMBER OF PORTS" -> ports = ports(number, value);
            case "TWO-PORT DATA ORDER", "TWO-PORT ORDER" -> isBackwardFirst = value.equals("12_21");
            case "REFERENCE" -> references(number, value);
            case "MATRIX FORMAT" -> requireFull(number, value);
            case "MIXED-MODE ORDER" ->
                throw new TouchstoneException(number, "a mixed-mode sweep; single-ended ones are read here");
            case "NOISE DATA" -> inNoise = true;
            case "BEGIN INFORMATION" -> isSkipped = true;
            case "END INFORMATION" -> isSkipped = false;
            case "NUMBER OF FREQUENCIES", "NUMBER OF NOISE FREQUENCIES", "NETWORK DATA", "END" ->
                isReferenceNext = false;
            default ->
                throw new TouchstoneException(number, "\"%s\" is no keyword of the format".formatted(shown(line)));
        }
    }

    private static void requireVersion(int number, String value) {
        if (!value.equals("2.0") && !value.equals("2.1")) {
            throw new TouchstoneException(
                    number, "this is version %s of the format; 1 and 2 are read here".formatted(shown(value)));
        }
    }

    private static int ports(int number, String value) {
        double ports = number(number, value);
        if (ports != 1 && ports != 2) {
            throw new TouchstoneException(
                    number, "a sweep of %s ports; of 1 or 2 it is read here".formatted(shown(value)));
        }
        return (int) ports;
    }

    private static void requireFull(int number, String value) {
        if (!value.equalsIgnoreCase("Full")) {
            throw new TouchstoneException(
                    number,
                    "a matrix of which only a half is written (%s); full ones are read here".formatted(shown(value)));
        }
    }

    /** One for each port, on the line of the keyword or on the next; here they have to be alike. */
    private void references(int number, String text) {
        isReferenceNext = text.isEmpty();
        if (text.isEmpty()) {
            return;
        }
        for (String word : text.split("\\s+")) {
            double ohm = resistance(number, word);
            if (!word.equals(text.split("\\s+")[0]) && ohm != referenceOhm) {
                throw new TouchstoneException(
                        number, "the ports have references of %s; they have to be alike".formatted(shown(text)));
            }
            referenceOhm = ohm;
        }
    }

    private void options(int number, String[] words) {
        for (int i = 0; i < words.length; i++) {
            String word = words[i];
            if (MHZ_PER_UNIT.containsKey(word)) {
                mhzPerUnit = MHZ_PER_UNIT.get(word);
            } else if (List.of("RI", "MA", "DB").contains(word)) {
                form = Form.valueOf(word);
            } else if (word.equals("R") && i + 1 < words.length) {
                i++;
                referenceOhm = resistance(number, words[i]);
            } else if (!word.equals("S") && !word.isEmpty()) {
                throw new TouchstoneException(
                        number, "\"%s\" is not understood; a line such as # MHz S RI R 50 is".formatted(shown(word)));
            }
        }
    }

    private static double resistance(int number, String word) {
        double ohm = number(number, word);
        if (!(ohm > 0)) {
            throw new TouchstoneException(number, "a reference of %s Ω; it must be above 0".formatted(shown(word)));
        }
        return ohm;
    }

    private void point(int number, String[] words) {
        double frequencyMHz = number(number, words[0]) * mhzPerUnit;
        boolean rises = frequencies.isEmpty() || frequencyMHz > frequencies.get(frequencies.size() - 1);
        if (isTwoPort() && !rises && words.length == NUMBERS_OF_NOISE) {
            inNoise = true;
            return;
        }
        requireShape(number, words);
        if (!(frequencyMHz >= 0)) {
            throw new TouchstoneException(number, "%s MHz; a frequency lies above 0".formatted(frequencyMHz));
        }
        if (frequencyMHz == 0) {
            isLeftOut = true;
            return;
        }
        Integer before = lineOf.putIfAbsent(frequencyMHz, number);
        if (before != null) {
            throw new TouchstoneException(number, "%s MHz stands in line %d already".formatted(frequencyMHz, before));
        }
        isOutOfOrder |= !rises;
        if (frequencies.size() == MOST_POINTS) {
            throw new TouchstoneException(number, String.format(Locale.ROOT, "more than %d points", MOST_POINTS));
        }
        double[] values = new double[words.length - 1];
        for (int i = 0; i < values.length; i++) {
            values[i] = number(number, words[i + 1]);
        }
        for (int i = 0; i < values.length; i += 2) {
            requirePossible(number, form.read(values[i], values[i + 1]).abs());
        }
        frequencies.add(frequencyMHz);
        numbers.add(values);
    }

    /** Nothing passive shows more than 1; noise and a missing calibration some more, but not this. */
    private static void requirePossible(int number, double magnitude) {
        if (!(magnitude <= MOST_MAGNITUDE)) {
            throw new TouchstoneException(
                    number, "a magnitude of %s; more than %s cannot be".formatted(magnitude, MOST_MAGNITUDE));
        }
    }

    private void requireShape(int number, String[] words) {
        boolean isKnown = words.length == NUMBERS_OF_ONE_PORT || words.length == NUMBERS_OF_TWO_PORTS;
        boolean isSteady = numbers.isEmpty() || words.length == numbers.get(0).length + 1;
        if (!isKnown || !isSteady) {
            throw new TouchstoneException(
                    number,
                    String.format(
                            Locale.ROOT,
                            "%d numbers, where %s",
                            words.length,
                            isSteady
                                    ? "a sweep of one port has 3 in a line, and one of two ports has 9"
                                    : "the lines before have " + (numbers.get(0).length + 1)));
        }
    }

    private boolean isTwoPort() {
        return !numbers.isEmpty() && numbers.get(0).length == NUMBERS_OF_TWO_PORTS - 1;
    }

    private Reading read() {
        if (ports == 2 && !isTwoPort() || ports == 1 && isTwoPort()) {
            throw new TouchstoneException(
                    1, "its keyword says %d ports, its lines are of another number".formatted(ports));
        }
        if (isOutOfOrder) {
            sort();
        }
        return new Reading(sweep(), isLeftOut, isOutOfOrder, isUncalibrated);
    }

    private void sort() {
        List<Integer> order = IntStream.range(0, frequencies.size())
                .boxed()
                .sorted(Comparator.comparingDouble(frequencies::get))
                .toList();
        List<Double> sorted = order.stream().map(frequencies::get).toList();
        List<double[]> values = order.stream().map(numbers::get).toList();
        frequencies.clear();
        frequencies.addAll(sorted);
        numbers.clear();
        numbers.addAll(values);
    }

    /** Of two ports the second pair is S21, but where a file of version 2 says otherwise. */
    private int second() {
        return isBackwardFirst ? 4 : 2;
    }

    private Sweep sweep() {
        if (!isTwoPort()) {
            return new Sweep.OnePort(
                    referenceOhm,
                    frequencies,
                    numbers.stream().map(n -> form.read(n[0], n[1])).toList());
        }
        return new Sweep.TwoPort(
                referenceOhm,
                frequencies,
                numbers.stream()
                        .map(n -> new Sweep.Scattering(
                                form.read(n[0], n[1]),
                                form.read(n[second()], n[second() + 1]),
                                form.read(n[6 - second()], n[7 - second()]),
                                form.read(n[6], n[7])))
                        .toList());
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
        throw new TouchstoneException(line, "\"%s\" is not a number".formatted(shown(word)));
    }

    private static String shown(String word) {
        return word.length() > 40 ? word.substring(0, 40) + " …" : word;
    }
}
