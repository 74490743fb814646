package org.eskiz.server.exchange;

import static java.util.Objects.requireNonNullElse;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.function.IntPredicate;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.eskiz.server.exchange.SheetTextRequest.FrequencyUnit;
import org.eskiz.server.exchange.SheetTextRequest.LossPer;

/**
 * Reads a table of attenuation in any usual form: columns apart by tabs, semicolons, bars, spaces or commas; decimal points
 * or commas; units in a header, behind the numbers, or nowhere. Of several columns of loss the one is taken whose heading
 * says per 100 m, else the first.
 */
final class SheetTextReader {

    private static final int MOST_ROWS = 200;
    private static final int MOST_SKIPPED = 50;
    private static final int SHOWN_OF_A_LINE = 80;

    private static final Pattern FREQUENCY_UNIT = Pattern.compile("(?i)\\b(\\d*\\s*)?([kMG]Hz)\\b");
    private static final Pattern UNIT_APART = Pattern.compile("(?i)(\\d)\\s+([kMG]Hz\\b|dB\\b)");
    private static final Pattern UNIT_BEHIND = Pattern.compile("(?i)\\s*([kMG]Hz)$");
    private static final Pattern PER_100_FT = Pattern.compile("(?i)100\\s*-?\\s*(ft|feet|foot|')");
    private static final Pattern PER_100_M = Pattern.compile("(?i)100\\s*-?\\s*m(et(er|re)s?)?\\b");
    private static final Pattern PER_FT = Pattern.compile("(?i)(/|per)\\s*(ft|feet|foot)\\b");
    private static final Pattern PER_M = Pattern.compile("(?i)(/|per)\\s*m(et(er|re))?\\b");
    private static final Pattern NUMBER = Pattern.compile("[-+]?(\\d+([.,]\\d+)?|[.,]\\d+)([eE][-+]?\\d+)?");

    /**
     * One line with two numbers in it.
     *
     * @param line in the text, from 1
     */
    record Row(int line, double frequencyMHz, double dbPer100m) {}

    /** A number of a line; the unit is null where none stands behind it. */
    private record Cell(double number, FrequencyUnit unit) {}

    /** One line without. */
    record Skipped(int line, String text, String why) {}

    final List<Row> rows = new ArrayList<>();
    final List<Skipped> skipped = new ArrayList<>();
    final Separator separator;
    final boolean hasHeader;
    final int lossColumn;
    final FrequencyUnit frequencyUnit;
    final LossPer lossPer;
    private final boolean decimalComma;

    /** What may stand between columns. */
    enum Separator {
        TAB("tabs", c -> c == '\t'),
        SEMICOLON("semicolons", c -> c == ';'),
        BAR("bars", c -> c == '|'),
        SPACE("spaces", Character::isWhitespace),
        COMMA("commas", c -> c == ',');

        final String word;
        private final IntPredicate parts;

        Separator(String word, IntPredicate parts) {
            this.word = word;
            this.parts = parts;
        }

        /** Cells that are not empty, without their quotes; what stands between quotes is not parted. One pass. */
        String[] split(String line) {
            List<String> cells = new ArrayList<>();
            StringBuilder cell = new StringBuilder();
            long quotesBehind = line.chars().filter(c -> c == '"').count();
            for (int i = 0; i < line.length(); i++) {
                char c = line.charAt(i);
                if (c == '"') {
                    quotesBehind--;
                } else if (parts.test(c) && quotesBehind % 2 == 0) {
                    addTo(cells, cell);
                } else {
                    cell.append(c);
                }
            }
            addTo(cells, cell);
            return cells.toArray(String[]::new);
        }

        private static void addTo(List<String> cells, StringBuilder cell) {
            String text = cell.toString().strip();
            if (!text.isEmpty()) {
                cells.add(text);
            }
            cell.setLength(0);
        }
    }

    private SheetTextReader(SheetTextRequest request) {
        List<String> lines = request.text().replaceFirst("^\uFEFF", "").lines().toList();
        List<String> written = lines.stream()
                .filter(l -> !isBlank(l))
                .map(SheetTextReader::collapsed)
                .toList();
        this.separator = separatorOf(written);
        String decimals = separator == Separator.COMMA ? ".*\"\\s*\\d+,\\d+\\s*\".*" : ".*\\d,\\d.*";
        this.decimalComma = written.stream().anyMatch(l -> l.matches(decimals));
        String header = written.stream()
                .filter(l -> !isNumber(first(l)))
                .findFirst()
                .filter(l -> l.equals(written.get(0)))
                .orElse("");
        this.hasHeader = !header.isEmpty();
        String[] headings = hasHeader ? headings(header) : new String[0];
        this.lossColumn = lossColumn(headings);
        String ofLoss = headings.length > lossColumn ? headings[lossColumn] : header;
        String aboutUnits = hasHeader ? header : String.join(" ", written);
        this.frequencyUnit = requireNonNullElse(request.frequencyUnit(), frequencyUnitIn(aboutUnits));
        this.lossPer = requireNonNullElse(request.lossPer(), lossPerIn(hasHeader ? ofLoss : aboutUnits));
        for (int i = 0; i < lines.size(); i++) {
            if (rows.size() <= MOST_ROWS
                    && !isBlank(lines.get(i))
                    && !(hasHeader && collapsed(lines.get(i)).equals(header))) {
                read(i + 1, lines.get(i));
            }
        }
    }

    /**
     * Reads a text.
     *
     * @throws LoadFileException when there is no row in it, or more than anybody reads
     */
    static SheetTextReader read(SheetTextRequest request) {
        SheetTextReader text = new SheetTextReader(request);
        if (text.rows.isEmpty()) {
            throw new LoadFileException(
                    "there is no row in this text: a row is a frequency and a loss, such as 145 MHz 8.5 dB");
        }
        if (text.rows.size() > MOST_ROWS) {
            throw new LoadFileException(
                    String.format(Locale.ROOT, "more than %d rows; leave some out, a curve needs no more", MOST_ROWS));
        }
        return text;
    }

    boolean isDecimalComma() {
        return decimalComma;
    }

    private void read(int line, String text) {
        List<Cell> numbers = numbers(collapsed(text));
        if (numbers.size() < 2) {
            skip(line, text, numbers.isEmpty() ? "there is no number in it" : "there is only one number in it");
            return;
        }
        Cell frequency =
                numbers.stream().filter(c -> c.unit != null).findFirst().orElse(numbers.get(0));
        int ofLoss = frequency == numbers.get(0) ? Math.min(lossColumn, numbers.size() - 1) : 0;
        double mhz = frequency.number * requireNonNullElse(frequency.unit, frequencyUnit).toMHz;
        double db = numbers.get(ofLoss).number * lossPer.toPer100m;
        if (mhz < 0.1 || mhz > 30_000) {
            skip(line, text, "%s MHz; from 0.1 to 30000 MHz can be read".formatted(mhz));
        } else if (db < 1e-6 || db > 1e5) {
            skip(line, text, "a loss of %s dB per 100 m; it must be above 0".formatted(db));
        } else if (rows.stream().anyMatch(r -> r.frequencyMHz() == mhz)) {
            skip(line, text, "%s MHz is there twice".formatted(mhz));
        } else {
            rows.add(new Row(line, mhz, db));
        }
    }

    /** The numbers of a line; a unit of frequency may stand behind one, and then counts for it alone. */
    private List<Cell> numbers(String text) {
        List<Cell> numbers = new ArrayList<>();
        for (String cell : separator.split(UNIT_APART.matcher(text).replaceAll("$1$2"))) {
            Matcher unit = UNIT_BEHIND.matcher(cell);
            boolean hasUnit = unit.find();
            String number = hasUnit ? unit.replaceFirst("") : cell.replaceAll("(?i)\\s*dB.*$|\\s*%$", "");
            if (isNumber(number)) {
                numbers.add(new Cell(
                        value(number),
                        hasUnit ? FrequencyUnit.valueOf(unit.group(1).toUpperCase(Locale.ROOT)) : null));
            }
        }
        return numbers;
    }

    private void skip(int line, String text, String why) {
        if (skipped.size() < MOST_SKIPPED) {
            skipped.add(new Skipped(line, text.substring(0, Math.min(text.length(), SHOWN_OF_A_LINE)), why));
        }
    }

    /**
     * A line whose white space is at most two characters in a row, one where a tab is among them. No pattern that is looked
     * for in it then tries a long row of spaces again and again.
     */
    private static String collapsed(String line) {
        StringBuilder text = new StringBuilder(line.length());
        for (int from = 0; from < line.length(); ) {
            int to = from;
            while (to < line.length() && Character.isWhitespace(line.charAt(to))) {
                to++;
            }
            if (to == from) {
                text.append(line.charAt(from++));
            } else {
                String space = line.substring(from, to);
                text.append(space.indexOf('\t') >= 0 ? "\t" : space.substring(0, Math.min(2, space.length())));
                from = to;
            }
        }
        return text.toString();
    }

    private static boolean isBlank(String line) {
        return line.isBlank() || line.strip().startsWith("#");
    }

    /** The first that parts the lines with numbers into two columns or more; a comma may also be the decimal mark. */
    private static Separator separatorOf(List<String> lines) {
        List<String> withNumbers =
                lines.stream().filter(l -> l.matches(".*\\d.*")).toList();
        for (Separator s : List.of(Separator.TAB, Separator.SEMICOLON, Separator.BAR)) {
            if (withNumbers.stream().filter(l -> s.split(l).length >= 2).count() * 2 > withNumbers.size()) {
                return s;
            }
        }
        boolean isSpaced = withNumbers.stream()
                                .filter(l -> numbersIn(Separator.SPACE.split(l)) >= 2)
                                .count()
                        * 2
                > withNumbers.size();
        boolean isCommaSpaced = withNumbers.stream()
                                .filter(l -> l.matches(".*\\d\\s*,\\s+.*\\d.*"))
                                .count()
                        * 2
                > withNumbers.size();
        return isSpaced && !isCommaSpaced ? Separator.SPACE : Separator.COMMA;
    }

    private static long numbersIn(String[] cells) {
        return Arrays.stream(cells)
                .filter(c -> NUMBER.matcher(c.replaceAll("(?i)[a-z%]+$", "")).matches())
                .count();
    }

    private String first(String line) {
        String[] cells = separator.split(line);
        return cells.length == 0 ? "" : cells[0].replaceAll("(?i)\\s*[kMG]?Hz$", "");
    }

    /** A heading has spaces in it; only columns apart by something else can be told. */
    private String[] headings(String header) {
        return separator == Separator.SPACE ? header.strip().split("\\s{2,}|\t") : separator.split(header);
    }

    private static int lossColumn(String[] headings) {
        for (int i = 1; i < headings.length; i++) {
            if (PER_100_M.matcher(headings[i]).find()) {
                return i;
            }
        }
        return 1;
    }

    private static boolean isNumber(String cell) {
        return NUMBER.matcher(cell).matches();
    }

    private double value(String number) {
        return Double.parseDouble(decimalComma ? number.replace(".", "").replace(',', '.') : number);
    }

    private static FrequencyUnit frequencyUnitIn(String text) {
        Matcher unit = FREQUENCY_UNIT.matcher(text);
        return unit.find() ? FrequencyUnit.valueOf(unit.group(2).toUpperCase(Locale.ROOT)) : FrequencyUnit.MHZ;
    }

    private static LossPer lossPerIn(String text) {
        if (PER_100_M.matcher(text).find()) {
            return LossPer.PER_100_M;
        }
        if (PER_100_FT.matcher(text).find()) {
            return LossPer.PER_100_FT;
        }
        if (PER_FT.matcher(text).find()) {
            return LossPer.PER_FT;
        }
        return PER_M.matcher(text).find() ? LossPer.PER_M : LossPer.PER_100_M;
    }
}
