package org.eskiz.server.catalogue;

import java.math.BigDecimal;

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
        Double fitsLeastMm,
        Double fitsMostMm,
        BigDecimal price,
        String priceCurrency,
        String note) {}
