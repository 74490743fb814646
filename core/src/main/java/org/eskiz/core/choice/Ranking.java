package org.eskiz.core.choice;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Ways to fill the sections of a run, in the order of a school: all of them, or no more of them than it takes to tell which comes
 * first.
 *
 * @param comparison what each of them comes to
 * @param preference the school
 */
public record Ranking(Comparison comparison, Preference preference) {

    /** So many rows and more are shared among the cores there are: of fewer, sharing takes longer than it saves. */
    private static final int WORTH_SHARING = 8;

    /**
     * A row for each way, in order. Many rows are shared among the cores there are.
     *
     * @param beforeEach run before each row; what it throws ends the work
     */
    public List<Row> rows(List<List<Candidate>> fillings, Runnable beforeEach) {
        Stream<List<Candidate>> all = fillings.size() < WORTH_SHARING ? fillings.stream() : fillings.parallelStream();
        List<Row> rows =
                all.peek(filling -> beforeEach.run()).map(comparison::row).toList();
        return (preference == Preference.SUREST ? comparison.sure(rows, beforeEach) : rows)
                .stream().sorted(preference.order()).toList();
    }

    /**
     * The row that comes first. Where the order is by cost, the cheapest are tried first and nothing dearer than what passes.
     *
     * @param fillings at least one
     * @param beforeEach as for {@link #rows}
     */
    public Row first(List<List<Candidate>> fillings, Runnable beforeEach) {
        if (!preference.isByCost()) {
            return rows(fillings, beforeEach).get(0);
        }
        List<Offered> offered = cheapestFirst(fillings);
        Row first = comparison.row(offered.get(0).filling());
        for (Offered next : offered.subList(1, offered.size())) {
            boolean isDearer = Costs.KNOWN_AND_LEAST_FIRST.compare(first.cost(), next.cost()) < 0;
            if (isDearer && first.verdict() == Verdict.PASS) {
                break;
            }
            beforeEach.run();
            Row row = comparison.row(next.filling());
            first = preference.order().compare(row, first) < 0 ? row : first;
        }
        return first;
    }

    private record Offered(List<Candidate> filling, Optional<Money> cost) {}

    private List<Offered> cheapestFirst(List<List<Candidate>> fillings) {
        return fillings.stream()
                .map(f -> new Offered(f, comparison.offer(f).cost()))
                .sorted(Comparator.comparing(Offered::cost, Costs.KNOWN_AND_LEAST_FIRST))
                .toList();
    }

    /**
     * One of several ways that comes before another; empty where none does. They are tried as they stand, and no further once
     * one was found: whoever asks often tries the likeliest first.
     */
    public Optional<List<Candidate>> before(List<Candidate> filling, List<List<Candidate>> others) {
        if (preference == Preference.SUREST) {
            // how sure they are is sampled for all of them together
            List<List<Candidate>> all =
                    Stream.concat(Stream.of(filling), others.stream()).toList();
            return Optional.of(first(all, () -> {}).filling()).filter(f -> !f.equals(filling));
        }
        Row row = comparison.row(filling);
        return others.stream()
                .filter(other -> !other.equals(filling))
                .filter(other -> preference.order().compare(comparison.row(other), row) < 0)
                .findFirst();
    }
}
