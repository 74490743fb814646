package org.eskiz.instruments;

import org.apache.commons.numbers.complex.Complex;

/**
 * A cable on the shelf.
 *
 * @param name what its label says
 * @param truth what it really is
 * @param lengthM of it
 * @param k1 dB per 100 m and √MHz
 * @param k2 dB per 100 m and MHz
 * @param velocityFactor of it
 * @param contactOhm resistance of a bad contact; 0 for none
 * @param kinkPf capacitance of a kink; 0 for none
 * @param faultM where contact or kink lies
 */
record Piece(
        String name,
        String truth,
        double lengthM,
        double k1,
        double k2,
        double velocityFactor,
        double contactOhm,
        double kinkPf,
        double faultM) {

    private static final double R0 = 50;
    private static final double NEPERS = 8.685889638065036;
    private static final double LIGHT = 299_792_458;

    /** ABCD of the whole piece at a frequency. */
    Complex[] chain(double hz) {
        if (contactOhm == 0 && kinkPf == 0) {
            return line(hz, lengthM);
        }
        Complex shunt = Complex.ofCartesian(0, 2 * Math.PI * hz * kinkPf * 1e-12);
        Complex[] fault = {Complex.ONE, Complex.ofCartesian(contactOhm, 0), shunt, Complex.ONE};
        return times(times(line(hz, faultM), fault), line(hz, lengthM - faultM));
    }

    /** S11, S21, S22 in 50 Ω. */
    Complex[] scattering(double hz) {
        Complex[] m = chain(hz);
        Complex a = m[0];
        Complex b = m[1].divide(R0);
        Complex c = m[2].multiply(R0);
        Complex d = m[3];
        Complex all = a.add(b).add(c).add(d);
        return new Complex[] {
            a.add(b).subtract(c).subtract(d).divide(all),
            Complex.ofCartesian(2, 0).divide(all),
            b.add(d).subtract(a).subtract(c).divide(all)
        };
    }

    /** Reflection of the near end with a reflection at the far one. */
    Complex reflection(double hz, double farEnd) {
        Complex[] s = scattering(hz);
        Complex back = s[1].multiply(s[1]).multiply(farEnd);
        return s[0].add(back.divide(Complex.ONE.subtract(s[2].multiply(farEnd))));
    }

    private Complex[] line(double hz, double metres) {
        double mhz = hz / 1e6;
        double conductor = k1 * Math.sqrt(mhz) / 100 / NEPERS;
        double dielectric = k2 * mhz / 100 / NEPERS;
        double beta = 2 * Math.PI * hz / (velocityFactor * LIGHT);
        Complex way = Complex.ofCartesian((conductor + dielectric) * metres, beta * metres);
        Complex z0 = Complex.ofCartesian(1, -2 * conductor / beta)
                .divide(Complex.ofCartesian(1, -2 * dielectric / beta))
                .sqrt()
                .multiply(R0);
        return new Complex[] {way.cosh(), z0.multiply(way.sinh()), way.sinh().divide(z0), way.cosh()};
    }

    private static Complex[] times(Complex[] m, Complex[] n) {
        return new Complex[] {
            m[0].multiply(n[0]).add(m[1].multiply(n[2])),
            m[0].multiply(n[1]).add(m[1].multiply(n[3])),
            m[2].multiply(n[0]).add(m[3].multiply(n[2])),
            m[2].multiply(n[1]).add(m[3].multiply(n[3]))
        };
    }
}
