package org.eskiz.server.store;

import jakarta.persistence.criteria.CriteriaBuilder;
import jakarta.persistence.criteria.Expression;
import jakarta.persistence.criteria.Predicate;
import java.util.List;
import java.util.Locale;
import org.eskiz.server.problem.InvalidRequestException;

/** What was typed to find something: words, each of which has to stand somewhere in it, whatever their capitals. */
public record Search(List<String> words) {

    /** Longer than anybody types. */
    public static final int MOST_CHARACTERS = 200;

    private static final int MOST_WORDS = 12;

    /** As a request has it; null and blanks find everything. */
    public static Search of(String typed) {
        if (typed == null || typed.isBlank()) {
            return new Search(List.of());
        }
        List<String> words = List.of(typed.strip().toLowerCase(Locale.ROOT).split("\\s+"));
        if (typed.length() > MOST_CHARACTERS || words.size() > MOST_WORDS) {
            throw new InvalidRequestException(
                    "find",
                    "must be at most %d words of %d characters together, not %d of %d"
                            .formatted(MOST_WORDS, MOST_CHARACTERS, words.size(), typed.length()));
        }
        if (typed.chars().anyMatch(Character::isISOControl)) {
            throw new InvalidRequestException("find", "must be a text without control characters");
        }
        return new Search(words);
    }

    public boolean isForAnything() {
        return words.isEmpty();
    }

    /** Whether a word stands in a text of small letters. */
    public static Predicate isIn(String word, Expression<String> text, CriteriaBuilder is) {
        return is.gt(is.locate(text, word), 0);
    }
}
