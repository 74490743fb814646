package org.eskiz.core.run;

import java.util.List;

/**
 * A run at one frequency and temperature, as two-ports.
 *
 * @param elements one two-port for each element, radio side first
 * @param whole all of them in a row
 */
record Chain(List<TwoPort> elements, TwoPort whole) {

    static Chain of(Run run, Conditions conditions, double radioOhm) {
        refuseHopelessLoss(run, conditions);
        List<TwoPort> elements = run.elements().stream()
                .map(e -> twoPort(e, conditions, radioOhm))
                .toList();
        TwoPort whole = elements.stream().reduce(TwoPort.THROUGH, TwoPort::then);
        return new Chain(elements, whole);
    }

    private static void refuseHopelessLoss(Run run, Conditions conditions) {
        double lossDb = run.matchedLossDb(conditions.frequencyMHz(), conditions.ambientC());
        if (!(lossDb <= Run.MAX_MATCHED_LOSS_DB)) {
            throw new RunTooLossyException(lossDb, conditions.frequencyMHz());
        }
    }

    static TwoPort twoPort(Element element, Conditions at, double radioOhm) {
        if (element instanceof Element.Line line) {
            return LineConstants.of(line.cable(), at.frequencyMHz(), at.ambientC())
                    .ofLength(line.lengthM());
        }
        double lossDb = element.matchedLossDb(at.frequencyMHz(), at.ambientC());
        if (element instanceof Element.Pad pad) {
            return TwoPort.pad(lossDb, pad.impedanceOhm().orElse(radioOhm));
        }
        var transformer = (Element.Transformer) element;
        return TwoPort.pad(lossDb, radioOhm).then(TwoPort.idealTransformer(transformer.impedanceRatio()));
    }
}
