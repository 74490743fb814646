package org.eskiz.core.bench;

import java.util.OptionalDouble;

/**
 * A type that a piece may be of, and how well it fits.
 *
 * @param lossShare by how much its losses miss the sheet on the mean, as a share of it
 * @param velocityShare by how much its velocity factor is off, as a share; empty where it was not measured
 * @param impedanceShare the same of its impedance
 */
public record Likeness(TypeSheet type, double lossShare, OptionalDouble velocityShare, OptionalDouble impedanceShare) {

    /** How well it fits altogether: the root of the squares. */
    double distance() {
        return Math.sqrt(lossShare * lossShare + square(velocityShare) + square(impedanceShare));
    }

    private static double square(OptionalDouble share) {
        return share.isPresent() ? share.getAsDouble() * share.getAsDouble() : 0;
    }
}
