package org.eskiz.server.comparison;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.eskiz.core.choice.Preference;
import org.eskiz.server.document.AssessmentSpec;
import org.eskiz.server.document.BandSpec;
import org.eskiz.server.document.CandidateSpec;
import org.eskiz.server.document.ExposureSpec;
import org.eskiz.server.document.PlanDocument;
import org.eskiz.server.document.PurchaseSpec;
import org.eskiz.server.document.RadioSpec;
import org.eskiz.server.document.Ranges;
import org.eskiz.server.document.ReceiverSpec;
import org.eskiz.server.document.RequirementSpec;
import org.eskiz.server.document.RunElement;
import org.eskiz.server.document.ToleranceSpec;
import org.eskiz.server.problem.PlainText;
import org.eskiz.server.problem.Within;
import org.eskiz.server.store.Search;

/**
 * An assessment whose run marks one or more lines as {@code candidate}, and what to make of it.
 *
 * @param flatJointLossDb as in an {@link AssessmentSpec}
 * @param receiver likewise
 * @param exposure likewise
 * @param candidates null or empty for the whole catalogue; the present cable is always a row
 * @param wholeCatalogue whether the whole catalogue is tried besides the candidates; null for no
 * @param find words: of the whole catalogue only what has each of them in its name, key, family or jacket; null for all
 * @param requirements what is asked on every band; null or empty for nothing
 * @param purchase how the cable is bought; null for one run whose ends the operator fits
 * @param tolerance how far cables may be off what is said of them
 * @param preference order of the rows, default {@code LEAST_COST}
 * @param value where the ladder of value is wanted, and by what it is judged; null where it is not
 * @param reach whether it is wanted how far each row would go; takes its time
 * @param confidence whether it is wanted how sure each row is
 * @param details cells whose elements are wanted too
 */
public record ComparisonRequest(
        @Valid RadioSpec radio,

        @Within(what = "ambient temperature in °C", min = -60, max = 120)
        Double ambientC,

        Boolean wet,

        @Within(what = Ranges.LOSS, min = 0, max = 60) Double flatJointLossDb,

        @Valid ReceiverSpec receiver,
        @Valid ExposureSpec exposure,

        @Size(max = AssessmentSpec.MOST_ELEMENTS, message = "must be at most {max} elements")
        List<@Valid @NotNull(message = "must be an element, not null") RunElement> run,

        @Size(max = AssessmentSpec.MOST_BANDS, message = "must be at most {max} bands")
        List<@Valid @NotNull(message = "must be a band, not null") BandSpec> bands,

        @Size(max = 200, message = "must be at most {max} candidates")
        List<@Valid @NotNull(message = "must be a candidate, not null") CandidateSpec> candidates,

        Boolean wholeCatalogue,
        @PlainText(max = Search.MOST_CHARACTERS) String find,

        @Size(max = RequirementSpec.MOST, message = "must be at most {max} requirements")
        List<@Valid @NotNull(message = "must be a requirement, not null") RequirementSpec> requirements,

        @Valid PurchaseSpec purchase,
        @Valid ToleranceSpec tolerance,
        Preference preference,
        @Valid ValueRequest value,
        Boolean reach,
        Boolean confidence,

        @Size(max = 8, message = "must be at most {max} cells")
        List<@Valid @NotNull(message = "must be a cell, not null") CellRequest> details) {

    /** A row of a mix is known by all of its cables. */
    public static final int LONGEST_ROW_ID = 700;

    /**
     * Where value is looked at.
     *
     * @param band position of the band whose loss counts, from 0
     * @param worthPerDb what the operator would give for a dB less, in the currency of the prices; default 20
     */
    public record ValueRequest(
            @NotNull(message = "must be given") @Within(what = "band", min = 0, max = 63)
            Integer band,

            @Within(what = "worth of a dB", min = 1e-6, max = 1e6)
            Double worthPerDb) {}

    /**
     * A cell of the ledger.
     *
     * @param band position of the band in the request, from 0
     * @param profile whether what happens along the run is wanted too; a receiver has none
     */
    public record CellRequest(
            @PlainText(max = LONGEST_ROW_ID) String rowId,
            @Within(what = "band", min = 0, max = 63) Integer band,
            Boolean profile) {}

    /** The ledger that a plan asks for. */
    public static ComparisonRequest of(PlanDocument plan, ToleranceSpec tolerance) {
        AssessmentSpec a = plan.assessment() == null
                ? new AssessmentSpec(null, null, null, null, null, null, null, null)
                : plan.assessment();
        return new ComparisonRequest(
                a.radio(),
                a.ambientC(),
                a.wet(),
                a.flatJointLossDb(),
                a.receiver(),
                a.exposure(),
                isAnyUpForChoice(a.run()) ? a.run() : longestUpForChoice(a.run()),
                a.bands(),
                plan.candidates(),
                isOpen(plan),
                null,
                plan.requirements(),
                plan.purchase(),
                tolerance,
                plan.preference(),
                null,
                false,
                false,
                List.of());
    }

    /** Whether a run leaves any of its lines to the ledger. */
    public static boolean isAnyUpForChoice(List<RunElement> run) {
        return run == null || run.stream().anyMatch(ComparisonValidator::isCandidateLine);
    }

    /** Whether it is a line that is left to the ledger. */
    public static boolean isUpForChoice(RunElement element) {
        return ComparisonValidator.isCandidateLine(element);
    }

    /** In a run whose cables all stay, the longest line is what its ledger speaks of. */
    private static List<RunElement> longestUpForChoice(List<RunElement> run) {
        Optional<RunElement.Line> longest = run.stream()
                .filter(e -> e instanceof RunElement.Line line && line.lengthM() != null)
                .map(e -> (RunElement.Line) e)
                .max(Comparator.comparingDouble(RunElement.Line::lengthM));
        return run.stream()
                .map(e -> longest.filter(line -> line == e)
                        .map(line -> (RunElement) line.upForChoice())
                        .orElse(e))
                .toList();
    }

    /** Whether a plan tries the whole catalogue; one that names cables of it among its candidates wants only the named ones. */
    private static boolean isOpen(PlanDocument plan) {
        return plan.candidates() == null || plan.candidates().stream().allMatch(c -> c.cableKey() == null);
    }

    /** Whether the whole catalogue is tried. */
    boolean isOpen() {
        return candidates == null || candidates.isEmpty() || Boolean.TRUE.equals(wholeCatalogue);
    }

    /** The same question about another run, bought in another way. */
    public ComparisonRequest of(List<RunElement> otherRun, PurchaseSpec otherPurchase) {
        return new ComparisonRequest(
                radio,
                ambientC,
                wet,
                flatJointLossDb,
                receiver,
                exposure,
                otherRun,
                bands,
                candidates,
                wholeCatalogue,
                find,
                requirements,
                otherPurchase,
                tolerance,
                preference,
                null,
                false,
                false,
                null);
    }

    /** The same question about what stands in the run and nothing else; a run that leaves no line to choose is asked about its longest. */
    ComparisonRequest ofWhatStands() {
        return of(isAnyUpForChoice(run) ? run : longestUpForChoice(run), purchase);
    }

    /** The same question, bought in another way. */
    ComparisonRequest boughtAs(PurchaseSpec otherPurchase) {
        return of(run, otherPurchase);
    }

    AssessmentSpec assessment() {
        return new AssessmentSpec(radio, ambientC, wet, flatJointLossDb, receiver, exposure, run, bands);
    }
}
