package org.eskiz.core.cable;

import org.eskiz.core.unit.Require;

/**
 * The average power that a line bears at one frequency and temperature.
 *
 * <p>It is limited by heat: what the line loses per metre, at the given frequency, may warm its centre conductor to
 * {@code maxTemperatureC} and no further. So it falls as attenuation rises, and is nothing where the surroundings are as hot
 * as the conductor may become.
 *
 * <p>A rule of thermal balance, not of a standard: the heat that a metre gives away is proportional to how much hotter it is
 * than the air, and the heat it gets is the power times its attenuation. Data sheets state it at 40 °C; what colder air would
 * allow beyond a fifth more is left as a reserve, as the hottest place of a cable is never known.
 *
 * @param powerW average power, W
 * @param frequencyMHz at which it is stated
 * @param ambientC at which it is stated
 * @param maxTemperatureC highest operating temperature, °C, above that and above 40
 */
public record AveragePower(double powerW, double frequencyMHz, double ambientC, double maxTemperatureC) {

    /** Frequency and temperature at which ratings are compared. */
    public static final double USUAL_FREQUENCY_MHZ = 30;

    public static final double USUAL_AMBIENT_C = 40;

    /** Cold surroundings do not raise a rating without limit. */
    private static final double MOST_DERATING = 1.2;

    public AveragePower {
        Require.positive("average power in W", powerW);
        Require.positive("frequency in MHz", frequencyMHz);
        double least = Math.max(ambientC, USUAL_AMBIENT_C);
        if (!(maxTemperatureC > least)) {
            throw new IllegalArgumentException(
                    "highest operating temperature must be above %s °C, not %s".formatted(least, maxTemperatureC));
        }
    }

    /**
     * The rating at another frequency and temperature:
     * {@code P30·A(30)/A(f)·min(1.2, (Tmax − T)/(Tmax − 40))}, attenuation at 20 °C.
     *
     * @return W; 0 at or above the highest operating temperature
     */
    public double at(Attenuation law, double atMHz, double atC) {
        return usualW(law) * sheetLoss(law, USUAL_FREQUENCY_MHZ) / sheetLoss(law, atMHz) * derating(atC);
    }

    /** Brought to 30 MHz and 40 °C. */
    private double usualW(Attenuation law) {
        return powerW * sheetLoss(law, frequencyMHz) / sheetLoss(law, USUAL_FREQUENCY_MHZ) / derating(ambientC);
    }

    private double derating(double atC) {
        double share = (maxTemperatureC - atC) / (maxTemperatureC - USUAL_AMBIENT_C);
        return Math.max(0, Math.min(MOST_DERATING, share));
    }

    private static double sheetLoss(Attenuation law, double atMHz) {
        return law.dbPer100m(atMHz, Attenuation.SHEET_TEMPERATURE_C);
    }
}
