package org.eskiz.server.assessment;

import static java.util.Objects.requireNonNullElse;

import java.math.BigDecimal;
import java.util.Currency;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.eskiz.core.choice.Money;
import org.eskiz.core.choice.Place;
import org.eskiz.core.choice.Purchase;
import org.eskiz.server.assessment.RequirementRequest.Kind;
import org.eskiz.server.catalogue.CableType;
import org.eskiz.server.catalogue.Catalogue;
import org.eskiz.server.catalogue.Connector;
import org.eskiz.server.catalogue.Provenance;

/** Reads where the candidates go, and how they are bought. */
final class PlaceReading {

    private final ComparisonRequest request;
    private final Catalogue catalogue;
    private final RatingsReading ratings;
    private final ToleranceRequest tolerance;

    PlaceReading(ComparisonRequest request, Catalogue catalogue) {
        this.request = request;
        this.catalogue = catalogue;
        this.ratings = new RatingsReading(catalogue);
        this.tolerance = requireNonNullElse(request.tolerance(), ToleranceRequest.USUAL);
    }

    Place place(List<Integer> sections) {
        return new Place(
                new CoreReading(catalogue).run(request.assessment()),
                sections,
                request.run().stream().map(this::known).toList(),
                socketsFit(),
                mastM());
    }

    private Place.Known known(ElementRequest element) {
        return new Place.Known(ratings.of(element), tolerance(element), connector(element));
    }

    private double tolerance(ElementRequest element) {
        if (!(element instanceof ElementRequest.Line line)) {
            return 0;
        }
        Optional<CableType> type = line.typeIn(catalogue);
        return tolerance.of(type.map(t -> t.facts().provenance()).orElse(Provenance.SHEET));
    }

    private Optional<Place.Connector> connector(ElementRequest element) {
        return element instanceof ElementRequest.Joint joint && joint.connectorKey() != null
                ? catalogue.connector(joint.connectorKey()).map(PlaceReading::connector)
                : Optional.empty();
    }

    private static Place.Connector connector(Connector c) {
        return new Place.Connector(
                Optional.ofNullable(c.price()).map(p -> new Money(p, Currency.getInstance(c.priceCurrency()))),
                optional(c.fitsLeastMm()),
                optional(c.fitsMostMm()));
    }

    /** What stands first and last in the run, against what radio and antenna take. */
    private Optional<Boolean> socketsFit() {
        return requirements()
                .filter(r -> r.kind() == Kind.CONNECTORS)
                .findFirst()
                .filter(r -> r.radioSocketKey() != null || r.antennaSocketKey() != null)
                .map(r -> fits(r.radioSocketKey(), request.run().get(0))
                        && fits(
                                r.antennaSocketKey(),
                                request.run().get(request.run().size() - 1)));
    }

    private static boolean fits(String socketKey, ElementRequest end) {
        return socketKey == null || end instanceof ElementRequest.Joint joint && socketKey.equals(joint.connectorKey());
    }

    private OptionalDouble mastM() {
        return requirements()
                .filter(r -> r.kind() == Kind.MOST_MASS_ON_MAST)
                .mapToDouble(RequirementRequest::mastM)
                .findFirst();
    }

    Purchase purchase() {
        PurchaseRequest asked = requireNonNullElse(request.purchase(), new PurchaseRequest(null, null));
        return new Purchase(
                requireNonNullElse(asked.times(), 1),
                Optional.ofNullable(asked.readyMadeEnd()).map(PlaceReading::money),
                requirements()
                        .filter(r -> r.kind() == Kind.BUDGET && r.currency() != null)
                        .map(r -> Currency.getInstance(r.currency()))
                        .findFirst());
    }

    private Stream<RequirementRequest> requirements() {
        return request.requirements() == null
                ? Stream.empty()
                : request.requirements().stream().filter(RequirementRequest::isOn);
    }

    static Money money(AmountRequest amount) {
        return new Money(BigDecimal.valueOf(amount.amount()), Currency.getInstance(amount.currency()));
    }

    private static OptionalDouble optional(Double value) {
        return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
    }
}
