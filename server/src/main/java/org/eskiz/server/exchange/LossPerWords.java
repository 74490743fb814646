package org.eskiz.server.exchange;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import org.eskiz.server.exchange.SheetTextRequest.LossPer;

/** For which length a loss is stated, by the words of a heading. */
final class LossPerWords {

    private static final String FEET = "\\s*-?\\s*(ft|feet|foot|')";
    private static final String METRES = "\\s*-?\\s*m(et(er|re)s?)?\\b";

    /** The longer number first, since 1000 begins as 100 does. */
    private static final List<Map.Entry<LossPer, Pattern>> WORDS = List.of(
            entry(LossPer.PER_KM, "\\bkm\\b|kilomet(er|re)|\\b1[ ,.]?000" + METRES),
            entry(LossPer.PER_1000_FT, "\\b1[ ,.]?000" + FEET + "|\\bkft\\b"),
            entry(LossPer.PER_100_M, "\\b100" + METRES),
            entry(LossPer.PER_100_FT, "\\b100" + FEET),
            entry(LossPer.PER_30_M, "\\b30" + METRES),
            entry(LossPer.PER_FT, "(/|per)\\s*(ft|feet|foot)\\b"),
            entry(LossPer.PER_M, "(/|per)\\s*m(et(er|re))?\\b"));

    private LossPerWords() {}

    /** Empty where a text says nothing of it. */
    static Optional<LossPer> in(String text) {
        return WORDS.stream()
                .filter(w -> w.getValue().matcher(text).find())
                .map(Map.Entry::getKey)
                .findFirst();
    }

    private static Map.Entry<LossPer, Pattern> entry(LossPer per, String words) {
        return Map.entry(per, Pattern.compile(words, Pattern.CASE_INSENSITIVE));
    }
}
