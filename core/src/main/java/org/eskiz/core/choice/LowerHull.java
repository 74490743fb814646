package org.eskiz.core.choice;

import java.util.ArrayList;
import java.util.List;
import java.util.function.ToDoubleFunction;

/** Of things that cost and lack something: those of which none is dearer for what it lacks less than the one after it. */
final class LowerHull {

    private LowerHull() {}

    /**
     * From the cheapest to what lacks least.
     *
     * @param placed the cheapest first; of equal cost what lacks less
     */
    static <T> List<T> of(List<T> placed, ToDoubleFunction<T> cost, ToDoubleFunction<T> lacks) {
        List<T> hull = new ArrayList<>();
        for (T next : placed) {
            boolean isNoBetter =
                    !hull.isEmpty() && lacks.applyAsDouble(next) >= lacks.applyAsDouble(hull.get(hull.size() - 1));
            if (!isNoBetter) {
                while (hull.size() >= 2
                        && slope(hull.get(hull.size() - 2), hull.get(hull.size() - 1), cost, lacks)
                                >= slope(hull.get(hull.size() - 1), next, cost, lacks)) {
                    hull.remove(hull.size() - 1);
                }
                hull.add(next);
            }
        }
        return hull;
    }

    private static <T> double slope(T from, T to, ToDoubleFunction<T> cost, ToDoubleFunction<T> lacks) {
        return (cost.applyAsDouble(to) - cost.applyAsDouble(from))
                / (lacks.applyAsDouble(from) - lacks.applyAsDouble(to));
    }
}
