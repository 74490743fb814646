package org.eskiz.server.bench;

import java.util.List;
import java.util.Optional;
import org.eskiz.core.bench.MeasuredTolerance;
import org.eskiz.server.bench.BenchAnalysisResponse.OwnCableResponse;
import org.eskiz.server.catalogue.CableType;
import org.eskiz.server.catalogue.CableTypeRequest;
import org.eskiz.server.catalogue.CableTypeRequest.CablePriceRequest;
import org.eskiz.server.catalogue.Catalogue;
import org.eskiz.server.catalogue.Construction;
import org.eskiz.server.catalogue.Mechanics;
import org.eskiz.server.catalogue.Provenance;
import org.eskiz.server.catalogue.Ratings;
import org.eskiz.server.catalogue.Source;
import org.eskiz.server.problem.InvalidRequestException;

/** A cable type made of a test. */
final class MeasuredCableType {

    private static final int LONGEST_TITLE = 120;

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
        Construction made = tested.map(t -> t.facts().construction()).orElse(Construction.UNKNOWN);
        BenchAnalysisResponse.SweptLineResponse line = analysis.line();
        Double ohm = measured(line == null ? null : line.impedanceOhm(), made.impedanceOhm(), "impedance");
        Double factor = measured(line == null ? null : line.velocityFactor(), made.velocityFactor(), "velocity factor");
        CableTypeRequest base = tested.map(CableTypeRequest::of).orElse(null);
        return new CableTypeRequest(
                null,
                null,
                asked.name(),
                base == null ? null : base.family(),
                source(noted, tested, law),
                made.measuredAs(ohm, factor),
                base == null ? Mechanics.UNKNOWN : base.mechanics(),
                base == null ? Ratings.UNKNOWN : base.ratings(),
                base == null ? CablePriceRequest.UNKNOWN : base.price(),
                base == null ? null : base.note(),
                points(law));
    }

    private static Source source(BenchTestRequest noted, Optional<CableType> tested, OwnCableResponse law) {
        Optional<Source> ofType = tested.map(t -> t.facts().source());
        return new Source(
                Provenance.MEASURED,
                title(noted),
                noted.testedOn(),
                ofType.map(Source::ofMechanics).orElse(null),
                ofType.map(Source::ofRatings).orElse(null),
                withinPercent(law));
    }

    private static Double withinPercent(OwnCableResponse law) {
        return MeasuredTolerance.of(law.points().stream()
                        .mapToDouble(p -> p.uncertaintyDbPer100m() / p.attenuationDbPer100m())
                        .toArray())
                .stream()
                .mapToObj(share -> 100 * share)
                .findFirst()
                .orElse(null);
    }

    private static List<CableTypeRequest.SheetPointRequest> points(OwnCableResponse law) {
        return law.points().stream()
                .map(p -> new CableTypeRequest.SheetPointRequest(p.frequencyMHz(), p.attenuationDbPer100m()))
                .toList();
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
