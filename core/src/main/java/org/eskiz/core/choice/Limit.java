package org.eskiz.core.choice;

/** On which side of the number asked a figure has to be. */
enum Limit {
    AT_LEAST,
    AT_MOST;

    boolean isMet(double asked, double reached) {
        return spare(asked, reached) >= 0;
    }

    /** By how much it is met, in the figure's own unit; negative by how much it is missed. */
    double spare(double asked, double reached) {
        return this == AT_LEAST ? reached - asked : asked - reached;
    }
}
