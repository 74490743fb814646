package org.eskiz.server.catalogue;

import jakarta.validation.constraints.NotNull;
import org.eskiz.server.http.CurrencyCode;
import org.eskiz.server.http.PlainText;
import org.eskiz.server.http.Within;

/**
 * What an operator says of a connector of their own; null where it is not known.
 *
 * @param lossDb of a mated pair at one frequency; it grows with the square root of it
 * @param lossAtMHz where it loses that
 * @param maxMHz up to which it is meant to be used
 * @param fitsLeastMm least outer diameter of a cable it fits; null for any
 */
public record ConnectorRequest(
        @NotNull(message = "must be given") @PlainText(max = 120, blank = false)
        String name,

        @NotNull(message = "must be given") @Within(what = "impedance in Ω", min = 1, max = 2000)
        Double impedanceOhm,

        @NotNull(message = "must be given") @Within(what = "loss in dB", min = 0, max = 60)
        Double lossDb,

        @NotNull(message = "must be given") @Within(what = "frequency of the loss in MHz", min = 0.1, max = 30_000)
        Double lossAtMHz,

        @NotNull(message = "must be given") @Within(what = "highest frequency in MHz", min = 0.1, max = 100_000)
        Double maxMHz,

        @NotNull(message = "must be given") @Within(what = "peak voltage in V", min = 1, max = 1e6)
        Double peakVoltageV,

        Boolean watertight,

        @Within(what = "diameter in mm", min = 0.1, max = 1000)
        Double fitsLeastMm,

        @Within(what = "diameter in mm", min = 0.1, max = 1000)
        Double fitsMostMm,

        @Within(what = "price", min = 0, max = 1e6) Double price,
        @CurrencyCode String priceCurrency,
        @PlainText(max = 2000) String note) {}
