package org.eskiz.server.comparison;

import java.util.List;
import java.util.stream.IntStream;
import org.eskiz.core.choice.Confidence;
import org.eskiz.core.choice.Confidence.Input;
import org.eskiz.server.document.RunElement;
import org.jspecify.annotations.Nullable;

/**
 * How sure a run is.
 *
 * @param chance share of the samples in which everything is met that is asked of what arrives, 0 for a run that fails for anything
 *     else
 * @param passing the same of twenty
 * @param bands one each, in order
 */
record ConfidenceResponse(double chance, int passing, List<BandConfidenceResponse> bands) {

    /**
     * One band.
     *
     * @param powerAtAntennaW null for a receiver
     * @param standardDb standard deviation of the total loss by all inputs, dB
     * @param inputs what any of the uncertainty is of, the largest first
     * @param cables of the share of the cables what each has, where there are several
     * @param lengths likewise
     * @param largest what most of the uncertainty is of; null where nothing is uncertain
     */
    record BandConfidenceResponse(
            @Nullable String bandId,
            @Nullable String name,
            double frequencyMHz,
            @Nullable QuantilesResponse powerAtAntennaW,
            QuantilesResponse lossDb,
            double standardDb,
            SharesResponse shares,
            List<InputResponse> inputs,
            List<ElementShareResponse> cables,
            List<ElementShareResponse> lengths,
            @Nullable LargestResponse largest) {}

    /**
     * What all of one kind is of the uncertainty.
     *
     * @param share of the variance
     * @param standardDb standard deviation of the total loss by it alone, dB
     */
    record InputResponse(Input input, double share, double standardDb) {}

    /**
     * The input that most of the uncertainty is of, and what knowing it exactly would bring.
     *
     * @param lossDb as it would lie then
     * @param decides whether knowing it could change what is met on this band
     */
    record LargestResponse(Input input, double share, QuantilesResponse lossDb, boolean decides) {}

    /** The middle 90 % and the middle. */
    record QuantilesResponse(double p05, double p50, double p95) {}

    /** What the variance of the total loss comes from; together 1, or 0 where nothing is uncertain. */
    record SharesResponse(double cable, double joints, double swr, double angle, double length, double ambient) {}

    /**
     * What an element has of it; of a type that is in the run several times the first of its elements.
     *
     * @param element position in the run, from 0
     */
    record ElementShareResponse(int element, @Nullable String elementId, double share) {}

    static ConfidenceResponse of(Confidence confidence, ComparisonRequest asked) {
        Double watts = asked.radio() == null ? null : asked.radio().powerW();
        return new ConfidenceResponse(
                confidence.chance(),
                confidence.passing(),
                IntStream.range(0, confidence.bands().size())
                        .mapToObj(b -> band(confidence.bands().get(b), asked, b, watts))
                        .toList());
    }

    private static BandConfidenceResponse band(
            Confidence.OnBand on, ComparisonRequest asked, int b, @Nullable Double radioW) {
        var spec = asked.bands().get(b);
        Double watts = spec.powerW() == null ? radioW : spec.powerW();
        return new BandConfidenceResponse(
                spec.id(),
                spec.name(),
                spec.frequencyMHz(),
                watts == null ? null : quantiles(on.powerShare(), watts),
                quantiles(on.lossDb(), 1),
                on.shares().standardDb(),
                new SharesResponse(
                        on.shares().of(Input.CABLE),
                        on.shares().of(Input.JOINTS),
                        on.shares().of(Input.SWR),
                        on.shares().of(Input.ANGLE),
                        on.shares().of(Input.LENGTH),
                        on.shares().of(Input.AMBIENT)),
                on.inputs().stream()
                        .map(i -> new InputResponse(
                                i, on.shares().of(i), on.shares().standardDb(i)))
                        .toList(),
                elements(on, Input.CABLE, asked.run()),
                elements(on, Input.LENGTH, asked.run()),
                on.largest()
                        .map(i -> new LargestResponse(
                                i, on.shares().of(i), quantiles(on.lossDbKnowing(i), 1), on.isDecidedBy(i)))
                        .orElse(null));
    }

    private static QuantilesResponse quantiles(Confidence.Quantiles q, double times) {
        return new QuantilesResponse(times * q.p05(), times * q.p50(), times * q.p95());
    }

    private static List<ElementShareResponse> elements(Confidence.OnBand on, Input input, List<RunElement> run) {
        return on.shares().parts().stream()
                .filter(p -> p.input() == input && !p.elements().isEmpty())
                .map(p -> new ElementShareResponse(
                        p.elements().get(0), run.get(p.elements().get(0)).id(), p.share()))
                .toList();
    }
}
