package org.eskiz.core.bench;

import java.util.List;
import java.util.OptionalDouble;
import org.hipparchus.stat.regression.SimpleRegression;

/**
 * One type of cable measured in two lengths or more, at one frequency: {@code loss = a·length + b} parts the cable, a, from
 * the connectors, b. Least squares where there are three or more.
 *
 * @param cableDbPerM a
 * @param connectorsDb b; below 0 where the readings contradict each other
 * @param residualDb root mean square of what the line misses; empty for two lengths, which it always meets
 */
public record SeveralLengths(double cableDbPerM, double connectorsDb, OptionalDouble residualDb) {

    /**
     * One of the lengths.
     *
     * @param lengthM of the piece
     * @param lossDb measured
     */
    public record Piece(double lengthM, double lossDb) {}

    /**
     * Parts cable and connectors.
     *
     * @throws IllegalArgumentException when there are not two different lengths
     */
    public static SeveralLengths of(List<Piece> pieces) {
        long lengths = pieces.stream().mapToDouble(Piece::lengthM).distinct().count();
        if (lengths < 2) {
            throw new IllegalArgumentException(
                    "two different lengths are needed to part cable and connectors, not " + lengths);
        }
        SimpleRegression line = new SimpleRegression();
        pieces.forEach(p -> line.addData(p.lengthM(), p.lossDb()));
        return new SeveralLengths(
                line.getSlope(),
                line.getIntercept(),
                pieces.size() < 3
                        ? OptionalDouble.empty()
                        : OptionalDouble.of(Math.sqrt(line.getSumSquaredErrors() / pieces.size())));
    }
}
