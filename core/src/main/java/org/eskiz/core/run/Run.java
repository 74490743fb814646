package org.eskiz.core.run;

import java.util.List;
import java.util.stream.IntStream;

/**
 * A feed line run, or several that share a part of it. Where it forks, elements belong to a branch: on each band the run is what is
 * common to all, and the branch of that band. Branches may lie behind a fork, as those of a diplexer at the mast, and before one,
 * as those of two radios on one line.
 *
 * @param elements in order from the radio to the antenna; empty for an antenna on the radio's own socket
 * @param branches of each element the branch it belongs to; empty for a run that does not fork
 */
public record Run(List<Element> elements, List<String> branches) {

    /** What belongs to all branches. */
    public static final String COMMON = "";

    /** A run with more matched loss than this is refused: nothing measurable is left, and the algebra loses its digits. */
    public static final double MAX_MATCHED_LOSS_DB = 300;

    public Run {
        elements = List.copyOf(elements);
        branches = List.copyOf(branches);
        if (!branches.isEmpty() && branches.size() != elements.size()) {
            throw new IllegalArgumentException("of each of %d elements its branch must be known, not of %d"
                    .formatted(elements.size(), branches.size()));
        }
    }

    /** A run that does not fork. */
    public Run(List<Element> elements) {
        this(elements, List.of());
    }

    /** The same places with other elements in them. */
    public Run with(List<Element> others) {
        return new Run(others, branches);
    }

    /** As it stands on the way through one of its branches; the elements of others are aside. */
    public Run on(String branch) {
        if (branches.isEmpty()) {
            return this;
        }
        return new Run(
                IntStream.range(0, elements.size()).mapToObj(i -> on(branch, i)).toList());
    }

    private Element on(String branch, int index) {
        if (!isOn(branch, index)) {
            return Element.Aside.ASIDE;
        }
        return elements.get(index) instanceof Element.Fork fork ? fork.toward(branch) : elements.get(index);
    }

    /** Whether an element stands on the way through a branch. */
    public boolean isOn(String branch, int index) {
        return branches.isEmpty()
                || branches.get(index).equals(COMMON)
                || branches.get(index).equals(branch);
    }

    /** Whether anything in it amplifies what is received. */
    public boolean isAmplifying() {
        for (Element element : elements) {
            if (element instanceof Element.Preamplifier) {
                return true;
            }
        }
        return false;
    }

    public static Run of(Element... elements) {
        return new Run(List.of(elements));
    }

    /**
     * The impedance in which a pad or the loss of a transformer stands, so that bare terminals on a line of 450 Ω are a pad of
     * 450 Ω and do not seem to eat the power of a high standing wave.
     *
     * @return a pad's own, or a measured two-port's; else that of the next line toward the antenna with no transformer between (a transformer's pad is on
     *     its radio side, so there is none for it); else of the last line toward the radio likewise; else the radio's, times
     *     the ratios of the transformers between
     */
    double standingOhm(int index, double radioOhm) {
        Element element = elements.get(index);
        if (element instanceof Element.Pad pad && pad.impedanceOhm().isPresent()) {
            return pad.impedanceOhm().getAsDouble();
        }
        if (element instanceof Element.Measured measured) {
            return measured.table().referenceOhm();
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
        double ohm = radioOhm;
        for (int i = 0; i < index; i++) {
            boolean isBefore = branches.isEmpty() || isOn(branches.get(index), i);
            if (isBefore && elements.get(i) instanceof Element.Transformer t) {
                ohm *= t.impedanceRatio();
            }
        }
        return ohm;
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
