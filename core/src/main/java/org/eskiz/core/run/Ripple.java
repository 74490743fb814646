package org.eskiz.core.run;

/**
 * |V|², |I|² or heat along a line: {@code forward·e^{2αz} + backward·e^{−2αz} + ripple·cos(2βz + phase)}, with z in metres
 * from the antenna end.
 *
 * <p>The exponentials are convex and the cosine repeats every half wavelength, so the greatest value lies within half a
 * wavelength of one end: at the end itself, or on a crest of the cosine near it.
 *
 * @param doubleAlpha 2α, Np/m
 * @param doubleBeta 2β, rad/m, above 0
 */
record Ripple(double forward, double backward, double ripple, double phase, double doubleAlpha, double doubleBeta) {

    /** Newton's method doubles the digits that agree with every step; a crest is off by less than a quarter period. */
    private static final int NEWTON_STEPS = 6;

    /** Nearer than this to the hump, as a phase, the value agrees to more digits than a double has. */
    private static final double CLOSE_ENOUGH = 1e-8;

    /**
     * A greatest value.
     *
     * @param zM where, metres from the antenna end
     */
    record Greatest(double zM, double value) {

        private Greatest orIfGreater(Greatest other) {
            return other.value > value ? other : this;
        }
    }

    /**
     * The greatest value, but for where the exponentials push a hump off its crest: enough to tell which of many is the
     * greatest where the wave is not much damped.
     *
     * @param growth e^{2α·length}
     */
    double nearlyGreatest(double lengthM, double growth) {
        double atEnds = Math.max(
                forward + backward + ripple * Math.cos(phase),
                forward * growth + backward / growth + ripple * Math.cos(doubleBeta * lengthM + phase));
        double first = crestAfter(0);
        return first > lengthM
                ? atEnds
                : Math.max(atEnds, Math.max(onCrest(first), onCrest(crestAfter(lengthM) - 2 * Math.PI / doubleBeta)));
    }

    private double onCrest(double zM) {
        double growth = Math.exp(doubleAlpha * zM);
        return forward * growth + backward / growth + Math.abs(ripple);
    }

    Greatest greatest(double lengthM) {
        Greatest best = at(0).orIfGreater(at(lengthM));
        double period = 2 * Math.PI / doubleBeta;
        double first = crestAfter(0);
        double last = crestAfter(lengthM) - period;
        best = best.orIfGreater(near(first - period, lengthM)).orIfGreater(near(first, lengthM));
        return last > first
                ? best.orIfGreater(near(last, lengthM)).orIfGreater(near(last + period, lengthM))
                : best.orIfGreater(near(last + period, lengthM));
    }

    /** The hump at a crest, as far as it lies on the line. */
    private Greatest near(double crest, double lengthM) {
        double quarter = Math.PI / 2 / doubleBeta;
        if (crest < -quarter || crest > lengthM + quarter) {
            return at(0);
        }
        return at(Math.min(lengthM, Math.max(0, hump(crest))));
    }

    /** The first place from here on where the cosine adds most. */
    private double crestAfter(double zM) {
        double turned = (doubleBeta * zM + phase + (ripple < 0 ? Math.PI : 0)) / (2 * Math.PI);
        return zM + (Math.ceil(turned) - turned) * 2 * Math.PI / doubleBeta;
    }

    /** The exponentials push the hump of the sum a little to one side of the crest. */
    private double hump(double crest) {
        double z = crest;
        for (int i = 0; i < NEWTON_STEPS; i++) {
            double growing = forward * Math.exp(doubleAlpha * z);
            double falling = backward * Math.exp(-doubleAlpha * z);
            double turn = doubleBeta * z + phase;
            double slope = doubleAlpha * (growing - falling) - doubleBeta * ripple * Math.sin(turn);
            double bend =
                    doubleAlpha * doubleAlpha * (growing + falling) - doubleBeta * doubleBeta * ripple * Math.cos(turn);
            if (bend >= 0) {
                return crest;
            }
            double step = slope / bend;
            z -= step;
            if (Math.abs(step) * doubleBeta < CLOSE_ENOUGH) {
                return z;
            }
        }
        return z;
    }

    private Greatest at(double zM) {
        double value = forward * Math.exp(doubleAlpha * zM)
                + backward * Math.exp(-doubleAlpha * zM)
                + ripple * Math.cos(doubleBeta * zM + phase);
        return new Greatest(zM, value);
    }
}
