package org.eskiz.server.comparison;

import java.util.List;
import org.eskiz.core.choice.Bought;
import org.eskiz.server.assessment.AssessmentResponse;
import org.jspecify.annotations.Nullable;

/**
 * What is needed on the roof.
 *
 * @param name of the row
 * @param row what the ledger says of it
 * @param bands the run with it, band by band
 * @param toBuy everything of the run that the operator does not own; the cost of the row is the sum of it
 * @param cuts one for each line, with its allowances
 * @param expected what a test after fitting should show, band by band
 */
public record RunSheetResponse(
        String name,
        ComparisonResponse.RowResponse row,
        List<AssessmentResponse.BandResponse> bands,
        List<ToBuyResponse> toBuy,
        List<SectionCutResponse> cuts,
        List<ExpectedResponse> expected) {

    /**
     * Something to be bought.
     *
     * @param name null for what the operator has given no name
     * @param elements positions in the run of what it is for; none for a cable
     * @param needed of a cable m, of anything else pieces
     * @param bought likewise; of a cable more, where it is sold in whole lengths
     * @param cost null where it is not known
     */
    public record ToBuyResponse(
            Bought.Kind kind,
            @Nullable String name,
            List<Integer> elements,
            double needed,
            double bought,
            ComparisonResponse.@Nullable CostResponse cost) {}

    /**
     * A piece to be cut.
     *
     * @param element position in the run, from 0
     * @param runM length of the line
     * @param cutM with allowances
     * @param isOwned whether it is a piece of the locker, which is not cut
     */
    public record SectionCutResponse(int element, String name, double runM, double cutM, boolean isOwned) {}

    /**
     * A reading to be expected.
     *
     * @param throughW into a dummy load at the antenna's end with the radio's power; null for a receiver
     * @param matchedLossDb of the whole run
     * @param swrAtRadio with the antenna on it; null without limit
     */
    public record ExpectedResponse(
            @Nullable Double throughW,
            double matchedLossDb,
            @Nullable Double swrAtRadio) {}
}
