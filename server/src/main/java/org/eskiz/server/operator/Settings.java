package org.eskiz.server.operator;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.constraints.NotNull;
import org.eskiz.core.choice.Preference;
import org.eskiz.server.http.CurrencyCode;
import org.eskiz.server.http.OrNull;
import org.eskiz.server.http.Within;

/**
 * How the operator likes to work.
 *
 * @param version the version that was read; counts up with every change
 * @param reading how a power is read
 * @param temperatures unit of the day's temperature
 * @param flatJointLossDb the school that charges every joint of a new plan this much, in dB; null for what is typical of
 *     the connector
 * @param currency ISO 4217, in which the operator's own prices are meant
 * @param region ITU region whose bands are offered
 * @param licencePowerW the operator's own note of the most power they may use; null for none. It is a reminder, never a
 *     legal verdict
 * @param preference the school that orders a new plan's ledger
 * @param palette of the screen
 * @param letterShortcuts whether single letters are shortcuts
 * @param demoHidden whether the plans of the demo are left out of the list
 */
public record Settings(
        @NotNull(message = "must be given") Long version,
        @NotNull(message = "must be given") Reading reading,
        @NotNull(message = "must be given") LengthUnit lengths,
        @NotNull(message = "must be given") TemperatureUnit temperatures,

        @OrNull @Within(what = "loss of one joint in dB", min = 0, max = 60)
        Double flatJointLossDb,

        @NotNull(message = "must be given") @CurrencyCode String currency,

        @NotNull(message = "must be given") @Within(what = "ITU region", min = 1, max = 3)
        Integer region,

        @OrNull @Within(what = "licence power in W", min = 1e-3, max = 1e5)
        Double licencePowerW,

        @NotNull(message = "must be given") Preference preference,
        @NotNull(message = "must be given") Palette palette,
        @NotNull(message = "must be given") Boolean letterShortcuts,
        @NotNull(message = "must be given") Boolean demoHidden) {

    /** What stands until the operator says otherwise. */
    static final Settings DEFAULTS = new Settings(
            0L,
            Reading.WATTS,
            LengthUnit.METRES,
            TemperatureUnit.CELSIUS,
            null,
            "EUR",
            1,
            null,
            Preference.LEAST_COST,
            Palette.SYSTEM,
            true,
            false);

    Settings atVersion(long now) {
        return new Settings(
                now,
                reading,
                lengths,
                temperatures,
                flatJointLossDb,
                currency,
                region,
                licencePowerW,
                preference,
                palette,
                letterShortcuts,
                demoHidden);
    }

    /** The ways to read a power. */
    @Schema(name = "Reading", enumAsRef = true)
    public enum Reading {
        WATTS,
        PERCENT,
        DB,
        S_UNITS
    }

    public enum LengthUnit {
        METRES,
        FEET
    }

    public enum TemperatureUnit {
        CELSIUS,
        FAHRENHEIT
    }

    /** Day sheet, night sheet, or as the system says. */
    public enum Palette {
        DAY,
        NIGHT,
        SYSTEM
    }
}
