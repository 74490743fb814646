package org.eskiz.core.cable;

import org.eskiz.core.unit.Decibels;
import org.eskiz.core.unit.Physics;
import org.eskiz.core.unit.Require;

/**
 * The least attenuation that copper allows: conductors as thick as the cable is across, solid and smooth, and a dielectric
 * that loses nothing. No cable of that size loses less; a data sheet that says so is of another cable, or in another unit.
 *
 * <p>{@code α = R/(2·Z0)} with the R of a coaxial or a two-wire line (Microwave Engineering, 4th edition, section 2.7 and
 * table 2.1), and {@code R_s = √(π·f·μ0/σ)} for copper of 58 MS/m (IEC 60028, annealed copper).
 */
public final class CopperFloor {

    /** Surface resistance of copper at 1 MHz and 20 °C, Ω. */
    private static final double SURFACE_OHM_AT_1_MHZ = 2.609e-4;

    /** As it stands in Z0 = 59.96/√εr·ln(D/d), Ω. */
    private static final double COAX_OHM = Physics.FREE_SPACE_OHM / (2 * Math.PI);

    private static final double M_PER_MM = 1e-3;

    private CopperFloor() {}

    /**
     * The least k1 of a coaxial cable: {@code 868.6·R_s/(2π·Z0)·(1/d + 1/D)} with D the bore of the shield and
     * {@code d = D·e^(−Z0/(59.96·vf))}.
     *
     * @param bore of the shield
     * @return dB per 100 m and √MHz
     */
    public static double ofCoax(double impedanceOhm, double velocityFactor, ShieldBore bore) {
        Require.positive("impedance in ohm", impedanceOhm);
        Require.positive("velocity factor", velocityFactor);
        double outerM = bore.mm() * M_PER_MM;
        // Z0 = 59.96·vf·ln(D/d), since vf = 1/√εr
        double innerM = outerM * Math.exp(-impedanceOhm / (COAX_OHM * velocityFactor));
        return Decibels.PER_100_M * SURFACE_OHM_AT_1_MHZ / (2 * Math.PI * impedanceOhm) * (1 / innerM + 1 / outerM);
    }

    /**
     * The least k1 of a two-wire line: {@code 868.6·R_s/(π·d·Z0)}.
     *
     * @param wireDiameterMm of either wire, above 0
     * @return dB per 100 m and √MHz
     */
    public static double ofTwoWires(double impedanceOhm, double wireDiameterMm) {
        Require.positive("impedance in ohm", impedanceOhm);
        Require.positive("wire diameter in mm", wireDiameterMm);
        return Decibels.PER_100_M * SURFACE_OHM_AT_1_MHZ / (Math.PI * wireDiameterMm * M_PER_MM * impedanceOhm);
    }
}
