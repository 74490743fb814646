package org.eskiz.server.store;

import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import org.eskiz.server.problem.InvalidRequestException;
import org.springframework.data.domain.KeysetScrollPosition;
import org.springframework.data.domain.ScrollPosition;
import org.springframework.data.domain.Sort;
import org.springframework.data.domain.Window;
import org.springframework.data.jpa.domain.Specification;
import org.springframework.data.jpa.repository.JpaSpecificationExecutor;

/**
 * The order of a list that is read in parts: a part begins behind the last item of the one before, so that what is added
 * meanwhile neither repeats nor hides an item, and the thousandth part costs what the first did.
 *
 * @param sort by properties that are never null, the last of them unique
 * @param readers how each is read again from its text
 */
public record KeysetOrder(Sort sort, Map<String, Function<String, Object>> readers) {

    private static final String BETWEEN = "\n";

    /** A part of what fits. */
    public <T> ListPage<T> page(JpaSpecificationExecutor<T> all, Specification<T> fits, Part part) {
        Window<T> window =
                all.findBy(fits, found -> found.sortBy(sort).limit(part.limit()).scroll(position(part.after())));
        boolean isWhole = part.after() == null && !window.hasNext();
        return new ListPage<>(
                window.getContent(),
                isWhole ? window.size() : all.count(fits),
                window.hasNext() ? Optional.of(cursor(window)) : Optional.empty());
    }

    private String cursor(Window<?> window) {
        var last = (KeysetScrollPosition) window.positionAt(window.size() - 1);
        List<String> keys = sort.stream()
                .map(o -> String.valueOf(last.getKeys().get(o.getProperty())))
                .toList();
        return Base64.getUrlEncoder()
                .withoutPadding()
                .encodeToString(String.join(BETWEEN, keys).getBytes(StandardCharsets.UTF_8));
    }

    private KeysetScrollPosition position(String after) {
        if (after == null) {
            return ScrollPosition.keyset();
        }
        try {
            String[] keys = new String(Base64.getUrlDecoder().decode(after), StandardCharsets.UTF_8).split(BETWEEN, -1);
            Map<String, Object> read = new LinkedHashMap<>();
            for (Sort.Order order : sort) {
                String property = order.getProperty();
                read.put(property, readers.get(property).apply(keys[read.size()]));
            }
            return ScrollPosition.forward(read);
        } catch (RuntimeException notOurs) {
            throw new InvalidRequestException(
                    "after", "must be what the link to the next part of this list said, not " + after);
        }
    }

    /**
     * Which part of a list is wanted.
     *
     * @param after where it begins; null for its beginning
     * @param limit how many at most
     */
    public record Part(String after, int limit) {

        /** As a request has it. */
        public static Part of(String after, Integer limit) {
            if (limit != null && (limit < 1 || limit > ListPage.MOST)) {
                throw new InvalidRequestException(
                        "limit", "must be from 1 to %d, not %d".formatted(ListPage.MOST, limit));
            }
            return new Part(after, limit == null ? ListPage.USUAL : limit);
        }
    }

    /** The words of a search, each of which has to be found somewhere; nothing was searched for where there are none. */
    public static List<String> words(String search) {
        return search == null || search.isBlank()
                ? List.of()
                : List.of(search.strip().toLowerCase(Locale.ROOT).split("\\s+"));
    }
}
