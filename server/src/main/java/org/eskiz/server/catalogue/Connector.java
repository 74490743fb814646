package org.eskiz.server.catalogue;

import java.math.BigDecimal;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/**
 * A kind of connector; figures are those of one mated pair: of what came with Eskiz they are typical, and the price is a
 * sample.
 *
 * @param c1DbPerSqrtMHz loss of a mated pair is c1·√f + c2·f² dB, f in MHz
 * @param averagePowerW at {@code ratedAtMHz}; it falls as one over the square root of frequency; null where not known
 * @param fitsLeastMm least outer diameter of a cable it fits; null for any
 * @param lossDb of a mated pair at {@code lossAtMHz}, for whoever wants one number
 * @param price null where not known
 * @param pricedOn day of the price; null where not known
 * @param revision of one's own: grows with every change
 * @param retired whether it is not offered any more
 */
public record Connector(
        String key,
        int revision,
        String name,
        double impedanceOhm,
        double c1DbPerSqrtMHz,
        double c2DbPerMHz2,
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
        @Nullable LocalDate pricedOn,
        @Nullable String note,
        boolean builtIn,
        boolean retired) {}
