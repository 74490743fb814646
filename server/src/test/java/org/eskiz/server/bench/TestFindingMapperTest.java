package org.eskiz.server.bench;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.apache.commons.numbers.complex.Complex;
import org.eskiz.core.bench.Sweep;
import org.eskiz.core.bench.SweepDoubt;
import org.eskiz.core.bench.TestFinding;
import org.eskiz.core.bench.Touchstone;
import org.eskiz.server.bench.BenchAnalysisResponse.Code;
import org.junit.jupiter.api.Test;

class TestFindingMapperTest {

    /** One of each that the core can find; what it cannot make of a sweep is tried over HTTP. */
    private static final List<TestFinding> ONE_OF_EACH = Stream.concat(
                    Stream.<TestFinding>of(
                            new TestFinding.Estimate(true),
                            new TestFinding.OtherImpedance(72.5, 50),
                            new TestFinding.OtherVelocity(0.82, 0.66, 16.1, 20),
                            new TestFinding.BandNotSwept(List.of(145.0, 433.0), 1, 100),
                            new TestFinding.ThroughAboveBaseline(14.2),
                            new TestFinding.LevelsDisagree(14.2, 1, 1.5),
                            new TestFinding.ConnectorsBelowNothing(145, -0.2),
                            new TestFinding.ShortAndLossy(0.5, 1.5),
                            new TestFinding.OnePath(),
                            new TestFinding.ChangeInside(11.2, 14),
                            new TestFinding.JointsRipple(0.4, 7.5),
                            new TestFinding.NoVelocity(1.1, 0.01),
                            new TestFinding.LengthMayWrap(120),
                            new TestFinding.WouldTell(TestFinding.Remedy.HIGHER_BAND, 145),
                            new TestFinding.LeadStayedIn(),
                            new TestFinding.LeadTakenOut(0.15, 145)),
                    Stream.concat(
                            Arrays.stream(TestFinding.Wanted.values()).<TestFinding>map(TestFinding.Missing::new),
                            Arrays.stream(SweepDoubt.Kind.values())
                                    .<TestFinding>map(k -> new TestFinding.Doubted(new SweepDoubt(k, 1.25)))))
            .toList();

    @Test
    void everythingThatCanBeFoundHasACode() {
        Set<Code> codes = new HashSet<>();
        for (TestFinding finding : ONE_OF_EACH) {
            codes.add(TestFindingMapper.response(finding).code());
        }
        var file = new Touchstone.Reading(new Sweep.OnePort(50, List.of(1.0), List.of(Complex.ZERO)), true, true, true);
        TestFindingMapper.ofFiles(List.of(file)).forEach(f -> codes.add(f.code()));
        Set<Code> all = new HashSet<>(List.of(Code.values()));
        all.remove(Code.IMPOSSIBLE);
        assertThat(codes).isEqualTo(all);
    }

    @Test
    void numbersStandInTheValuesInBaseUnits() {
        assertThat(values(new TestFinding.OtherVelocity(0.82, 0.66, 16.1, 20)))
                .containsEntry("measured", 0.82)
                .containsEntry("promised", 0.66)
                .containsEntry("lengthByTypeM", 16.1)
                .containsEntry("statedM", 20.0);
        assertThat(values(new TestFinding.BandNotSwept(List.of(145.0, 433.0), 1, 100)))
                .containsEntry("frequenciesMHz", List.of(145.0, 433.0))
                .containsEntry("fromMHz", 1.0)
                .containsEntry("toMHz", 100.0);
        assertThat(values(new TestFinding.LevelsDisagree(14.2, 1, 1.5)))
                .containsEntry("oneDb", 1.0)
                .containsEntry("otherDb", 1.5);
    }

    @Test
    void whatIsMissingIsNamedAsTheInterfaceKnowsIt() {
        assertThat(Arrays.stream(TestFinding.Wanted.values())
                        .map(w -> values(new TestFinding.Missing(w)).get("what")))
                .containsExactly("through", "oneEnd", "lead", "type", "length");
    }

    @Test
    void theSecondSweepThatWouldMakeItAMeasurementIsNamed() {
        assertThat(values(new TestFinding.Estimate(true))).containsEntry("missing", "open");
        assertThat(values(new TestFinding.Estimate(false))).containsEntry("missing", "shorted");
    }

    private static java.util.Map<String, Object> values(TestFinding finding) {
        return TestFindingMapper.response(finding).values();
    }
}
