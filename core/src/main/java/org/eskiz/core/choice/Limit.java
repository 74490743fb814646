package org.eskiz.core.choice;

/** On which side of the number asked a figure has to be. */
enum Limit {
    AT_LEAST,
    AT_MOST;

    /** What is met exactly is met, whatever the last digits say. */
    private static final double ROUNDING = 1e-9;

    boolean isMet(double asked, double reached) {
        return spare(asked, reached) >= -ROUNDING * Math.abs(asked);
    }

    /** By how much it is met, in the figure's own unit; negative by how much it is missed. */
    double spare(double asked, double reached) {
        return this == AT_LEAST ? reached - asked : asked - reached;
    }
}
