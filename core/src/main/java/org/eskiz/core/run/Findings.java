package org.eskiz.core.run;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/** Finds what an operator should know about a run, and from which number on. */
public final class Findings {

    /** Above this a radio without a matching unit reduces its power, if it can. */
    public static final double RADIO_BEARS_SWR = 2;

    /** From here on there is no load at all. */
    public static final double NO_LOAD_FROM_SWR = 50;

    /** Pieces are measured to the centimetre. */
    public static final double SAME_LENGTH_M = 0.005;

    /** Less reflection than this at the radio is not worth a sentence. */
    public static final double NOTEWORTHY_REFLECTION_DB = 0.05;

    private Findings() {}

    /**
     * All of one band, in the order in which they stand along the run, then those of the whole.
     *
     * @param run as it was assessed
     * @param parts the same run, as far as its neighbours matter
     * @param pieceLengthsM of each element that is a piece: its length as it is known now
     * @param upToSwr what the matching unit copes with; of no matter where there is none
     */
    public static List<Finding> of(
            Run run,
            List<LineJunction.Part> parts,
            List<OptionalDouble> pieceLengthsM,
            double upToSwr,
            RunAssessment a) {
        List<Finding> findings = new ArrayList<>();
        for (int i = 0; i < run.elements().size(); i++) {
            if (run.elements().get(i).isExtrapolatedAt(a.conditions().frequencyMHz())) {
                findings.add(new Finding.Extrapolated(i));
            }
        }
        LineJunction.problems(parts, a.radio().impedanceOhm(), a.radio().matching())
                .forEach(j -> findings.add(new Finding.Junction(j)));
        for (int i = 0; i < run.elements().size(); i++) {
            otherLength(i, run.elements().get(i), pieceLengthsM.get(i)).ifPresent(findings::add);
        }
        if (a.swrAtAntenna() >= NO_LOAD_FROM_SWR) {
            findings.add(new Finding.NoLoad(a.swrAtAntenna(), NO_LOAD_FROM_SWR));
        }
        mismatch(upToSwr, a).ifPresent(findings::add);
        if (a.radio().matching() == Matching.AT_ANTENNA && a.reflectionLossDb() > NOTEWORTHY_REFLECTION_DB) {
            findings.add(new Finding.ReflectsAtRadio(a.reflectionLossDb(), a.swrAtRadio()));
        }
        return findings;
    }

    private static Optional<Finding> otherLength(int i, Element element, OptionalDouble pieceM) {
        return element instanceof Element.Line line
                        && pieceM.isPresent()
                        && Math.abs(pieceM.getAsDouble() - line.lengthM()) > SAME_LENGTH_M
                ? Optional.of(new Finding.OtherLength(i, pieceM.getAsDouble(), line.lengthM()))
                : Optional.empty();
    }

    /** What the radio, or the unit that stands between it and the antenna, has to cope with. */
    private static Optional<Finding> mismatch(double upToSwr, RunAssessment a) {
        Radio radio = a.radio();
        if (radio.matching() == Matching.NONE) {
            return a.swrAtRadio() > RADIO_BEARS_SWR && radio.powerW().isPresent()
                    ? Optional.of(new Finding.RadioSeesSwr(a.swrAtRadio(), RADIO_BEARS_SWR))
                    : Optional.empty();
        }
        double seen = radio.matching() == Matching.AT_ANTENNA ? a.swrAtAntenna() : a.swrAtRadio();
        return seen > upToSwr ? Optional.of(new Finding.BeyondMatchingUnit(seen, upToSwr)) : Optional.empty();
    }
}
