package org.eskiz.server.store;

import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;

/**
 * A part of a long list.
 *
 * @param next where the next part begins; empty at the end
 */
public record ListPage<T>(List<T> items, Optional<String> next) {

    /** So many at once where nobody says how many. */
    public static final int USUAL = 200;

    /** No more than so many at once. */
    public static final int MOST = 500;

    public <R> ListPage<R> map(Function<List<T>, List<R>> change) {
        return new ListPage<>(change.apply(items), next);
    }

    /** A whole list, read part by part as it is used. */
    public static <T> Stream<T> all(Function<String, ListPage<T>> after) {
        return Stream.iterate(
                        after.apply(null),
                        Objects::nonNull,
                        part -> part.next().map(after).orElse(null))
                .flatMap(part -> part.items().stream());
    }
}
