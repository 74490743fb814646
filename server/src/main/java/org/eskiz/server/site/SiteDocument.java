package org.eskiz.server.site;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;
import org.eskiz.server.problem.PlainText;
import org.eskiz.server.problem.ValidationErrors;
import org.eskiz.server.problem.Within;
import org.jspecify.annotations.Nullable;

/**
 * What is said of a site beside its plans.
 *
 * @param schemaVersion always {@link #SCHEMA_VERSION}
 * @param ducts what cables are drawn through
 * @param onMast how much of which run hangs on a mast
 * @param work hours of work, by a figure of one's own
 * @param reservePercent that every cut is longer
 * @param reels that are there already
 * @param offers reels that can be bought whole, at a price of their own
 * @param phased pairs of lines that are fed in phase
 * @param cutting what is cut from which reel, step by step; null until it is kept
 * @param done steps of the list that are ticked
 */
public record SiteDocument(
        @NotNull(message = "must be given") Integer schemaVersion,

        @Nullable @Size(max = 20, message = "must be at most {max} ducts")
        List<@Valid @NotNull(message = "must be a duct, not null") DuctSpec> ducts,

        @Nullable @Size(max = 40, message = "must be at most {max} runs")
        List<@Valid @NotNull(message = "must be a run, not null") OnMastSpec> onMast,

        @Nullable @Valid WorkSpec work,

        @Nullable @Within(what = "reserve in percent", min = 0, max = 50)
        Double reservePercent,

        @Nullable @Size(max = 50, message = "must be at most {max} reels")
        List<@Valid @NotNull(message = "must be a reel, not null") ReelSpec> reels,

        @Nullable @Size(max = 20, message = "must be at most {max} offers")
        List<@Valid @NotNull(message = "must be an offer, not null") OfferSpec> offers,

        @Nullable @Size(max = 10, message = "must be at most {max} pairs")
        List<@Valid @NotNull(message = "must be a pair, not null") PhasedSpec> phased,

        @Nullable @Valid CuttingSpec cutting,

        @Nullable @Size(max = 100, message = "must be at most {max} steps")
        List<@NotNull(message = "must be a step, not null") @PlainText(max = 60) String> done,

        @Nullable @PlainText(max = 4000) String note) {

    static final int SCHEMA_VERSION = 1;
    static final SiteDocument EMPTY =
            new SiteDocument(SCHEMA_VERSION, null, null, null, null, null, null, null, null, null, null);

    /** Refuses what cannot be stored or worked out. */
    static void check(SiteDocument document) {
        ValidationErrors errors = ValidationErrors.in(document);
        errors.throwIfAny();
        if (document.schemaVersion() != SCHEMA_VERSION) {
            errors.add(
                    "schemaVersion",
                    "must be %d, the only form known here, not %d".formatted(SCHEMA_VERSION, document.schemaVersion()));
            errors.throwIfAny();
        }
    }

    /**
     * A duct, a tube or a bore through a wall.
     *
     * @param boreMm its inner diameter
     * @param mostSharePercent of its area that is filled; null for what is usual
     * @param runs plans whose cables lie in it
     */
    public record DuctSpec(
            @NotNull(message = "must be given") @PlainText(max = 64, blank = false)
            String id,

            @NotNull(message = "must be given") @PlainText(max = 120)
            String name,

            @NotNull(message = "must be given") @Within(what = "bore in mm", min = 1, max = 10_000)
            Double boreMm,

            @Nullable @Within(what = "share of the bore in percent", min = 1, max = 100)
            Double mostSharePercent,

            @NotNull(message = "must be given") @Size(max = 40, message = "must be at most {max} runs")
            List<@NotNull(message = "must be a run, not null") UUID> runs) {}

    /** How much of a run hangs on a mast, from its antenna on. */
    public record OnMastSpec(
            @NotNull(message = "must be given") UUID run,

            @NotNull(message = "must be given") @Within(what = "length on the mast in m", min = 0, max = 1000)
            Double lengthM) {}

    /** Hours of work. */
    public record WorkSpec(
            @Nullable @Within(what = "hours a run", min = 0, max = 1000)
            Double hoursPerRun,

            @Nullable @Within(what = "hours a connector", min = 0, max = 100)
            Double hoursPerConnector,

            @Nullable @Within(what = "hours for 10 m", min = 0, max = 100)
            Double hoursPer10m) {}

    /** A reel that is there already. */
    public record ReelSpec(
            @NotNull(message = "must be given") @PlainText(max = 64, blank = false)
            String id,

            @NotNull(message = "must be given") @PlainText(max = 120)
            String name,

            @NotNull(message = "must be given") @PlainText(max = 64)
            String cableKey,

            @NotNull(message = "must be given") @Within(what = "length in m", min = 0.1, max = 10_000)
            Double lengthM) {}

    /**
     * A whole reel that can be bought; of a cable with several the first counts.
     *
     * @param price of the reel, in the currency that is paid in
     */
    public record OfferSpec(
            @NotNull(message = "must be given") @PlainText(max = 64, blank = false)
            String id,

            @NotNull(message = "must be given") @PlainText(max = 64)
            String cableKey,

            @NotNull(message = "must be given") @Within(what = "length in m", min = 0.1, max = 10_000)
            Double lengthM,

            @NotNull(message = "must be given") @Within(what = "price", min = 0, max = 1e6)
            Double price) {}

    /**
     * Two lines that are fed in phase, or with a stated difference.
     *
     * @param wantedDegrees by which the first shall be longer; null for 0
     * @param sameReel whether both are cut from one reel; null for yes
     * @param lengthOffMm by how much a cut may be off; null for 10
     * @param velocityOffPercent by how much the velocity factor may be off its sheet; null for 2
     * @param warmerK how much warmer one may lie than the other; null for 0
     * @param driftPpmPerK of the electrical length; null for 50
     * @param firstNs delay that was measured of the first; null before it was
     * @param secondNs likewise
     */
    public record PhasedSpec(
            @NotNull(message = "must be given") @PlainText(max = 64, blank = false)
            String id,

            @NotNull(message = "must be given") @PlainText(max = 120)
            String name,

            @NotNull(message = "must be given") UUID first,
            @NotNull(message = "must be given") UUID second,

            @NotNull(message = "must be given") @Within(what = "frequency in MHz", min = 0.1, max = 30_000)
            Double frequencyMHz,

            @Nullable @Within(what = "difference in degrees", min = -180, max = 180)
            Double wantedDegrees,

            @Nullable Boolean sameReel,

            @Nullable @Within(what = "tolerance of the cut in mm", min = 0, max = 1000)
            Double lengthOffMm,

            @Nullable @Within(what = "tolerance of the velocity factor in percent", min = 0, max = 20)
            Double velocityOffPercent,

            @Nullable @Within(what = "difference in temperature in K", min = 0, max = 150)
            Double warmerK,

            @Nullable @Within(what = "drift in ppm for each K", min = 0, max = 1000)
            Double driftPpmPerK,

            @Nullable @Within(what = "delay in ns", min = 0.01, max = 100_000)
            Double firstNs,

            @Nullable @Within(what = "delay in ns", min = 0.01, max = 100_000)
            Double secondNs) {}

    /** What is cut, reel by reel. */
    public record CuttingSpec(
            @NotNull(message = "must be given") @Size(max = 100, message = "must be at most {max} reels")
            List<@Valid @NotNull(message = "must be a reel, not null") BegunReelSpec> reels) {}

    /**
     * A reel and what is cut from it, from its free end on.
     *
     * @param cableKey null for a cable that is not of the catalogue
     */
    public record BegunReelSpec(
            @NotNull(message = "must be given") @PlainText(max = 120)
            String name,

            @Nullable @PlainText(max = 64) String cableKey,

            @NotNull(message = "must be given") @PlainText(max = 120)
            String cableName,

            @NotNull(message = "must be given") @Within(what = "length in m", min = 0.01, max = 10_000)
            Double lengthM,

            @NotNull(message = "must be given") Boolean bought,

            @NotNull(message = "must be given") @Size(max = 100, message = "must be at most {max} cuts")
            List<@Valid @NotNull(message = "must be a cut, not null") CutSpec> cuts) {}

    /**
     * A cut.
     *
     * @param run plan that it is for
     * @param done whether it is cut
     * @param pieceId what it is in the locker; null until it is put there
     */
    public record CutSpec(
            @NotNull(message = "must be given") @PlainText(max = 64, blank = false)
            String id,

            @NotNull(message = "must be given") @PlainText(max = 200)
            String name,

            @Nullable UUID run,

            @NotNull(message = "must be given") @Within(what = "length in m", min = 0.01, max = 10_000)
            Double lengthM,

            @Nullable Boolean done,
            @Nullable UUID pieceId) {}
}
