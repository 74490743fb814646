package org.eskiz.server.exchange;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.IntPredicate;

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

    /** The first that parts the lines with numbers into two columns or more; a comma may also be the decimal mark. */
    static Separator of(List<String> lines) {
        List<String> withNumbers =
                lines.stream().filter(l -> l.matches(".*\\d.*")).toList();
        for (Separator s : List.of(TAB, SEMICOLON, BAR)) {
            if (withNumbers.stream().filter(l -> s.split(l).length >= 2).count() * 2 > withNumbers.size()) {
                return s;
            }
        }
        boolean isSpaced =
                withNumbers.stream().filter(l -> numbersIn(SPACE.split(l)) >= 2).count() * 2 > withNumbers.size();
        boolean isCommaSpaced = withNumbers.stream()
                                .filter(l -> l.matches(".*\\d\\s*,\\s+.*\\d.*"))
                                .count()
                        * 2
                > withNumbers.size();
        return isSpaced && !isCommaSpaced ? SPACE : COMMA;
    }

    static long numbersIn(String[] cells) {
        return Arrays.stream(cells)
                .filter(c -> NumberStyle.isNumber(c.replaceAll("(?i)[a-z%]+$", "")))
                .count();
    }
}
