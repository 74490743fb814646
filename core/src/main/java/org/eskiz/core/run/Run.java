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

    /**
     * The impedance in which a pad or the loss of a transformer stands, so that bare terminals on a line of 450 Ω are a pad of
     * 450 Ω and do not seem to eat the power of a high standing wave.
     *
     * @return a pad's own; else that of the next line toward the antenna with no transformer between (a transformer's pad is on
     *     its radio side, so there is none for it); else of the last line toward the radio likewise; else the radio's, times
     *     the ratios of the transformers between
     */
    double standingOhm(int index, double radioOhm) {
        Element element = elements.get(index);
        if (element instanceof Element.Pad pad && pad.impedanceOhm().isPresent()) {
            return pad.impedanceOhm().getAsDouble();
        }
        double ahead = element instanceof Element.Transformer ? Double.NaN : nearestLineOhm(index, 1);
        if (!Double.isNaN(ahead)) {
            return ahead;
        }
        double before = nearestLineOhm(index, -1);
        return Double.isNaN(before) ? stationOhm(index, radioOhm) : before;
    }

    /**
     * Of the first line that is met from an element on, unless a transformer is met before; else no number.
     *
     * @param step 1 toward the antenna, −1 toward the radio
     */
    private double nearestLineOhm(int from, int step) {
        for (int i = from + step; i >= 0 && i < elements.size(); i += step) {
            if (elements.get(i) instanceof Element.Line line && !line.isAbsent()) {
                return line.cable().impedanceOhm();
            }
            if (elements.get(i) instanceof Element.Transformer) {
                break;
            }
        }
        return Double.NaN;
    }

    /** The impedance of the station where an element begins: the radio's, times the ratios of the transformers before it. */
    public double stationOhm(int index, double radioOhm) {
        return elements.subList(0, index).stream()
                .mapToDouble(e -> e instanceof Element.Transformer t ? t.impedanceRatio() : 1)
                .reduce(radioOhm, (a, b) -> a * b);
    }

    /**
     * The impedance that makes the antenna end of the run flat: that of the last line, times the ratio of every
     * transformer after it; the radio's where there is no line.
     */
    double flatTerminationOhm(double radioOhm) {
        double ohm = radioOhm;
        for (Element element : elements) {
            if (element instanceof Element.Line line && !line.isAbsent()) {
                ohm = line.cable().impedanceOhm();
            } else if (element instanceof Element.Transformer transformer) {
                ohm *= transformer.impedanceRatio();
            }
        }
        return ohm;
    }
}
