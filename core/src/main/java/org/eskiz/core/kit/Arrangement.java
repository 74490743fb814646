package org.eskiz.core.kit;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * In which order and which way round pieces are laid so that joining them costs least. Only their ends matter, so pieces with
 * the same two ends count as one kind, and what was worked out for so many of each kind is kept.
 */
final class Arrangement {

    /** Stands for a side of which nobody said what it offers; joining it costs nothing. */
    private static final int UNKNOWN = -1;

    private final Cost cost;
    private final int radio;
    private final int antenna;
    private final List<End> ends = new ArrayList<>();
    private final Map<Kind, Integer> kinds = new LinkedHashMap<>();
    private final List<Kind> kindList = new ArrayList<>();
    private final Map<State, Double> known = new HashMap<>();

    /** What a coupling costs, in the terms of a search. */
    interface Cost {
        double of(Coupling coupling);
    }

    /** Two ends, whichever way round; by their numbers, the smaller first. */
    private record Kind(int one, int other) {}

    /** So many pieces left of each kind, behind an open end. */
    private record State(List<Integer> left, int open) {}

    Arrangement(Optional<End> radio, Optional<End> antenna, Cost cost) {
        this.cost = cost;
        this.radio = radio.map(this::number).orElse(UNKNOWN);
        this.antenna = antenna.map(this::number).orElse(UNKNOWN);
    }

    private int number(End end) {
        int at = ends.indexOf(end);
        if (at < 0) {
            ends.add(end);
            return ends.size() - 1;
        }
        return at;
    }

    /** The kind of a piece, to be asked once a piece. */
    int kindOf(OwnedPiece piece) {
        int near = number(piece.near());
        int far = number(piece.far());
        var kind = new Kind(Math.min(near, far), Math.max(near, far));
        return kinds.computeIfAbsent(kind, k -> {
            kindList.add(k);
            return kinds.size();
        });
    }

    /** What joining pieces of these kinds costs at least. */
    double leastCost(int[] kindsOfPieces, int pieces) {
        return least(new State(counted(kindsOfPieces, pieces), radio));
    }

    private List<Integer> counted(int[] kindsOfPieces, int pieces) {
        Integer[] count = new Integer[kindList.size()];
        Arrays.fill(count, 0);
        for (int i = 0; i < pieces; i++) {
            count[kindsOfPieces[i]]++;
        }
        return List.of(count);
    }

    private double least(State state) {
        Double before = known.get(state);
        if (before != null) {
            return before;
        }
        double least = Double.POSITIVE_INFINITY;
        boolean isEnd = true;
        for (Step step : steps(state)) {
            isEnd = false;
            least = Math.min(least, step.cost() + least(step.then()));
        }
        double answer = isEnd ? joining(state.open(), antenna) : least;
        known.put(state, answer);
        return answer;
    }

    /** A piece of a kind laid next, one way round or the other. */
    private record Step(int kind, boolean turned, double cost, State then) {}

    private List<Step> steps(State state) {
        List<Step> steps = new ArrayList<>();
        for (int kind = 0; kind < state.left().size(); kind++) {
            if (state.left().get(kind) > 0) {
                List<Integer> left = new ArrayList<>(state.left());
                left.set(kind, left.get(kind) - 1);
                Kind k = kindList.get(kind);
                steps.add(new Step(kind, false, joining(state.open(), k.one()), new State(left, k.other())));
                if (k.one() != k.other()) {
                    steps.add(new Step(kind, true, joining(state.open(), k.other()), new State(left, k.one())));
                }
            }
        }
        return steps;
    }

    private double joining(int near, int far) {
        return near == UNKNOWN || far == UNKNOWN ? 0 : cost.of(Coupling.of(ends.get(near), ends.get(far)));
    }

    /** The least that joining any two pieces costs, among the ends that were met so far. */
    double cheapestCoupling() {
        double least = Double.POSITIVE_INFINITY;
        for (Kind a : kindList) {
            for (Kind b : kindList) {
                least = Math.min(least, Math.min(joining(a.one(), b.one()), joining(a.one(), b.other())));
                least = Math.min(least, Math.min(joining(a.other(), b.one()), joining(a.other(), b.other())));
            }
        }
        return least;
    }

    /** The pieces as they are best laid. */
    List<Kit.Laid> laid(List<OwnedPiece> pieces) {
        int[] kindsOfPieces = pieces.stream().mapToInt(this::kindOf).toArray();
        List<OwnedPiece> left = new ArrayList<>(pieces);
        List<Kit.Laid> laid = new ArrayList<>();
        State state = new State(counted(kindsOfPieces, pieces.size()), radio);
        while (!left.isEmpty()) {
            Step best = steps(state).stream()
                    .min((a, b) -> Double.compare(a.cost() + least(a.then()), b.cost() + least(b.then())))
                    .orElseThrow();
            OwnedPiece next = left.stream()
                    .filter(p -> kindOf(p) == best.kind())
                    .findFirst()
                    .orElseThrow();
            left.remove(next);
            End first = ends.get(
                    best.turned()
                            ? kindList.get(best.kind()).other()
                            : kindList.get(best.kind()).one());
            laid.add(new Kit.Laid(next, !next.near().equals(first)));
            state = best.then();
        }
        return laid;
    }
}
