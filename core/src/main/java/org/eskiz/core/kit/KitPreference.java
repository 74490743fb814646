package org.eskiz.core.kit;

/** What is wanted most of a kit. Where two are equal in it, the one that loses less is better. */
public enum KitPreference {
    /** Least loss, joints included. */
    LEAST_LOSS,
    /** Fewest mated pairs. */
    FEWEST_JOINTS,
    /** Least mass, to the gram. */
    LEAST_MASS,
    /** Least length to be coiled up at the end, to the centimetre. */
    LEAST_LEFT_OVER
}
