package org.eskiz.server.store;

import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

/**
 * A part of a long list. On the wire it is the array of its items; where it goes on stands in the header Link (RFC 8288), how
 * much of it there is in Total-Count.
 *
 * @param total of the whole list, as it was searched for
 * @param next where the next part begins; empty at the end
 */
public record ListPage<T>(List<T> items, long total, Optional<String> next) {

    /** So many at once where nobody says how many. */
    public static final int USUAL = 200;

    /** No more than so many at once. */
    public static final int MOST = 500;

    public static final String TOTAL = "Total-Count";

    public <R> ListPage<R> map(Function<List<T>, List<R>> change) {
        return new ListPage<>(change.apply(items), total, next);
    }

    /** A whole list, read part by part as it is used. */
    public static <T> Stream<T> all(Function<String, ListPage<T>> after) {
        return Stream.iterate(
                        after.apply(null),
                        Objects::nonNull,
                        part -> part.next().map(after).orElse(null))
                .flatMap(part -> part.items().stream());
    }

    /** The answer to the request of this thread. */
    public ResponseEntity<List<T>> answer() {
        ResponseEntity.BodyBuilder answer = ResponseEntity.ok().header(TOTAL, Long.toString(total));
        next.ifPresent(after -> answer.header(HttpHeaders.LINK, "<%s>; rel=\"next\"".formatted(address(after))));
        return answer.body(items);
    }

    private static String address(String after) {
        var here = ServletUriComponentsBuilder.fromCurrentRequest().build();
        return ServletUriComponentsBuilder.fromPath(here.getPath())
                .query(here.getQuery())
                .replaceQueryParam("after", after)
                .build()
                .toUriString();
    }
}
