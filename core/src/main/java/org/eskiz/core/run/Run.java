package org.eskiz.core.run;

import java.util.List;

/**
 * A feed line run.
 *
 * @param elements in order from the radio to the antenna; empty for an antenna on the radio's own socket
 */
public record Run(List<Element> elements) {

    /** A run with more matched loss than this is refused: nothing measurable is left, and the algebra loses its digits. */
    public static final double MAX_MATCHED_LOSS_DB = 300;

    public Run {
        elements = List.copyOf(elements);
    }

    public static Run of(Element... elements) {
        return new Run(List.of(elements));
    }

    /** What the elements lose together, each into its own impedance, in dB. */
    public double matchedLossDb(double frequencyMHz, double ambientC) {
        return elements.stream()
                .mapToDouble(e -> e.matchedLossDb(frequencyMHz, ambientC))
                .sum();
    }

    /**
     * The impedance that makes the antenna end of the run flat: that of the last line, times the ratio of every
     * transformer after it; the radio's where there is no line.
     */
    double flatTerminationOhm(double radioOhm) {
        double ohm = radioOhm;
        for (Element element : elements) {
            if (element instanceof Element.Line line) {
                ohm = line.cable().impedanceOhm();
            } else if (element instanceof Element.Transformer transformer) {
                ohm *= transformer.impedanceRatio();
            }
        }
        return ohm;
    }
}
