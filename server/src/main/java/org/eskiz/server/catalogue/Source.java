package org.eskiz.server.catalogue;

import static java.util.Objects.requireNonNullElse;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import org.eskiz.server.problem.PlainText;
import org.eskiz.server.problem.Within;

/**
 * Where the figures of a type come from; null where nobody said.
 *
 * @param provenance of its attenuation
 * @param sourceTitle of the data sheet
 * @param sourceDate of the data sheet
 * @param mechanicsProvenance null where it is that of its attenuation, so that saying it or not is the same
 * @param ratingsProvenance likewise
 * @param withinPercent how far its attenuation may be off what is said of it, with 95 %; null for as far as its provenance lets one
 *     expect
 */
@Embeddable
public record Source(
        @NotNull(message = "must be given") @Enumerated(EnumType.STRING)
        Provenance provenance,

        @PlainText(max = 300) String sourceTitle,
        LocalDate sourceDate,
        @Enumerated(EnumType.STRING) Provenance mechanicsProvenance,
        @Enumerated(EnumType.STRING) Provenance ratingsProvenance,

        @Within(what = "tolerance of its attenuation in percent", min = 0.1, max = 90)
        Double withinPercent) {

    public Source {
        mechanicsProvenance = mechanicsProvenance == provenance ? null : mechanicsProvenance;
        ratingsProvenance = ratingsProvenance == provenance ? null : ratingsProvenance;
    }

    /** Nothing is said but where its attenuation comes from. */
    public static Source of(Provenance provenance) {
        return new Source(provenance, null, null, null, null, null);
    }

    /** The same with how far its attenuation may be off, as a fraction; null for as far as its provenance lets one expect. */
    public Source within(Double tolerance) {
        return new Source(
                provenance,
                sourceTitle,
                sourceDate,
                mechanicsProvenance,
                ratingsProvenance,
                tolerance == null ? null : 100 * tolerance);
    }

    /** Of what can be held in the hand. */
    public Provenance ofMechanics() {
        return requireNonNullElse(mechanicsProvenance, provenance);
    }

    /** Of what it bears. */
    public Provenance ofRatings() {
        return requireNonNullElse(ratingsProvenance, provenance);
    }
}
