package org.eskiz.core.run;

import java.util.List;

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

    /** Of a run as it stands on one branch: see {@link Run#on}. */
    static Chain of(Run run, Conditions conditions, double radioOhm) {
        double[] heatDb = heatDb(run, conditions);
        Link[] links = new Link[heatDb.length];
        TwoPort whole = TwoPort.THROUGH;
        for (int i = 0; i < links.length; i++) {
            links[i] = link(run, i, heatDb[i], conditions, radioOhm);
            whole = i == 0 ? links[i].twoPort() : whole.then(links[i].twoPort());
        }
        return new Chain(List.of(links), whole);
    }

    /** What each element turns into heat between terminations of its own impedance; more than can be assessed is refused. */
    private static double[] heatDb(Run run, Conditions conditions) {
        double[] heatDb = new double[run.elements().size()];
        double sum = 0;
        for (int i = 0; i < heatDb.length; i++) {
            heatDb[i] = run.elements().get(i).heatDb(conditions.frequencyMHz(), conditions.ambientC());
            sum += heatDb[i];
        }
        if (!(sum <= Run.MAX_MATCHED_LOSS_DB)) {
            throw new RunTooLossyException(sum, conditions.frequencyMHz());
        }
        return heatDb;
    }

    double matchedLossDb() {
        double sum = 0;
        for (Link link : links) {
            sum += link.matchedLossDb();
        }
        return sum;
    }

    /** One element of a run, in the impedance where it stands. */
    static Link link(Run run, int index, Conditions at, double radioOhm) {
        double heatDb = run.elements().get(index).heatDb(at.frequencyMHz(), at.ambientC());
        return link(run, index, heatDb, at, radioOhm);
    }

    private static Link link(Run run, int index, double heatDb, Conditions at, double radioOhm) {
        Element element = run.elements().get(index);
        if (element instanceof Element.Line line) {
            return new Link(
                    LineConstants.of(line.cable(), at.frequencyMHz(), at.ambientC())
                            .ofLength(line.lengthM()),
                    heatDb);
        }
        if (element.isAbsent()) {
            return new Link(TwoPort.THROUGH, 0);
        }
        if (element instanceof Element.Measured measured) {
            return new Link(measured.table().twoPort(at.frequencyMHz()), heatDb);
        }
        double ohm = run.standingOhm(index, radioOhm);
        TwoPort pad = TwoPort.pad(heatDb, ohm);
        if (element instanceof Element.Transformer t) {
            return new Link(pad.then(TwoPort.idealTransformer(t.impedanceRatio())), heatDb);
        }
        if (element instanceof Element.Pad p && p.bump().isPresent()) {
            TwoPort both = pad.then(TwoPort.bump(p.bump().get(), at.frequencyMHz()));
            return new Link(both, both.insertionLossDb(ohm));
        }
        return new Link(pad, heatDb);
    }
}
