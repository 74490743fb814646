package org.eskiz.server.document;

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
public final class RatingsMapper {

    private final Catalogue catalogue;

    public RatingsMapper(Catalogue catalogue) {
        this.catalogue = catalogue;
    }

    public Ratings of(RunElement element) {
        if (element instanceof RunElement.Line line) {
            return of(line);
        }
        if (element instanceof RunElement.Joint joint) {
            return of(joint);
        }
        if (element instanceof RunElement.Device d) {
            return device(d.averagePowerW(), d.peakVoltageV());
        }
        if (element instanceof RunElement.Fork f) {
            return device(f.averagePowerW(), f.peakVoltageV());
        }
        return element instanceof RunElement.Transformer t
                ? device(t.averagePowerW(), t.peakVoltageV())
                : Ratings.UNKNOWN;
    }

    public Ratings of(RunElement.Line line) {
        return line.cable() != null
                ? written(line.cable().ratings())
                : typical(line.typeIn(catalogue).orElseThrow().facts());
    }

    public Ratings of(RunElement.Joint joint) {
        return joint.connectorKey() == null
                ? Ratings.UNKNOWN
                : catalogue
                        .connector(joint.connectorKey())
                        .map(c -> Ratings.ofConnector(power(c), OptionalDouble.of(c.peakVoltageV())))
                        .orElse(Ratings.UNKNOWN);
    }

    private static Ratings device(Double averagePowerW, Double peakVoltageV) {
        return Ratings.ofDevice(optional(averagePowerW), optional(peakVoltageV));
    }

    private static OptionalDouble optional(Double value) {
        return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
    }

    private static Optional<ConnectorPower> power(Connector c) {
        return c.averagePowerW() == null || c.ratedAtMHz() == null
                ? Optional.empty()
                : Optional.of(new ConnectorPower(c.averagePowerW(), c.ratedAtMHz()));
    }

    public static Ratings typical(CableType.Facts facts) {
        return ratings(
                facts.ratings().averagePowerW(),
                facts.ratings().ratedAtMHz(),
                facts.ratings().ratedAtC(),
                facts.mechanics().maxOperatingC(),
                facts.ratings().peakVoltageV());
    }

    public static Ratings written(CableSpec.RatingsRequest ratings) {
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
        return Ratings.ofLine(average, optional(peakV));
    }
}
