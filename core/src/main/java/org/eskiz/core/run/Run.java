package org.eskiz.core.run;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.OptionalDouble;

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

    /** What the elements turn into heat together, each between terminations of its own impedance, in dB. */
    double heatDb(double frequencyMHz, double ambientC) {
        return elements.stream()
                .mapToDouble(e -> e.heatDb(frequencyMHz, ambientC))
                .sum();
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
        OptionalDouble ahead = element instanceof Element.Transformer
                ? OptionalDouble.empty()
                : nearestLineOhm(elements.subList(index + 1, elements.size()));
        if (ahead.isPresent()) {
            return ahead.getAsDouble();
        }
        List<Element> before = new ArrayList<>(elements.subList(0, index));
        Collections.reverse(before);
        return nearestLineOhm(before).orElseGet(() -> stationOhm(index, radioOhm));
    }

    /** Of the first line that is met, unless a transformer is met before. */
    private static OptionalDouble nearestLineOhm(List<Element> from) {
        for (Element element : from) {
            if (element instanceof Element.Line line && !line.isAbsent()) {
                return OptionalDouble.of(line.cable().impedanceOhm());
            }
            if (element instanceof Element.Transformer) {
                break;
            }
        }
        return OptionalDouble.empty();
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
