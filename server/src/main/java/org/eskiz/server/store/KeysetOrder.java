package org.eskiz.server.store;

import java.nio.charset.StandardCharsets;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Base64;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.ToIntFunction;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
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

    private static final String BETWEEN = ".";

    private static final Base64.Encoder TO_TEXT = Base64.getUrlEncoder().withoutPadding();

    /** A part of what fits. */
    public <T> ListPage<T> page(JpaSpecificationExecutor<T> all, Specification<T> fits, Part part) {
        Window<T> window =
                all.findBy(fits, found -> found.sortBy(sort).limit(part.limit()).scroll(position(part.after())));
        return new ListPage<>(window.getContent(), window.hasNext() ? Optional.of(cursor(window)) : Optional.empty());
    }

    private String cursor(Window<?> window) {
        var last = (KeysetScrollPosition) window.positionAt(window.size() - 1);
        return sort.stream()
                .map(o -> String.valueOf(last.getKeys().get(o.getProperty())))
                .map(key -> TO_TEXT.encodeToString(key.getBytes(StandardCharsets.UTF_8)))
                .collect(Collectors.joining(BETWEEN));
    }

    private KeysetScrollPosition position(String after) {
        if (after == null) {
            return ScrollPosition.keyset();
        }
        try {
            String[] keys = after.split(Pattern.quote(BETWEEN), -1);
            Map<String, Object> read = new LinkedHashMap<>();
            for (Sort.Order order : sort) {
                String key = new String(Base64.getUrlDecoder().decode(keys[read.size()]), StandardCharsets.UTF_8);
                read.put(order.getProperty(), readers.get(order.getProperty()).apply(key));
            }
            return ScrollPosition.forward(read);
        } catch (IllegalArgumentException | DateTimeException | IndexOutOfBoundsException notOurs) {
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

    /** A text of a key; the database knows no character 0. */
    public static Object text(String key) {
        if (key.indexOf(0) >= 0) {
            throw new IllegalArgumentException("a character 0");
        }
        return key;
    }

    /** A day of a key, of a year of four digits. */
    public static Object day(String key) {
        return within(LocalDate.parse(key), LocalDate::getYear);
    }

    /** An instant of a key, likewise. */
    public static Object instant(String key) {
        return within(Instant.parse(key), at -> at.atOffset(ZoneOffset.UTC).getYear());
    }

    private static <T> T within(T value, ToIntFunction<T> year) {
        if (year.applyAsInt(value) < 1 || year.applyAsInt(value) > 9999) {
            throw new DateTimeException("not of a year of four digits");
        }
        return value;
    }
}
