package org.eskiz.server.catalogue;

import java.math.BigDecimal;
import org.eskiz.server.http.OrNull;

/**
 * A kind of connector; figures are typical of one mated pair, the price is a sample.
 *
 * @param c1DbPerSqrtMHz loss of a mated pair is c1·√f + c2·f² dB, f in MHz
 * @param fitsLeastMm least outer diameter of a cable it fits; null for any
 */
public record Connector(
        String key,
        String name,
        double impedanceOhm,
        double c1DbPerSqrtMHz,
        double c2DbPerMHz2,
        double maxMHz,
        double peakVoltageV,
        boolean watertight,
        @OrNull Double fitsLeastMm,
        @OrNull Double fitsMostMm,
        BigDecimal price,
        String priceCurrency,
        @OrNull String note) {}
