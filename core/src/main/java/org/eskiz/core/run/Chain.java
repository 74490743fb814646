package org.eskiz.core.run;

import java.util.List;
import java.util.stream.IntStream;

/**
 * A run at one frequency and temperature, as two-ports.
 *
 * @param links one for each element, radio side first
 * @param whole all of them in a row
 */
record Chain(List<Link> links, TwoPort whole) {

    /**
     * One element where it stands.
     *
     * @param matchedLossDb what it loses between terminations of the impedance it stands in
     */
    record Link(TwoPort twoPort, double matchedLossDb) {}

    static Chain of(Run run, Conditions conditions, double radioOhm) {
        refuseHopelessLoss(run, conditions);
        List<Link> links = IntStream.range(0, run.elements().size())
                .mapToObj(i -> link(run, i, conditions, radioOhm))
                .toList();
        TwoPort whole = links.stream().map(Link::twoPort).reduce(TwoPort.THROUGH, TwoPort::then);
        return new Chain(links, whole);
    }

    private static void refuseHopelessLoss(Run run, Conditions conditions) {
        double heatDb = run.heatDb(conditions.frequencyMHz(), conditions.ambientC());
        if (!(heatDb <= Run.MAX_MATCHED_LOSS_DB)) {
            throw new RunTooLossyException(heatDb, conditions.frequencyMHz());
        }
    }

    double matchedLossDb() {
        return links.stream().mapToDouble(Link::matchedLossDb).sum();
    }

    /** One element of a run, in the impedance where it stands. */
    static Link link(Run run, int index, Conditions at, double radioOhm) {
        Element element = run.elements().get(index);
        double heatDb = element.heatDb(at.frequencyMHz(), at.ambientC());
        if (element instanceof Element.Line line) {
            return new Link(
                    LineConstants.of(line.cable(), at.frequencyMHz(), at.ambientC())
                            .ofLength(line.lengthM()),
                    heatDb);
        }
        double ohm = run.standingOhm(index, radioOhm);
        TwoPort pad = TwoPort.pad(heatDb, ohm);
        if (element instanceof Element.Transformer t) {
            return new Link(pad.then(TwoPort.idealTransformer(t.impedanceRatio())), heatDb);
        }
        return ((Element.Pad) element)
                .bump()
                .map(b -> pad.then(TwoPort.bump(b, at.frequencyMHz())))
                .map(both -> new Link(both, both.insertionLossDb(ohm)))
                .orElse(new Link(pad, heatDb));
    }
}
