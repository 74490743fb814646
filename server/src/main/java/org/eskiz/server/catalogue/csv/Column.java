package org.eskiz.server.catalogue.csv;

import java.time.LocalDate;
import java.util.function.Function;
import org.eskiz.server.web.Csv;

/**
 * One column of a table of things: all that is said of it, for reading and for writing.
 *
 * @param name in the header; its unit is the last part of it
 * @param oldName by which the first Eskiz called it; null where it always had this one
 * @param read from a record of the file
 * @param written into one
 */
record Column<S, T>(String name, String oldName, Cell<T> read, Function<S, Object> written) {

    /** What stands in a record under the name of a column. */
    interface Cell<T> {
        T in(CsvCells cells, String column);
    }

    static <S> Column<S, String> text(String name, Function<S, String> of) {
        return new Column<>(name, null, CsvCells::text, s -> Csv.guarded(of.apply(s)));
    }

    static <S> Column<S, Double> number(String name, Function<S, Double> of) {
        return new Column<>(name, null, CsvCells::number, s -> Csv.number(of.apply(s)));
    }

    static <S> Column<S, Boolean> yes(String name, Function<S, Boolean> of) {
        return new Column<>(name, null, CsvCells::yes, s -> Csv.yes(of.apply(s)));
    }

    static <S> Column<S, LocalDate> date(String name, Function<S, LocalDate> of) {
        return new Column<>(name, null, CsvCells::date, of::apply);
    }

    static <S, E extends Enum<E>> Column<S, E> choice(String name, Class<E> kind, E otherwise, Function<S, E> of) {
        return new Column<>(name, null, (cells, column) -> cells.choice(column, kind, otherwise), of::apply);
    }

    /** The same, which was once called otherwise. */
    Column<S, T> onceCalled(String old) {
        return new Column<>(name, old, read, written);
    }

    /** Whether a record has it under its old name alone. */
    boolean isOld(CsvCells cells) {
        return oldName != null && cells.text(name) == null && cells.text(oldName) != null;
    }

    /** What a record says of it; null for nothing. */
    T in(CsvCells cells) {
        return read.in(cells, isOld(cells) ? oldName : name);
    }
}
