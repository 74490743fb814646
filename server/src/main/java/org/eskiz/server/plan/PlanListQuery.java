package org.eskiz.server.plan;

import jakarta.persistence.criteria.CriteriaBuilder;
import jakarta.persistence.criteria.CriteriaQuery;
import jakarta.persistence.criteria.Predicate;
import jakarta.persistence.criteria.Root;
import jakarta.persistence.criteria.Subquery;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.eskiz.server.store.KeysetOrder;
import org.eskiz.server.store.Search;
import org.springframework.data.domain.Sort;
import org.springframework.data.jpa.domain.Specification;

/**
 * Which plans are wanted; null, or nothing, where any will do.
 *
 * @param find words, each in the site, the name or the cable
 * @param demo false for those that are not of the demo, true for those that are
 * @param ids only these
 */
record PlanListQuery(String find, Boolean demo, List<UUID> ids) {

    /** How a list of plans may stand. */
    enum Order {
        SITE(Sort.by("site", "name", "id")),
        CHANGED_LAST_FIRST(Sort.by(Sort.Direction.DESC, "updatedAt", "id"));

        private final KeysetOrder keyset;

        Order(Sort sort) {
            this.keyset = new KeysetOrder(
                    sort,
                    Map.of(
                            "site",
                            KeysetOrder::text,
                            "name",
                            KeysetOrder::text,
                            "id",
                            UUID::fromString,
                            "updatedAt",
                            KeysetOrder::instant));
        }

        KeysetOrder keyset() {
            return keyset;
        }
    }

    Search search() {
        return Search.of(find);
    }

    Specification<PlanEntity> of(UUID workshop) {
        return (plan, query, is) -> {
            List<Predicate> all = new ArrayList<>();
            all.add(is.equal(plan.get("workshopId"), workshop));
            all.add(is.isNull(plan.get("deletedAt")));
            search().words().forEach(word -> all.add(found(word, plan, query, is)));
            if (demo != null) {
                all.add(is.equal(plan.get("demo"), demo));
            }
            if (ids != null && !ids.isEmpty()) {
                all.add(plan.get("id").in(ids));
            }
            return is.and(all.toArray(Predicate[]::new));
        };
    }

    private static Predicate found(String word, Root<PlanEntity> plan, CriteriaQuery<?> query, CriteriaBuilder is) {
        Subquery<UUID> drawn = query.subquery(UUID.class);
        Root<PlanSketchEntity> sketch = drawn.from(PlanSketchEntity.class);
        drawn.select(sketch.get("planId")).where(Search.isIn(word, sketch.get("words"), is));
        return is.or(
                Search.isIn(word, is.lower(plan.get("site")), is),
                Search.isIn(word, is.lower(plan.get("name")), is),
                plan.get("id").in(drawn));
    }
}
