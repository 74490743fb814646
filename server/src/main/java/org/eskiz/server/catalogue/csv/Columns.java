package org.eskiz.server.catalogue.csv;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** The columns of a table, in the order in which they are written; a file may have them in any order and leave some out. */
record Columns<S>(List<Column<S, ?>> all, Set<String> needed) {

    static <S> Columns<S> of(List<Column<S, ?>> all) {
        return new Columns<>(all, Set.of());
    }

    /** The same, of which a file must have some. */
    Columns<S> needing(String... names) {
        return new Columns<>(all, Set.of(names));
    }

    List<String> names() {
        return all.stream().map(Column::name).toList();
    }

    List<Object> cells(S of) {
        List<Object> cells = new ArrayList<>();
        all.forEach(c -> cells.add(c.written().apply(of)));
        return cells;
    }

    /**
     * Reads a file; a record that cannot be read is told with why.
     *
     * @throws IllegalArgumentException when it is no such table at all
     */
    <T> List<ReadRow<T>> read(String text, Function<CsvCells, T> reading) {
        Set<String> known = all.stream()
                .flatMap(c -> Stream.of(c.name(), c.oldName()))
                .filter(Objects::nonNull)
                .collect(Collectors.toSet());
        return CsvCells.read(text, names().stream().filter(needed::contains).toList(), known, reading);
    }
}
