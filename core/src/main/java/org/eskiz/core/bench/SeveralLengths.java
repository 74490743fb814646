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
 * @param certainty how well the two are known
 * @param residualDb root mean square of what the line misses; empty for two lengths, which it always meets
 */
public record SeveralLengths(double cableDbPerM, double connectorsDb, Certainty certainty, OptionalDouble residualDb) {

    /**
     * Expanded uncertainties, from those of the readings.
     *
     * @param cableDbPerM of the cable
     * @param connectorsDb of the connectors
     */
    public record Certainty(double cableDbPerM, double connectorsDb) {}

    /**
     * One of the lengths.
     *
     * @param lengthM of the piece
     * @param lossDb measured
     * @param standardDb standard uncertainty of it
     */
    public record Piece(double lengthM, double lossDb, double standardDb) {}

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
                certainty(pieces, line),
                pieces.size() < 3
                        ? OptionalDouble.empty()
                        : OptionalDouble.of(Math.sqrt(line.getSumSquaredErrors() / pieces.size())));
    }

    /** Both are weighted sums of the losses; so their squares are sums of squares. */
    private static Certainty certainty(List<Piece> pieces, SimpleRegression line) {
        double middleM = pieces.stream().mapToDouble(Piece::lengthM).average().orElseThrow();
        double spread = line.getXSumSquares();
        double slope = 0;
        double intercept = 0;
        for (Piece p : pieces) {
            double weight = (p.lengthM() - middleM) / spread;
            slope += Math.pow(weight * p.standardDb(), 2);
            intercept += Math.pow((1.0 / pieces.size() - middleM * weight) * p.standardDb(), 2);
        }
        return new Certainty(Uncertainty.EXPANSION * Math.sqrt(slope), Uncertainty.EXPANSION * Math.sqrt(intercept));
    }
}
