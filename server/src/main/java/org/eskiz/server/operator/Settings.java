package org.eskiz.server.operator;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import org.eskiz.core.bench.Ageing;
import org.eskiz.core.bench.TestAgain;
import org.eskiz.core.choice.Preference;
import org.eskiz.server.problem.CurrencyCode;
import org.eskiz.server.problem.PlainText;
import org.eskiz.server.problem.Within;
import org.jspecify.annotations.Nullable;

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
 * @param cableWorthPerDb what the operator would give for a dB less in the cable, in the currency of the prices
 * @param gainCostPerDb what a dB of antenna gain costs them
 * @param powerCostPerDb what a dB of radio power costs them
 * @param tolerances how far cables may be off what is said of them
 * @param upkeep when pieces of the locker are tested again, and when they have had their day
 * @param instrumentHosts hosts of instruments that may be reached besides this machine, apart by spaces; null for none
 * @param palette of the screen
 * @param letterShortcuts whether single letters are shortcuts
 * @param ownPrices prices that stand in place of those of the catalogue; left out for none
 * @param ledgerColumns columns that the ledger always has, besides those it brings by itself; left out for none
 * @param demoHidden whether the plans of the demo are left out of the list
 */
public record Settings(
        @NotNull(message = "must be given") Long version,
        @NotNull(message = "must be given") Reading reading,
        @NotNull(message = "must be given") LengthUnit lengths,
        @NotNull(message = "must be given") TemperatureUnit temperatures,

        @Nullable @Within(what = "loss of one joint in dB", min = 0, max = 60)
        Double flatJointLossDb,

        @NotNull(message = "must be given") @CurrencyCode String currency,

        @NotNull(message = "must be given") @Within(what = "ITU region", min = 1, max = 3)
        Integer region,

        @Nullable @Within(what = "licence power in W", min = 1e-3, max = 1e5)
        Double licencePowerW,

        @NotNull(message = "must be given") Preference preference,

        @NotNull(message = "must be given") @Within(what = "worth of a dB in the cable", min = 0.01, max = 1e6)
        Double cableWorthPerDb,

        @NotNull(message = "must be given") @Within(what = "cost of a dB of antenna gain", min = 0, max = 1e6)
        Double gainCostPerDb,

        @NotNull(message = "must be given") @Within(what = "cost of a dB of power", min = 0, max = 1e6)
        Double powerCostPerDb,

        @NotNull(message = "must be given") @Valid Tolerances tolerances,
        @NotNull(message = "must be given") @Valid Upkeep upkeep,
        @Nullable @PlainText(max = 500) String instrumentHosts,
        @NotNull(message = "must be given") Palette palette,
        @NotNull(message = "must be given") Boolean letterShortcuts,
        @NotNull(message = "must be given") Boolean demoHidden,

        @Size(max = 500, message = "must be at most {max} prices")
        List<@Valid @NotNull(message = "must be a price, not null") OwnPrice> ownPrices,

        @Size(max = 10, message = "must be at most {max} columns")
        List<@NotNull(message = "must be a column, not null") LedgerColumn> ledgerColumns) {

    public Settings {
        ownPrices = ownPrices == null ? List.of() : Collections.unmodifiableList(ownPrices);
        ledgerColumns = ledgerColumns == null ? List.of() : Collections.unmodifiableList(ledgerColumns);
    }

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
            20.0,
            20.0,
            20.0,
            new Tolerances(10.0, 5.0, 5.0, 30.0),
            new Upkeep(12, 20, 5, 25.0, 0.3, 1.0),
            null,
            Palette.SYSTEM,
            true,
            false,
            List.of(),
            List.of());

    /**
     * A price of the operator's own.
     *
     * @param of what it is the price of
     * @param key of the cable type or of the connector
     * @param amount of a cable per metre, of a connector each
     * @param currency ISO 4217
     * @param pricedOn the day it was asked or paid
     * @param soldInM whole lengths that a cable is sold in; null for by the metre
     */
    public record OwnPrice(
            @NotNull(message = "must be given") PricedKind of,

            @NotNull(message = "must be given") @PlainText(max = 64)
            String key,

            @NotNull(message = "must be given") @Within(what = "price", min = 0, max = 1e6)
            Double amount,

            @NotNull(message = "must be given") @CurrencyCode
            String currency,

            @NotNull(message = "must be given") LocalDate pricedOn,

            @Nullable @Within(what = "length it is sold in, in m", min = 0.1, max = 10_000)
            Double soldInM) {}

    /** What may have a price of one's own. */
    @Schema(name = "PricedKind", enumAsRef = true)
    public enum PricedKind {
        CABLE,
        CONNECTOR
    }

    /** The price of one's own for a cable type or a connector; empty where there is none. */
    public Optional<OwnPrice> ownPrice(PricedKind of, String key) {
        return ownPrices.stream()
                .filter(p -> p.of() == of && p.key().equals(key))
                .findFirst();
    }

    /** By where the figures of a cable come from, in percent of its attenuation, to either side. */
    public record Tolerances(
            @NotNull(message = "must be given") @Within(what = TOLERANCE, min = 0, max = 90)
            Double typicalPercent,

            @NotNull(message = "must be given") @Within(what = TOLERANCE, min = 0, max = 90)
            Double sheetPercent,

            @NotNull(message = "must be given") @Within(what = TOLERANCE, min = 0, max = 90)
            Double measuredPercent,

            @NotNull(message = "must be given") @Within(what = TOLERANCE, min = 0, max = 90)
            Double guessedPercent) {

        private static final String TOLERANCE = "tolerance in percent";
    }

    /**
     * How pieces are looked after.
     *
     * @param months after which a piece is tested again
     * @param outings likewise
     * @param hardOutings likewise, of those on which it was wet, frozen or trodden on
     * @param retirePercent a piece has had its day when it loses so many percent more than at its first test
     * @param retireAndDb and so many dB
     * @param retireOrDb or so many dB, whatever the percent
     */
    public record Upkeep(
            @NotNull(message = "must be given") @Within(what = "months", min = 1, max = 240)
            Integer months,

            @NotNull(message = "must be given") @Within(what = "outings", min = 1, max = 1000)
            Integer outings,

            @NotNull(message = "must be given") @Within(what = "hard outings", min = 1, max = 1000)
            Integer hardOutings,

            @NotNull(message = "must be given") @Within(what = "percent over the first test", min = 1, max = 1000)
            Double retirePercent,

            @NotNull(message = "must be given") @Within(what = "dB over the first test", min = 0, max = 60)
            Double retireAndDb,

            @NotNull(message = "must be given") @Within(what = "dB over the first test", min = 0.01, max = 60)
            Double retireOrDb) {

        public TestAgain.Intervals intervals() {
            return new TestAgain.Intervals(months, outings, hardOutings);
        }

        public Ageing.RetirementLimit limit() {
            return new Ageing.RetirementLimit(retirePercent, retireAndDb, retireOrDb);
        }
    }

    /** Without what is nobody's concern who came by a link to a plan: where instruments stand. */
    Settings forVisitors() {
        return with(version, null);
    }

    /** Whether another says the same, whichever version of the settings it is. */
    public boolean saysTheSameAs(Settings other) {
        return atVersion(0).equals(other.atVersion(0));
    }

    Settings atVersion(long now) {
        return with(now, instrumentHosts);
    }

    private Settings with(long now, @Nullable String hosts) {
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
                cableWorthPerDb,
                gainCostPerDb,
                powerCostPerDb,
                tolerances,
                upkeep,
                hosts,
                palette,
                letterShortcuts,
                demoHidden,
                ownPrices,
                ledgerColumns);
    }

    /** The ways to read a power. */
    @Schema(name = "Reading", enumAsRef = true)
    public enum Reading {
        WATTS,
        PERCENT,
        DB,
        S_UNITS
    }

    /** Columns of the ledger that may be there or not. */
    @Schema(name = "LedgerColumn", enumAsRef = true)
    public enum LedgerColumn {
        /** What is lost on the band in focus, in percent. */
        LOST,
        MASS,
        ACROSS
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
