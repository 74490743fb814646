package org.eskiz.server.catalogue;

import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import org.eskiz.server.problem.CurrencyCode;
import org.eskiz.server.problem.PlainText;
import org.eskiz.server.problem.Within;

/**
 * What an operator says of a connector of their own; null where it is not known. Its loss is said as one figure at one
 * frequency, or as the two coefficients of {@code c1·√f + c2·f²}.
 *
 * @param key to find it by; null for one made from the name
 * @param revision that the change starts from; null to write whatever was there
 * @param lossDb of a mated pair at one frequency; it grows with the square root of it
 * @param lossAtMHz where it loses that
 * @param impedanceOhm null for one that stands in that of its line
 * @param bumpOhm where it is not of constant impedance: that of a short length in it; goes with {@code bumpMm}
 * @param bumpMm the length, as light travels
 * @param maxMHz up to which it is meant to be used
 * @param averagePowerW at {@code ratedAtMHz}; the two go together
 * @param fitsLeastMm least outer diameter of a cable it fits; null for any
 */
public record ConnectorRequest(
        @PlainText(max = 60) String key,

        @Within(what = "revision", min = 0, max = Integer.MAX_VALUE)
        Integer revision,

        @NotNull(message = "must be given") @PlainText(max = 120, blank = false)
        String name,

        @Within(what = "impedance in Ω", min = 1, max = 2000)
        Double impedanceOhm,

        @Within(what = "loss in dB", min = 0, max = 60) Double lossDb,

        @Within(what = "frequency of the loss in MHz", min = 0.1, max = 30_000)
        Double lossAtMHz,

        @Within(what = "loss in dB per √MHz", min = 0, max = 60)
        Double c1DbPerSqrtMHz,

        @Within(what = "loss in dB per MHz²", min = 0, max = 60)
        Double c2DbPerMHz2,

        @Within(what = "impedance of the bump in Ω", min = 1, max = 2000)
        Double bumpOhm,

        @Within(what = "length of the bump in mm", min = 0, max = 1000)
        Double bumpMm,

        @NotNull(message = "must be given") @Within(what = "highest frequency in MHz", min = 0.1, max = 100_000)
        Double maxMHz,

        @NotNull(message = "must be given") @Within(what = "peak voltage in V", min = 1, max = 1e6)
        Double peakVoltageV,

        @Within(what = "average power in W", min = 1e-3, max = 1e7)
        Double averagePowerW,

        @Within(what = "frequency of the rating in MHz", min = 0.1, max = 30_000)
        Double ratedAtMHz,

        Boolean watertight,

        @Within(what = "diameter in mm", min = 0.1, max = 1000)
        Double fitsLeastMm,

        @Within(what = "diameter in mm", min = 0.1, max = 1000)
        Double fitsMostMm,

        @Within(what = "price", min = 0, max = 1e6) Double price,
        @CurrencyCode String priceCurrency,
        LocalDate pricedOn,
        @PlainText(max = 2000) String note) {

    /** What is stored of a connector, as somebody would have to say it. */
    static ConnectorRequest of(Connector c) {
        return new ConnectorRequest(
                c.key(),
                null,
                c.name(),
                c.impedanceOhm(),
                null,
                null,
                c.c1DbPerSqrtMHz(),
                c.c2DbPerMHz2(),
                c.bumpOhm(),
                c.bumpMm(),
                c.maxMHz(),
                c.peakVoltageV(),
                c.averagePowerW(),
                c.ratedAtMHz(),
                c.watertight(),
                c.fitsLeastMm(),
                c.fitsMostMm(),
                c.price() == null ? null : c.price().doubleValue(),
                c.priceCurrency(),
                c.pricedOn(),
                c.note());
    }
}
