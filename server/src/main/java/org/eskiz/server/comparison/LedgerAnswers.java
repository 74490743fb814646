package org.eskiz.server.comparison;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import org.eskiz.server.catalogue.Catalogue;
import org.eskiz.server.catalogue.CatalogueService;
import org.eskiz.server.document.RunElement;
import org.eskiz.server.web.Packed;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/**
 * Ledgers as they were written, for the moment that somebody asks the same again: a plan is opened anew or by another
 * operator, a step is undone, another view rests on the same question. A ledger follows from the question and the catalogue
 * alone; a run with pieces of the locker, of which another may be known any time, is worked out each time.
 */
@Component
class LedgerAnswers {

    /** Some hundred ledgers of a usual plan. */
    private static final long MOST_BYTES = 6_000_000;

    /** A longer one is not kept: it would push out many. */
    private static final int LONGEST = 200_000;

    private final ComparisonService comparisons;
    private final CatalogueService catalogues;
    private final JsonMapper json;

    private final Cache<Question, Packed> kept = Caffeine.newBuilder()
            .maximumWeight(MOST_BYTES)
            .weigher((Question question, Packed answer) -> answer.gzip().length)
            .build();

    LedgerAnswers(ComparisonService comparisons, CatalogueService catalogues, JsonMapper json) {
        this.comparisons = comparisons;
        this.catalogues = catalogues;
        this.json = json;
    }

    /** @param moment of the catalogue */
    private record Question(Object moment, ComparisonRequest asked) {}

    /** The ledger of a request, as it goes over the wire. */
    Packed of(ComparisonRequest request) {
        Catalogue catalogue = catalogues.current();
        if (restsOnMore(request)) {
            return written(catalogue, request);
        }
        var question = new Question(catalogue.moment(), request);
        Packed before = kept.getIfPresent(question);
        if (before != null) {
            return before;
        }
        Packed answer = written(catalogue, request);
        if (answer.gzip().length <= LONGEST) {
            kept.put(question, answer);
        }
        return answer;
    }

    private Packed written(Catalogue catalogue, ComparisonRequest request) {
        return Packed.of(json.writeValueAsBytes(comparisons.compare(catalogue, request)));
    }

    private static boolean restsOnMore(ComparisonRequest request) {
        return request.run() == null
                || request.run().stream().anyMatch(e -> e instanceof RunElement.Line line && line.pieceId() != null);
    }
}
