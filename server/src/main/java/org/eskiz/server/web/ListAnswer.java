package org.eskiz.server.web;

import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

/**
 * A part of a long list on the wire: the array of its items; where it goes on stands in the header Link (RFC 8288), how much of
 * it there is in Total-Count.
 */
public final class ListAnswer {

    public static final String TOTAL = "Total-Count";

    private ListAnswer() {}

    /**
     * The answer to the request of this thread.
     *
     * @param next where the next part begins; empty at the end
     * @param total of the whole list, as it was searched for
     */
    public static <T> ResponseEntity<List<T>> of(List<T> items, Optional<String> next, long total) {
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
