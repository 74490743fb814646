package org.eskiz.core.cable;

import java.util.List;
import org.eskiz.core.unit.Decibels;
import org.eskiz.core.unit.Require;

/** Loss of a joint, a device or a transformer between its own impedances, against frequency. */
public interface InsertionLoss {

    /** Loss in dB at a frequency in MHz, at least 0. */
    double lossDb(double frequencyMHz);

    /** Of several in a row, dB. */
    static double sumDb(List<InsertionLoss> all, double frequencyMHz) {
        return all.stream().mapToDouble(l -> l.lossDb(frequencyMHz)).sum();
    }

    /** Whether the figure at a frequency lies beyond what it is known for. */
    boolean isExtrapolatedAt(double frequencyMHz);

    /**
     * The same loss at every frequency, as the operator states it.
     *
     * @param lossDb at least 0
     */
    record Flat(double lossDb) implements InsertionLoss {

        public Flat {
            Require.notNegative("loss in dB", lossDb);
        }

        @Override
        public double lossDb(double frequencyMHz) {
            return lossDb;
        }

        @Override
        public boolean isExtrapolatedAt(double frequencyMHz) {
            return false;
        }
    }

    /**
     * Typical loss of one mated pair of connectors: {@code c1·√f + c2·f²} dB, f in MHz. The root is skin resistance of the
     * contacts; the square is a short length of another impedance, which reflects in proportion to its length in waves, so that
     * the power it sends back grows with the square of frequency.
     *
     * @param c1DbPerSqrtMHz contact resistance under skin effect, at least 0
     * @param c2DbPerMHz2 reflection at a body of another impedance, at least 0
     * @param maxMHz highest frequency the connector is made for
     */
    record MatedPair(double c1DbPerSqrtMHz, double c2DbPerMHz2, double maxMHz) implements InsertionLoss {

        public MatedPair {
            Require.notNegative("c1", c1DbPerSqrtMHz);
            Require.notNegative("c2", c2DbPerMHz2);
            Require.positive("highest frequency in MHz", maxMHz);
        }

        @Override
        public double lossDb(double frequencyMHz) {
            return c1DbPerSqrtMHz * Math.sqrt(frequencyMHz) + c2DbPerMHz2 * frequencyMHz * frequencyMHz;
        }

        @Override
        public boolean isExtrapolatedAt(double frequencyMHz) {
            return frequencyMHz > maxMHz;
        }
    }

    /**
     * A table over frequency, as somebody measured it: between its points a straight line in dB over the logarithm of frequency.
     * Beyond its ends nobody knows; the figure of the end stands in, and it is said that it does.
     *
     * @param points at least one, frequency rising
     */
    record Table(List<Point> points) implements InsertionLoss {

        /** Loss at a frequency. */
        public record Point(double frequencyMHz, double lossDb) {

            public Point {
                Require.positive("frequency in MHz", frequencyMHz);
                Require.notNegative("loss in dB", lossDb);
            }
        }

        public Table {
            points = List.copyOf(points);
            if (points.isEmpty()) {
                throw new IllegalArgumentException("a table of losses needs at least one point, not 0");
            }
            for (int i = 1; i < points.size(); i++) {
                if (points.get(i).frequencyMHz <= points.get(i - 1).frequencyMHz) {
                    throw new IllegalArgumentException("the frequencies of a table of losses must rise");
                }
            }
        }

        @Override
        public double lossDb(double frequencyMHz) {
            int above = 0;
            while (above < points.size() && points.get(above).frequencyMHz < frequencyMHz) {
                above++;
            }
            if (above == 0) {
                return points.get(0).lossDb;
            }
            if (above == points.size()) {
                return points.get(above - 1).lossDb;
            }
            Point low = points.get(above - 1);
            Point high = points.get(above);
            double way = Math.log(frequencyMHz / low.frequencyMHz) / Math.log(high.frequencyMHz / low.frequencyMHz);
            return low.lossDb + way * (high.lossDb - low.lossDb);
        }

        @Override
        public boolean isExtrapolatedAt(double frequencyMHz) {
            return frequencyMHz < points.get(0).frequencyMHz
                    || frequencyMHz > points.get(points.size() - 1).frequencyMHz;
        }
    }

    /**
     * A splitter to equal ports that do not hear each other: each gets its share of the power, less what the splitter turns into
     * heat (Microwave Engineering, 4th edition, section 7.3).
     *
     * @param ways how many ports there are, at least 2
     * @param excess beyond the split itself
     */
    record Split(int ways, InsertionLoss excess) implements InsertionLoss {

        public Split {
            if (ways < 2) {
                throw new IllegalArgumentException("a splitter has at least 2 ports, not " + ways);
            }
        }

        @Override
        public double lossDb(double frequencyMHz) {
            return Decibels.ofPower(ways) + excess.lossDb(frequencyMHz);
        }

        @Override
        public boolean isExtrapolatedAt(double frequencyMHz) {
            return excess.isExtrapolatedAt(frequencyMHz);
        }
    }
}
