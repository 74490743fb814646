package org.eskiz.core.run;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import org.eskiz.core.cable.NominalImpedance;
import org.jspecify.annotations.Nullable;

/**
 * Whether neighbours in a run belong together: a balanced line goes with a coaxial one, or with a radio, only through a
 * transformer or a balanced matching unit; a line of another impedance than the station's transforms the load.
 *
 * @param element index in the run of what does not belong
 * @param problem what is the matter
 * @param ohm its impedance
 * @param stationOhm the impedance that stands there
 */
public record LineJunction(int element, Problem problem, double ohm, double stationOhm) {

    /** What is the matter. */
    public enum Problem {
        /** Balanced line and coaxial line meet without a transformer. */
        BALANCED_MEETS_COAX,
        /** A balanced line at a radio whose matching unit must be a balanced one. */
        NEEDS_BALANCED_UNIT,
        /** A balanced line at a radio without any unit or transformer. */
        BALANCED_INTO_RADIO,
        /** The line's impedance is not the station's: it transforms the load, and reflects even into a matched one. */
        OTHER_IMPEDANCE
    }

    /** One element as far as this matters. */
    public sealed interface Part {

        /** A length of line. */
        record Line(boolean balanced, double impedanceOhm) implements Part {}

        /** A transformer: it may also join a balanced line to a coaxial one. */
        record Transformer(double impedanceRatio) implements Part {}

        /** Whatever changes neither. */
        record Other() implements Part {}

        /** An element, as far as this matters. */
        static Part of(Element element, boolean isBalanced) {
            if (element instanceof Element.Line line) {
                return line.isAbsent()
                        ? new Other()
                        : new Line(isBalanced, line.cable().impedanceOhm());
            }
            return element instanceof Element.Transformer t ? new Transformer(t.impedanceRatio()) : new Other();
        }
    }

    /** A run, as far as this matters. */
    public static List<Part> parts(Run run, List<Boolean> isBalanced) {
        return IntStream.range(0, run.elements().size())
                .mapToObj(i -> Part.of(run.elements().get(i), isBalanced.get(i)))
                .toList();
    }

    /**
     * Everything that does not belong, from the radio on.
     *
     * @param parts the run
     * @param unit what is known of the matching unit
     */
    public static List<LineJunction> problems(List<Part> parts, Radio radio, MatchingUnit unit) {
        List<LineJunction> problems = new ArrayList<>();
        double stationOhm = radio.impedanceOhm();
        Part.@Nullable Line before = null;
        // a balanced unit joins what follows the radio as a transformer does
        boolean isJoined = radio.matching() == Matching.AT_RADIO && unit.isBalanced();
        for (int i = 0; i < parts.size(); i++) {
            if (parts.get(i) instanceof Part.Transformer t) {
                stationOhm *= t.impedanceRatio();
                isJoined = true;
            } else if (parts.get(i) instanceof Part.Line line) {
                if (!isJoined) {
                    addMeeting(problems, i, before, line, stationOhm, radio.matching());
                }
                if (!line.balanced() && !NominalImpedance.isSame(line.impedanceOhm(), stationOhm)) {
                    problems.add(new LineJunction(i, Problem.OTHER_IMPEDANCE, line.impedanceOhm(), stationOhm));
                }
                before = line;
                isJoined = false;
            }
        }
        return problems;
    }

    private static void addMeeting(
            List<LineJunction> problems,
            int element,
            Part.@Nullable Line before,
            Part.Line line,
            double stationOhm,
            Matching matching) {
        if (before == null && line.balanced()) {
            Problem problem = matching == Matching.AT_RADIO ? Problem.NEEDS_BALANCED_UNIT : Problem.BALANCED_INTO_RADIO;
            problems.add(new LineJunction(element, problem, line.impedanceOhm(), stationOhm));
        } else if (before != null && before.balanced() != line.balanced()) {
            problems.add(new LineJunction(element, Problem.BALANCED_MEETS_COAX, line.impedanceOhm(), stationOhm));
        }
    }
}
