package org.eskiz.server.bench;

import java.util.List;
import java.util.Optional;
import org.eskiz.server.bench.BenchAnalysisResponse.OwnCableResponse;
import org.eskiz.server.catalogue.CableType;
import org.eskiz.server.catalogue.CableTypeRequest;
import org.eskiz.server.catalogue.Catalogue;
import org.eskiz.server.catalogue.CatalogueFile;
import org.eskiz.server.catalogue.Provenance;
import org.eskiz.server.problem.InvalidRequestException;

/** A cable type made of a test. */
final class MeasuredCableType {

    private static final int LONGEST_TITLE = 120;

    /** What is known of a type that nobody named. */
    private static final CableTypeRequest NOTHING_KNOWN = new CableTypeRequest(
            null, null, null, null, null, null, null, null, null, null, null, null, null, null, null, null, null, null,
            null, null, null, null, null, null, null, null, null, null, null, null, null, null, null, null, null,
            List.of());

    private MeasuredCableType() {}

    /**
     * Its losses and, after a sweep, its impedance and velocity are those measured; mechanics, ratings and price are those of
     * the type that was tested.
     *
     * @throws InvalidRequestException when the test has too little in it
     */
    static CableTypeRequest of(
            MadeTypeRequest asked, BenchTestRequest noted, BenchAnalysisResponse analysis, Catalogue catalogue) {
        OwnCableResponse law = Optional.ofNullable(analysis.ownCable())
                .orElseThrow(() -> new InvalidRequestException(
                        "id", "this test has too little in it: three frequencies and the length make a type"));
        Optional<CableType> tested =
                noted.cableKey() == null ? Optional.empty() : catalogue.cableType(noted.cableKey());
        CableTypeRequest base = tested.map(CatalogueFile::request).orElse(NOTHING_KNOWN);
        Double impedance = measured(
                analysis.line() == null ? null : analysis.line().impedanceOhm(), base.impedanceOhm(), "impedance");
        Double velocity = measured(
                analysis.line() == null ? null : analysis.line().velocityFactor(),
                base.velocityFactor(),
                "velocity factor");
        return new CableTypeRequest(
                null,
                null,
                asked.name(),
                base.family(),
                Provenance.MEASURED,
                title(noted),
                noted.testedOn(),
                tested.map(MeasuredCableType::mechanics).orElse(null),
                tested.map(MeasuredCableType::ratings).orElse(null),
                impedance,
                velocity,
                base.balanced(),
                base.outerDiameterMm(),
                base.massGPerM(),
                base.bendRadiusOnceMm(),
                base.bendRadiusRepeatedMm(),
                base.jacket(),
                base.centreConductor(),
                base.shield(),
                base.dielectric(),
                base.minInstallC(),
                base.minOperatingC(),
                base.maxOperatingC(),
                base.directBurial(),
                base.sunResistant(),
                base.flexing(),
                base.peakVoltageV(),
                base.averagePowerW(),
                base.ratedAtMHz(),
                base.ratedAtC(),
                base.pricePerM(),
                base.priceCurrency(),
                base.pricedOn(),
                base.soldInM(),
                base.note(),
                points(law));
    }

    private static List<CableTypeRequest.SheetPointRequest> points(OwnCableResponse law) {
        return law.points().stream()
                .map(p -> new CableTypeRequest.SheetPointRequest(p.frequencyMHz(), p.attenuationDbPer100m()))
                .toList();
    }

    private static Provenance mechanics(CableType tested) {
        Provenance own = tested.facts().source().mechanics();
        return own == null ? tested.facts().provenance() : own;
    }

    private static Provenance ratings(CableType tested) {
        Provenance own = tested.facts().source().ratings();
        return own == null ? tested.facts().provenance() : own;
    }

    private static String title(BenchTestRequest noted) {
        String title = "bench test" + (noted.piece() == null || noted.piece().isBlank() ? "" : " of " + noted.piece());
        return title.substring(0, Math.min(LONGEST_TITLE, title.length()));
    }

    private static Double measured(Double measured, Double ofType, String what) {
        if (measured == null && ofType == null) {
            throw new InvalidRequestException(
                    "id", "the %s is not known: say which type it is nearest to, or take a sweep".formatted(what));
        }
        return measured == null ? ofType : measured;
    }
}
