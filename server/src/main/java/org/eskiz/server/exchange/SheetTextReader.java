package org.eskiz.server.exchange;

import static java.util.Objects.requireNonNullElse;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.eskiz.server.exchange.SheetTextRequest.FrequencyUnit;
import org.eskiz.server.exchange.SheetTextRequest.LossPer;

/**
 * Reads a table of attenuation in any usual form: columns apart by tabs, semicolons, bars, spaces or commas; decimal points
 * or commas, thousands apart by commas, points or spaces; units in a header, behind the numbers, or nowhere; standing, or lying on
 * its side. Of several columns of loss the one is taken that is asked for, else the one whose heading says per 100 m, else the
 * first.
 */
final class SheetTextReader {

    private static final int MOST_ROWS = 200;
    private static final int MOST_SKIPPED = 50;
    private static final int SHOWN_OF_A_LINE = 80;
    private static final int FEWEST_LYING = 3;

    private static final Pattern FREQUENCY_UNIT = Pattern.compile("(?i)(?<![a-z])([kMG]Hz)\\b");
    private static final Pattern UNIT_APART = Pattern.compile("(?i)(\\d)\\s+([kMG]Hz\\b|dB\\b)");
    private static final Pattern UNIT_BEHIND = Pattern.compile("(?i)\\s*([kMG]Hz)$");
    private static final Pattern GROUPED_BY_SPACE = Pattern.compile("(?<![\\d.,])(\\d{1,3})((?: \\d{3})+)(?![\\d])");

    /**
     * One line with two numbers in it.
     *
     * @param line in the text, from 1; of a table that lies on its side the column
     */
    record Row(int line, double frequencyMHz, double dbPer100m) {}

    /** A number of a line; the unit is null where none stands behind it. */
    private record Cell(double number, FrequencyUnit unit) {}

    /**
     * One line without.
     *
     * @param isRow whether it has numbers, and so was meant as a row
     */
    record Skipped(int line, String text, String why, boolean isRow) {}

    final List<Row> rows = new ArrayList<>();
    final List<Skipped> skipped = new ArrayList<>();
    final Separator separator;
    final boolean hasHeader;
    final int lossColumn;
    final List<String> columns;
    final boolean isLying;
    final FrequencyUnit frequencyUnit;
    final LossPer lossPer;
    private final NumberStyle style;
    private final boolean isSwapped;

    /** A line that is not empty, with its cells. */
    private record Line(int number, String text, String plain, String[] cells) {

        boolean isHeader() {
            return cells.length == 0 || !NumberStyle.isNumber(bare(cells[0]));
        }
    }

    private SheetTextReader(SheetTextRequest request) {
        List<String> texts = request.text().replaceFirst("^\uFEFF", "").lines().toList();
        List<String> written = texts.stream()
                .filter(l -> !isBlank(l))
                .map(SheetTextReader::plain)
                .toList();
        this.separator = Separator.of(written);
        List<Line> lines = lines(texts);
        this.style = NumberStyle.of(
                lines.stream()
                        .filter(l -> l.cells.length > 0)
                        .map(l -> bare(l.cells[0]))
                        .toList(),
                lines.stream()
                        .flatMap(l -> Arrays.stream(l.cells))
                        .map(SheetTextReader::bare)
                        .toList());
        List<Line> heads = heads(lines);
        this.isLying = isLying(lines);
        this.hasHeader = !heads.isEmpty() && !isLying;
        String header = String.join("  ", heads.stream().map(Line::plain).toList());
        this.columns = isLying ? labels(lines) : columns(heads, lines);
        this.lossColumn = request.lossColumn() == null
                ? usualLossColumn()
                : Math.min(request.lossColumn() - 1, Math.max(1, columns.size()));
        this.isSwapped = Boolean.TRUE.equals(request.swapped());
        String heading = lossColumn <= columns.size() ? columns.get(lossColumn - 1) : "";
        String aboutUnits = hasHeader ? header : String.join(" ", written);
        this.frequencyUnit = requireNonNullElse(request.frequencyUnit(), frequencyUnitIn(aboutUnits));
        this.lossPer = requireNonNullElse(
                request.lossPer(),
                LossPerWords.in(heading).or(() -> LossPerWords.in(aboutUnits)).orElse(LossPer.PER_100_M));
        if (isLying) {
            readLying(lines);
        } else {
            lines.subList(heads.size(), lines.size()).forEach(this::read);
        }
    }

    private List<Line> lines(List<String> texts) {
        List<Line> lines = new ArrayList<>();
        for (int i = 0; i < texts.size(); i++) {
            if (!isBlank(texts.get(i))) {
                String plain = plain(texts.get(i));
                lines.add(new Line(i + 1, texts.get(i), plain, cells(plain)));
            }
        }
        return lines;
    }

    private String[] cells(String plain) {
        String joined = UNIT_APART.matcher(plain).replaceAll("$1$2");
        return separator.split(separator == Separator.SPACE ? joined : withoutGroupingSpaces(joined));
    }

    /** Spaces that group thousands are none where columns are apart by something else. */
    private static String withoutGroupingSpaces(String text) {
        return GROUPED_BY_SPACE
                .matcher(text)
                .replaceAll(m -> m.group(1) + m.group(2).replace(" ", ""));
    }

    /** Lines of words before the first row. */
    private static List<Line> heads(List<Line> lines) {
        List<Line> heads = new ArrayList<>();
        for (Line line : lines) {
            if (!line.isHeader()) {
                return heads;
            }
            boolean hasRowInIt = Separator.numbersIn(line.cells) >= 2;
            if (hasRowInIt) {
                return heads;
            }
            heads.add(line);
        }
        return List.of();
    }

    /** What the columns of loss are called; numbered where nobody says. */
    private List<String> columns(List<Line> heads, List<Line> lines) {
        int width = lines.stream().mapToInt(l -> numbers(l).size()).max().orElse(2);
        for (Line head : heads) {
            String[] names = headings(head);
            if (names.length == width) {
                return List.of(names).subList(1, width);
            }
        }
        String only = heads.isEmpty() ? "" : heads.get(0).plain();
        return IntStream.range(1, Math.max(2, width))
                .mapToObj(i -> width <= 2 ? only : "column " + (i + 1))
                .toList();
    }

    /** A heading has spaces in it; only columns apart by something else, or by more of them, can be told. */
    private String[] headings(Line head) {
        return separator == Separator.SPACE ? head.plain().strip().split("\\s{2,}|\t") : head.cells;
    }

    private int usualLossColumn() {
        for (int i = 0; i < columns.size(); i++) {
            if (LossPerWords.in(columns.get(i)).equals(Optional.of(LossPer.PER_100_M))) {
                return i + 1;
            }
        }
        return 1;
    }

    /** Whether frequencies go from left to right: the first line of numbers rises, and the first column does not. */
    private boolean isLying(List<Line> lines) {
        List<Line> withNumbers =
                lines.stream().filter(l -> numbers(l).size() >= 2).toList();
        if (withNumbers.size() < 2) {
            return false;
        }
        List<Cell> first = numbers(withNumbers.get(0));
        boolean isWide = first.size() >= FEWEST_LYING
                && withNumbers.stream().allMatch(l -> numbers(l).size() == first.size());
        List<Double> down =
                withNumbers.stream().map(l -> numbers(l).get(0).number).toList();
        return isWide
                && rises(first.stream().map(Cell::number).toList())
                && (!rises(down)
                        || withNumbers.size() < first.size()
                                && withNumbers.get(0).isHeader());
    }

    private static boolean rises(List<Double> values) {
        return IntStream.range(1, values.size()).allMatch(i -> values.get(i) > values.get(i - 1));
    }

    /** Of a table on its side, what its lines of loss are called. */
    private List<String> labels(List<Line> lines) {
        List<Line> withNumbers =
                lines.stream().filter(l -> numbers(l).size() >= 2).toList();
        return IntStream.range(1, withNumbers.size())
                .mapToObj(i -> withNumbers.get(i).isHeader() ? withNumbers.get(i).cells[0] : "line " + (i + 1))
                .toList();
    }

    private void readLying(List<Line> lines) {
        List<Line> withNumbers =
                lines.stream().filter(l -> numbers(l).size() >= 2).toList();
        lines.stream()
                .filter(l -> numbers(l).size() < 2)
                .forEach(l -> skip(l, numbers(l).isEmpty() ? NO_NUMBER : "there is only one number in it"));
        Line first = withNumbers.get(0);
        List<Cell> frequencies = numbers(first);
        List<Cell> losses = numbers(withNumbers.get(lossColumn));
        for (int i = 0; i < frequencies.size(); i++) {
            add(new Line(i + 1, first.text, first.plain, first.cells), frequencies.get(i), losses.get(i));
        }
    }

    private static final String NO_NUMBER = "there is no number in it";

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
        return style.decimalComma();
    }

    private void read(Line line) {
        List<Cell> numbers = numbers(line);
        if (numbers.size() < 2) {
            skip(line, numbers.isEmpty() ? NO_NUMBER : "there is only one number in it");
            return;
        }
        Cell withUnit = numbers.stream().filter(c -> c.unit != null).findFirst().orElse(numbers.get(0));
        int ofLoss = withUnit == numbers.get(0) ? Math.min(lossColumn, numbers.size() - 1) : 0;
        Cell frequency = isSwapped ? numbers.get(ofLoss) : withUnit;
        add(line, frequency, isSwapped ? numbers.get(0) : numbers.get(ofLoss));
    }

    /** A loss below nothing is one written as a gain. */
    private void add(Line line, Cell frequency, Cell loss) {
        double mhz = frequency.number * requireNonNullElse(frequency.unit, frequencyUnit).toMHz;
        double db = Math.abs(loss.number) * lossPer.toPer100m;
        if (rows.size() > MOST_ROWS) {
            return;
        }
        if (mhz < 0.1 || mhz > 30_000) {
            skip(line, "%s MHz; from 0.1 to 30000 MHz can be read".formatted(mhz));
        } else if (db < 1e-6 || db > 1e5) {
            skip(line, "a loss of %s dB per 100 m; it must be above 0".formatted(db));
        } else if (rows.stream().anyMatch(r -> r.frequencyMHz() == mhz)) {
            skip(line, "%s MHz is there twice".formatted(mhz));
        } else {
            rows.add(new Row(line.number, mhz, db));
        }
    }

    /** The numbers of a line; a unit of frequency may stand behind one, and then counts for it alone. */
    private List<Cell> numbers(Line line) {
        List<Cell> numbers = new ArrayList<>();
        for (String cell : grouped(line.cells)) {
            Matcher unit = UNIT_BEHIND.matcher(cell);
            String number = bare(cell);
            if (NumberStyle.isNumber(number)) {
                numbers.add(new Cell(
                        style.value(number),
                        unit.find() ? FrequencyUnit.valueOf(unit.group(1).toUpperCase(Locale.ROOT)) : null));
            }
        }
        return numbers;
    }

    /** Between spaces, 1 000 20 is a thousand and its loss: no line of three numbers has three digits in the middle of two columns. */
    private String[] grouped(String[] cells) {
        boolean isOne = separator == Separator.SPACE
                && cells.length == 3
                && cells[0].matches("\\d{1,3}")
                && bare(cells[1]).matches("\\d{3}")
                && cells[2].matches("[-+]?\\d+([.,]\\d+)?(dB)?");
        return isOne ? new String[] {cells[0] + cells[1], cells[2]} : cells;
    }

    /** A cell without its unit. */
    private static String bare(String cell) {
        return UNIT_BEHIND.matcher(cell).replaceFirst("").replaceAll("(?i)\\s*dB.*$|\\s*%$", "");
    }

    private void skip(Line line, String why) {
        if (skipped.size() < MOST_SKIPPED) {
            skipped.add(new Skipped(
                    line.number,
                    line.text.substring(0, Math.min(line.text.length(), SHOWN_OF_A_LINE)),
                    why,
                    !NO_NUMBER.equals(why)));
        }
    }

    /** Minus signs of print are minus signs, and narrow spaces within a number group it. */
    private static String plain(String line) {
        return collapsed(line.replaceAll("[\u2212\u2013](?=\\d)", "-")
                .replaceAll("(?<=\\d)[\u00A0\u202F\u2009](?=\\d{3}(?!\\d))", ""));
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

    private static FrequencyUnit frequencyUnitIn(String text) {
        Matcher unit = FREQUENCY_UNIT.matcher(text);
        return unit.find() ? FrequencyUnit.valueOf(unit.group(1).toUpperCase(Locale.ROOT)) : FrequencyUnit.MHZ;
    }
}
