package org.eskiz.core.run;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.eskiz.core.run.LineJunction.Part;
import org.eskiz.core.run.LineJunction.Problem;
import org.junit.jupiter.api.Test;

class LineJunctionTest {

    private static final Part COAX = new Part.Line(false, 50);
    private static final Part TV = new Part.Line(false, 75);
    private static final Part OPEN_WIRE = new Part.Line(true, 600);
    private static final Part FOUR = new Part.Transformer(4);
    private static final Part JOINT = new Part.Other();

    private static Radio radio(Matching matching) {
        return Radio.matched(100).matchedAt(matching);
    }

    private static List<Problem> problems(Matching matching, Part... parts) {
        return LineJunction.problems(List.of(parts), radio(matching), MatchingUnit.UNSTATED).stream()
                .map(LineJunction::problem)
                .toList();
    }

    @Test
    void coaxOfTheStationsImpedanceBelongs() {
        assertThat(problems(Matching.NONE, JOINT, COAX, JOINT, COAX)).isEmpty();
        assertThat(problems(Matching.NONE, JOINT, new Part.Line(false, 52))).isEmpty();
    }

    @Test
    void aBalancedLineNeedsABalancedUnitOrATransformer() {
        assertThat(problems(Matching.NONE, JOINT, OPEN_WIRE)).containsExactly(Problem.BALANCED_INTO_RADIO);
        assertThat(problems(Matching.AT_ANTENNA, OPEN_WIRE)).containsExactly(Problem.BALANCED_INTO_RADIO);
        assertThat(problems(Matching.AT_RADIO, OPEN_WIRE)).containsExactly(Problem.NEEDS_BALANCED_UNIT);
        assertThat(problems(Matching.NONE, FOUR, OPEN_WIRE)).isEmpty();
    }

    @Test
    void balancedLineAndCoaxMeetThroughATransformerOnly() {
        assertThat(problems(Matching.AT_RADIO, COAX, JOINT, OPEN_WIRE)).containsExactly(Problem.BALANCED_MEETS_COAX);
        assertThat(problems(Matching.AT_RADIO, COAX, JOINT, FOUR, OPEN_WIRE)).isEmpty();
    }

    @Test
    void anotherImpedanceIsPointedOutWhereItStands() {
        assertThat(LineJunction.problems(List.of(JOINT, TV), radio(Matching.NONE), MatchingUnit.UNSTATED))
                .containsExactly(new LineJunction(1, Problem.OTHER_IMPEDANCE, 75, 50));
        assertThat(problems(Matching.NONE, new Part.Transformer(1.5), TV)).isEmpty();
    }
}
