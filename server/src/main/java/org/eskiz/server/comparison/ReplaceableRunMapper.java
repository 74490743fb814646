package org.eskiz.server.comparison;

import static java.util.Objects.requireNonNullElse;

import java.math.BigDecimal;
import java.util.Currency;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.eskiz.core.choice.Allowances;
import org.eskiz.core.choice.Money;
import org.eskiz.core.choice.Purchase;
import org.eskiz.core.choice.ReplaceableRun;
import org.eskiz.core.choice.Supply;
import org.eskiz.server.catalogue.Catalogue;
import org.eskiz.server.catalogue.Connector;
import org.eskiz.server.catalogue.Provenance;
import org.eskiz.server.catalogue.Source;
import org.eskiz.server.document.DocumentMapper;
import org.eskiz.server.document.MoneySpec;
import org.eskiz.server.document.PurchaseSpec;
import org.eskiz.server.document.RatingsMapper;
import org.eskiz.server.document.RequirementSpec;
import org.eskiz.server.document.RequirementSpec.Kind;
import org.eskiz.server.document.RunElement;
import org.eskiz.server.document.ToleranceSpec;

/** Reads where the candidates go, and how they are bought. */
final class ReplaceableRunMapper {

    private final ComparisonRequest request;
    private final CandidateMapper candidates;
    private final Catalogue catalogue;
    private final RatingsMapper ratings;
    private final ToleranceSpec tolerance;

    ReplaceableRunMapper(ComparisonRequest request, CandidateMapper candidates, Catalogue catalogue) {
        this.request = request;
        this.candidates = candidates;
        this.catalogue = catalogue;
        this.ratings = new RatingsMapper(catalogue);
        this.tolerance = requireNonNullElse(request.tolerance(), ToleranceSpec.USUAL);
    }

    ReplaceableRun place() {
        return new ReplaceableRun(
                new DocumentMapper(catalogue).run(request.assessment()),
                candidates.sections(),
                request.run().stream().map(this::known).toList(),
                socketsFit(),
                mastM());
    }

    private ReplaceableRun.Known known(RunElement element) {
        return new ReplaceableRun.Known(
                ratings.of(element),
                tolerance(element),
                element.isBalancedIn(catalogue),
                element instanceof RunElement.Joint,
                connector(element),
                supply(element));
    }

    private Supply supply(RunElement element) {
        return new Supply(
                element.isOwned(),
                element instanceof RunElement.Joint joint && Boolean.TRUE.equals(joint.barrel()),
                Optional.ofNullable(element.price()).map(ReplaceableRunMapper::money),
                element instanceof RunElement.Line line ? candidates.ofLine(line) : Optional.empty());
    }

    private double tolerance(RunElement element) {
        if (!(element instanceof RunElement.Line line)) {
            return 0;
        }
        return tolerance.of(
                line.cable() != null
                        ? line.cable().source()
                        : line.typeIn(catalogue).map(t -> t.facts().source()).orElse(Source.of(Provenance.SHEET)));
    }

    private Optional<ReplaceableRun.Connector> connector(RunElement element) {
        return element instanceof RunElement.Joint joint && joint.connectorKey() != null
                ? catalogue.connector(joint.connectorKey()).map(ReplaceableRunMapper::connector)
                : Optional.empty();
    }

    private static ReplaceableRun.Connector connector(Connector c) {
        return new ReplaceableRun.Connector(
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

    private static boolean fits(String socketKey, RunElement end) {
        return socketKey == null || end instanceof RunElement.Joint joint && socketKey.equals(joint.connectorKey());
    }

    private OptionalDouble mastM() {
        return requirements()
                .filter(r -> r.kind() == Kind.MOST_MASS_ON_MAST)
                .mapToDouble(RequirementSpec::mastM)
                .findFirst();
    }

    Purchase purchase() {
        PurchaseSpec asked = requireNonNullElse(request.purchase(), new PurchaseSpec(null, null, null));
        return new Purchase(
                requireNonNullElse(asked.times(), 1),
                Optional.ofNullable(asked.readyMadeEnd()).map(ReplaceableRunMapper::money),
                requirements()
                        .filter(r -> r.kind() == Kind.BUDGET && r.currency() != null)
                        .map(r -> Currency.getInstance(r.currency()))
                        .findFirst(),
                catalogue.currency(),
                asked.allowances() == null
                        ? Allowances.NONE
                        : asked.allowances().allowances());
    }

    private Stream<RequirementSpec> requirements() {
        return request.requirements() == null
                ? Stream.empty()
                : request.requirements().stream().filter(RequirementSpec::stands);
    }

    static Money money(MoneySpec amount) {
        return new Money(BigDecimal.valueOf(amount.amount()), Currency.getInstance(amount.currency()));
    }

    private static OptionalDouble optional(Double value) {
        return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
    }
}
