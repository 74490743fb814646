package org.eskiz.core.unit;

/** Checks that a value can exist; a value that cannot is an error with the number in its message. */
public final class Require {

    private Require() {}

    /** Refuses what is not a finite number above zero. */
    public static double positive(String name, double value) {
        if (!(value > 0) || Double.isInfinite(value)) {
            throw new IllegalArgumentException(name + " must be above 0, not " + value);
        }
        return value;
    }

    /** Refuses what is not a finite number of at least zero. */
    public static double notNegative(String name, double value) {
        return atLeast(name, value, 0);
    }

    /** Refuses what is not a finite number of at least {@code least}. */
    public static double atLeast(String name, double value, double least) {
        if (!(value >= least) || Double.isInfinite(value)) {
            throw new IllegalArgumentException(name + " must be at least " + least + ", not " + value);
        }
        return value;
    }

    /** Refuses infinity and not-a-number. */
    public static double finite(String name, double value) {
        if (!Double.isFinite(value)) {
            throw new IllegalArgumentException(name + " must be a finite number, not " + value);
        }
        return value;
    }
}
