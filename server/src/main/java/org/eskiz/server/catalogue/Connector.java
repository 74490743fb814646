package org.eskiz.server.catalogue;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.Optional;
import org.eskiz.core.cable.Bump;
import org.eskiz.core.cable.InsertionLoss;
import org.eskiz.server.operator.Settings;
import org.jspecify.annotations.Nullable;

/**
 * A kind of connector; figures are those of one mated pair: of what came with Eskiz they are typical, and the price is a
 * sample.
 *
 * @param impedanceOhm null for one that stands in that of its line
 * @param c1DbPerSqrtMHz loss of a mated pair is c1·√f + c2·f² dB, f in MHz
 * @param bumpOhm where it is not of constant impedance: that of a short length in it; null for none
 * @param bumpMm the length, as light travels; null likewise
 * @param averagePowerW at {@code ratedAtMHz}; it falls as one over the square root of frequency; null where not known
 * @param fitsLeastMm least outer diameter of a cable it fits; null for any
 * @param lossDb of a mated pair at {@code lossAtMHz}, for whoever wants one number
 * @param price null where not known
 * @param priceIsSample whether it is an invented price to try things with
 * @param pricedOn day of the price; null where not known
 * @param revision grows with every change
 * @param retired whether it is not offered any more
 */
public record Connector(
        String key,
        int revision,
        String name,
        @Nullable Double impedanceOhm,
        double c1DbPerSqrtMHz,
        double c2DbPerMHz2,
        @Nullable Double bumpOhm,
        @Nullable Double bumpMm,
        double maxMHz,
        double lossDb,
        double lossAtMHz,
        double peakVoltageV,
        @Nullable Double averagePowerW,
        @Nullable Double ratedAtMHz,
        boolean watertight,
        @Nullable Double fitsLeastMm,
        @Nullable Double fitsMostMm,
        @Nullable BigDecimal price,
        @Nullable String priceCurrency,
        boolean priceIsSample,
        @Nullable LocalDate pricedOn,
        @Nullable String note,
        boolean builtIn,
        boolean retired) {

    /** At the operator's own price where there is one; a sample in the operator's currency. */
    Connector pricedFor(Settings settings) {
        return settings.ownPrice(Settings.PricedKind.CONNECTOR, key)
                .map(own -> at(BigDecimal.valueOf(own.amount()), own.currency(), false, own.pricedOn()))
                .orElseGet(() -> priceIsSample ? at(price, settings.currency(), true, pricedOn) : this);
    }

    private Connector at(BigDecimal otherPrice, String currency, boolean isSample, LocalDate on) {
        return new Connector(
                key,
                revision,
                name,
                impedanceOhm,
                c1DbPerSqrtMHz,
                c2DbPerMHz2,
                bumpOhm,
                bumpMm,
                maxMHz,
                lossDb,
                lossAtMHz,
                peakVoltageV,
                averagePowerW,
                ratedAtMHz,
                watertight,
                fitsLeastMm,
                fitsMostMm,
                otherPrice,
                currency,
                isSample,
                on,
                note,
                builtIn,
                retired);
    }

    /** What a mated pair turns into heat. */
    public InsertionLoss loss() {
        return new InsertionLoss.MatedPair(c1DbPerSqrtMHz, c2DbPerMHz2, maxMHz);
    }

    /** What it reflects; empty where it is of constant impedance. */
    public Optional<Bump> bump() {
        return bumpOhm == null || bumpMm == null ? Optional.empty() : Optional.of(new Bump(bumpOhm, bumpMm));
    }
}
