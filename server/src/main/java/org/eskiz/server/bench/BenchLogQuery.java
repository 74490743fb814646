package org.eskiz.server.bench;

import jakarta.persistence.criteria.CriteriaBuilder;
import jakarta.persistence.criteria.Predicate;
import jakarta.persistence.criteria.Root;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.eskiz.core.bench.SheetDeviation;
import org.eskiz.server.store.KeysetOrder;
import org.eskiz.server.store.Search;
import org.springframework.data.domain.Sort;
import org.springframework.data.jpa.domain.Specification;

/**
 * Which tests of the log are wanted; null, or nothing, where any will do.
 *
 * @param find words, each in the piece, the type or the day
 * @param demo false for those that are not of the demo, true for those that are
 * @param ids only these
 * @param made only those that this type was made of
 */
record BenchLogQuery(
        String find, BenchMethod method, SheetDeviation.Outcome outcome, Boolean demo, List<UUID> ids, UUID made) {

    static final BenchLogQuery ANY = new BenchLogQuery(null, null, null, null, null, null);

    /** The last day first. */
    static final KeysetOrder LAST_DAY_FIRST = new KeysetOrder(
            Sort.by(Sort.Direction.DESC, "listedOn", "storedAt", "id"),
            Map.of("listedOn", KeysetOrder::day, "storedAt", KeysetOrder::instant, "id", UUID::fromString));

    Specification<BenchTestEntity> of(UUID workshop) {
        return (test, query, is) -> is.and(predicates(workshop, test, is).toArray(Predicate[]::new));
    }

    private List<Predicate> predicates(UUID workshop, Root<BenchTestEntity> test, CriteriaBuilder is) {
        List<Predicate> all = new ArrayList<>();
        all.add(is.equal(test.get("workshopId"), workshop));
        all.add(is.isNull(test.get("removedAt")));
        // one that was just begun has no revision yet
        all.add(is.isNotNull(test.get("newestNumber")));
        Search.of(find).words().forEach(word -> all.add(Search.isIn(word, test.get("words"), is)));
        if (method != null) {
            all.add(is.equal(test.get("method"), method.name()));
        }
        if (outcome != null) {
            all.add(is.equal(test.get("outcome"), outcome.name()));
        }
        if (demo != null) {
            all.add(is.equal(test.get("demo"), demo));
        }
        if (ids != null && !ids.isEmpty()) {
            all.add(test.get("id").in(ids));
        }
        if (made != null) {
            all.add(is.isMember(made, test.<Set<UUID>>get("madeTypes")));
        }
        return all;
    }
}
