package org.eskiz.core.choice;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import org.eskiz.core.choice.Reason.Cause;

/**
 * What to ask less of so that a candidate gets through, when none does.
 *
 * @param row the candidate that would get through
 * @param eased every requirement that it misses, and the number it would meet
 */
public record Relaxation(Row row, List<Eased> eased) {

    /** More of them nobody weighs against each other. */
    private static final int MOST_WAYS = 4;

    public Relaxation {
        eased = List.copyOf(eased);
    }

    /**
     * One requirement eased.
     *
     * @param requirement as it is asked
     * @param to the number that would let the candidate through; empty where it is a plain yes, to be given up
     */
    public record Eased(Requirement requirement, OptionalDouble to) {

        /** By how much it is eased, relative to what is asked; a plain yes given up counts as all of it. */
        double share() {
            return to.isEmpty()
                    ? 1
                    : Math.abs(to.getAsDouble() - requirement.threshold())
                            / Math.max(Math.abs(requirement.threshold()), 1e-9);
        }
    }

    /**
     * The ways to let a first candidate through, one for each requirement or set of them: the fewest requirements first,
     * then by how little they are eased; more of them only where each is eased so little that it is less together.
     *
     * @return empty as soon as any candidate gets through without
     */
    public static List<Relaxation> of(List<Row> rows) {
        if (rows.stream().anyMatch(r -> r.verdict() != Verdict.FAIL)) {
            return List.of();
        }
        List<Relaxation> ways = rows.stream()
                .flatMap(r -> of(r).stream())
                .sorted(Comparator.comparingInt((Relaxation r) -> r.eased.size())
                        .thenComparingDouble(Relaxation::share))
                .toList();
        List<Relaxation> first = new ArrayList<>();
        for (Relaxation way : ways) {
            if (first.stream().noneMatch(w -> w.requirements().equals(way.requirements()))) {
                first.add(way);
            }
        }
        return first.stream()
                .filter(w -> w.eased.size() == first.get(0).eased.size()
                        || w.share() < first.get(0).share())
                .limit(MOST_WAYS)
                .toList();
    }

    private Set<Requirement> requirements() {
        return eased.stream().map(Eased::requirement).collect(Collectors.toSet());
    }

    private double share() {
        return eased.stream().mapToDouble(Eased::share).sum();
    }

    /** Empty for a row that fails for another cause: no easing would help. */
    private static Optional<Relaxation> of(Row row) {
        if (row.reasons().stream().anyMatch(r -> r.cause().verdict() == Verdict.FAIL && r.cause() != Cause.MISSED)) {
            return Optional.empty();
        }
        List<Reason> missed =
                row.reasons().stream().filter(r -> r.cause() == Cause.MISSED).toList();
        List<Eased> eased = missed.stream()
                .map(r -> r.requirement().orElseThrow())
                .distinct()
                .map(asked -> new Eased(asked, worst(asked, missed)))
                .toList();
        return eased.isEmpty() ? Optional.empty() : Optional.of(new Relaxation(row, eased));
    }

    /** Over the bands that miss it, the figure that is farthest from what is asked. */
    private static OptionalDouble worst(Requirement asked, List<Reason> missed) {
        if (asked instanceof Requirement.OfRun r && r.figure().isYesOrNo()) {
            return OptionalDouble.empty();
        }
        return missed.stream()
                .filter(r -> r.requirement().orElseThrow().equals(asked))
                .map(r -> r.reached().orElseThrow())
                .max(Comparator.comparingDouble(reached -> Math.abs(reached - asked.threshold())))
                .map(OptionalDouble::of)
                .orElse(OptionalDouble.empty());
    }
}
