package org.eskiz.server.catalogue;

import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.eskiz.core.cable.AttenuationPoint;
import org.eskiz.core.cable.Cable;
import org.eskiz.core.cable.Jacket;
import org.eskiz.server.operator.Settings;

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

    /** At the operator's own price where there is one; a sample in the operator's currency. */
    CableType pricedFor(Settings settings) {
        Price price = facts.price() == null ? Price.UNKNOWN : facts.price();
        Price shown = settings.ownPrice(Settings.PricedKind.CABLE, key)
                .map(price::replacedBy)
                .orElseGet(() -> price.shownIn(settings.currency()));
        return shown.equals(price)
                ? this
                : new CableType(
                        key,
                        builtIn,
                        revision,
                        revisionId,
                        revisedAt,
                        facts.at(shown),
                        fittedCable,
                        worstRelativeResidual);
    }

    /** Whether each of some words, in small letters, stands in its name, key, family or jacket. */
    public boolean isFound(List<String> words) {
        String text = (facts.name() + " " + key + " " + facts.family() + " "
                        + Objects.requireNonNullElse(facts.construction().jacket(), ""))
                .toLowerCase(Locale.ROOT);
        return words.stream().allMatch(text::contains);
    }

    /** What the computation makes of it on a dry or on a wet day. */
    public Cable cableOn(boolean isWet) {
        Double times = facts.construction().wetTimes();
        return isWet && times != null ? fittedCable.withAttenuationScaledBy(times) : fittedCable;
    }

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
            Source source,
            Construction construction,
            Mechanics mechanics,
            Ratings ratings,
            Price price,
            String note,
            List<AttenuationPoint> points) {

        Facts at(Price other) {
            return new Facts(name, family, source, construction, mechanics, ratings, other, note, points);
        }

        /** Whether the jacket bears standing in the wet; null where not known. */
        public Boolean keepsWaterOut() {
            return Boolean.TRUE.equals(mechanics.directBurial())
                    ? Boolean.TRUE
                    : Optional.ofNullable(construction.jacket())
                            .flatMap(Jacket::keepsWaterOut)
                            .orElse(null);
        }
    }
}
