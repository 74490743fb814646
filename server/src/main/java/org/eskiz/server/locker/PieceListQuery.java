package org.eskiz.server.locker;

import jakarta.persistence.criteria.CriteriaBuilder;
import jakarta.persistence.criteria.Predicate;
import jakarta.persistence.criteria.Root;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import org.eskiz.server.locker.PieceSummary.PieceCondition;
import org.eskiz.server.store.KeysetOrder;
import org.eskiz.server.store.Search;
import org.springframework.data.domain.Sort;
import org.springframework.data.jpa.domain.Specification;

/**
 * Which pieces of the locker are wanted; null, or nothing, where any will do.
 *
 * @param find words, each in the label, the type, the place or the note
 * @param label only the piece of this label, whatever its capitals
 * @param demo false for those that are not of the demo, true for those that are
 * @param ids only these
 */
record PieceListQuery(String find, String label, Standing standing, Boolean demo, List<UUID> ids) {

    static final PieceListQuery ANY = new PieceListQuery(null, null, null, null, null);

    /** How urgent each condition is, as it is stored. */
    static final Map<PieceCondition, Integer> URGENCIES =
            Map.of(PieceCondition.FAILING, 0, PieceCondition.DUE, 1, PieceCondition.FINE, 2, PieceCondition.RETIRED, 3);

    /** How pieces may stand that are wanted. */
    enum Standing {
        FAILING,
        DUE,
        FINE,
        RETIRED,
        OUT,
        /** Failing or due. */
        NEEDS_A_HAND,
        /** Old, and still as its sheet at its last test. */
        WELL_AGED;

        private Predicate of(Root<PieceLifeEntity> piece, LocalDate today, CriteriaBuilder is) {
            return switch (this) {
                case OUT -> is.isTrue(piece.get("isOut"));
                case NEEDS_A_HAND ->
                    is.lessThanOrEqualTo(piece.<Integer>get("urgency"), URGENCIES.get(PieceCondition.DUE));
                case WELL_AGED ->
                    is.and(FINE.of(piece, today, is), is.lessThanOrEqualTo(piece.<LocalDate>get("wellAgedOn"), today));
                default -> is.equal(piece.get("urgency"), URGENCIES.get(PieceCondition.valueOf(name())));
            };
        }
    }

    /** How a list of pieces may stand. */
    enum Order {
        LABEL(Sort.by("labelKey", "pieceId")),
        URGENCY(Sort.by("urgency", "labelKey", "pieceId"));

        private final KeysetOrder keyset;

        Order(Sort sort) {
            this.keyset = new KeysetOrder(
                    sort,
                    Map.of("urgency", Integer::valueOf, "labelKey", KeysetOrder::text, "pieceId", UUID::fromString));
        }

        KeysetOrder keyset() {
            return keyset;
        }
    }

    /**
     * As the database is asked.
     *
     * @param typesNamed the cable types in whose name a word stands
     */
    Specification<PieceLifeEntity> of(UUID workshop, LocalDate today, Function<String, Collection<UUID>> typesNamed) {
        return (piece, query, is) -> {
            List<Predicate> all = new ArrayList<>();
            all.add(is.equal(piece.get("workshopId"), workshop));
            for (String word : Search.of(find).words()) {
                all.add(is.or(
                        Search.isIn(word, piece.get("words"), is),
                        piece.get("cableTypeId").in(typesNamed.apply(word))));
            }
            if (label != null) {
                all.add(is.equal(piece.get("labelKey"), PieceLives.labelKey(label)));
            }
            if (standing != null) {
                all.add(standing.of(piece, today, is));
            }
            if (demo != null) {
                all.add(is.equal(piece.get("demo"), demo));
            }
            if (ids != null && !ids.isEmpty()) {
                all.add(piece.get("pieceId").in(ids));
            }
            return is.and(all.toArray(Predicate[]::new));
        };
    }
}
