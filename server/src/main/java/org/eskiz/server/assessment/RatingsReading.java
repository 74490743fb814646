package org.eskiz.server.assessment;

import static java.util.Objects.requireNonNullElse;

import java.util.Optional;
import java.util.OptionalDouble;
import org.eskiz.core.cable.AveragePower;
import org.eskiz.core.cable.ConnectorPower;
import org.eskiz.core.cable.Ratings;
import org.eskiz.server.catalogue.CableType;
import org.eskiz.server.catalogue.Catalogue;
import org.eskiz.server.catalogue.Connector;

/** What the parts of a run bear, as the catalogue or the request says. */
final class RatingsReading {

    private final Catalogue catalogue;

    RatingsReading(Catalogue catalogue) {
        this.catalogue = catalogue;
    }

    Ratings of(ElementRequest element) {
        if (element instanceof ElementRequest.Line line) {
            return of(line);
        }
        return element instanceof ElementRequest.Joint joint ? of(joint) : Ratings.UNKNOWN;
    }

    Ratings of(ElementRequest.Line line) {
        return line.cable() != null
                ? written(line.cable().ratings())
                : typical(line.typeIn(catalogue).orElseThrow().facts());
    }

    Ratings of(ElementRequest.Joint joint) {
        return joint.connectorKey() == null
                ? Ratings.UNKNOWN
                : catalogue
                        .connector(joint.connectorKey())
                        .map(c -> Ratings.ofConnector(power(c), OptionalDouble.of(c.peakVoltageV())))
                        .orElse(Ratings.UNKNOWN);
    }

    private static Optional<ConnectorPower> power(Connector c) {
        return c.averagePowerW() == null || c.ratedAtMHz() == null
                ? Optional.empty()
                : Optional.of(new ConnectorPower(c.averagePowerW(), c.ratedAtMHz()));
    }

    static Ratings typical(CableType.Facts facts) {
        return ratings(
                facts.ratings().averagePowerW(),
                facts.ratings().atMHz(),
                facts.ratings().atC(),
                facts.mechanics().maxOperatingC(),
                facts.ratings().peakVoltageV());
    }

    static Ratings written(CableRequest.RatingsRequest ratings) {
        return ratings == null
                ? Ratings.UNKNOWN
                : ratings(
                        ratings.averagePowerW(),
                        requireNonNullElse(ratings.frequencyMHz(), AveragePower.USUAL_FREQUENCY_MHZ),
                        requireNonNullElse(ratings.ambientC(), AveragePower.USUAL_AMBIENT_C),
                        ratings.maxOperatingC(),
                        ratings.peakVoltageV());
    }

    private static Ratings ratings(Double powerW, double atMHz, double atC, Double maxC, Double peakV) {
        Optional<AveragePower> average = powerW == null || maxC == null
                ? Optional.empty()
                : Optional.of(new AveragePower(powerW, atMHz, atC, maxC));
        return Ratings.ofLine(average, peakV == null ? OptionalDouble.empty() : OptionalDouble.of(peakV));
    }
}
