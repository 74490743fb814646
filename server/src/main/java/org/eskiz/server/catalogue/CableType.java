package org.eskiz.server.catalogue;

import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.eskiz.core.cable.AttenuationPoint;
import org.eskiz.core.cable.Cable;

/**
 * A cable type as one revision of it says.
 *
 * @param key never changes
 * @param builtIn whether it came with the application
 * @param revision number of the revision, from 1
 * @param revisionId identifies it for decisions
 * @param facts what the revision says
 * @param fittedCable what the computation makes of it
 * @param worstRelativeResidual how far the fitted law misses a row of the sheet at most
 */
public record CableType(
        String key,
        boolean builtIn,
        int revision,
        UUID revisionId,
        Instant revisedAt,
        Facts facts,
        Cable fittedCable,
        double worstRelativeResidual) {

    /**
     * What is known of a type. Two revisions with equal facts say the same.
     *
     * @param price null where not known
     * @param note what an operator should know before buying it; null for nothing
     * @param points rows of the data sheet, by frequency
     */
    public record Facts(
            String name,
            String family,
            Provenance provenance,
            double impedanceOhm,
            double velocityFactor,
            boolean balanced,
            Mechanics mechanics,
            Ratings ratings,
            Price price,
            Source source,
            String note,
            List<AttenuationPoint> points) {}

    /** What can be held in the hand; null where not known. */
    public record Mechanics(
            Double outerDiameterMm,
            Double massGPerM,
            Double bendRadiusOnceMm,
            Double bendRadiusRepeatedMm,
            String jacket,
            String centreConductor,
            String shield,
            String dielectric,
            Double minInstallC,
            Double minOperatingC,
            Double maxOperatingC,
            Boolean directBurial,
            Boolean sunResistant,
            Flexing flexing) {

        /** Whether the jacket bears standing in the wet; null where not known. */
        public Boolean keepsWaterOut() {
            return Boolean.TRUE.equals(directBurial) ? Boolean.TRUE : Jacket.keepsWaterOut(jacket);
        }
    }

    /** What it bears; null where not known. */
    public record Ratings(Double peakVoltageV, Double averagePowerW, double atMHz, double atC) {}

    /**
     * Where its figures are written; null where not said.
     *
     * @param title of the data sheet
     * @param date of the data sheet
     * @param mechanics where its mechanics come from; null where from the same as its attenuation
     * @param ratings where its ratings come from; likewise
     */
    public record Source(String title, LocalDate date, Provenance mechanics, Provenance ratings) {}

    /**
     * What a metre costs.
     *
     * @param perM decimal with four places, in the currency
     * @param currency ISO 4217
     * @param sample whether it is an invented price to try things with
     * @param on day of the price; null where not known
     * @param soldInM whole lengths it is sold in, a reel or cut lengths; null for by the metre
     */
    public record Price(BigDecimal perM, String currency, boolean sample, LocalDate on, Double soldInM) {}
}
