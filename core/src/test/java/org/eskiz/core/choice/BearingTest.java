package org.eskiz.core.choice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.stream.Stream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.eskiz.core.cable.Attenuation;
import org.eskiz.core.cable.AttenuationPoint;
import org.eskiz.core.cable.AveragePower;
import org.eskiz.core.cable.Bump;
import org.eskiz.core.cable.Cable;
import org.eskiz.core.cable.ConnectorPower;
import org.eskiz.core.cable.InsertionLoss;
import org.eskiz.core.cable.Mechanics;
import org.eskiz.core.cable.Ratings;
import org.eskiz.core.choice.Reason.Cause;
import org.eskiz.core.run.Conditions;
import org.eskiz.core.run.Element;
import org.eskiz.core.run.Load;
import org.eskiz.core.run.Matching;
import org.eskiz.core.run.MatchingUnit;
import org.eskiz.core.run.Radio;
import org.eskiz.core.run.Run;
import org.eskiz.core.run.RunAssessment;
import org.eskiz.core.run.RunProfile;
import org.eskiz.core.run.Strain;
import org.eskiz.core.run.StrainBound;
import org.junit.jupiter.api.Test;

/** What the parts bear is judged whether anybody asks or not, and so is whether they belong together. */
class BearingTest {

    private static final Cable VERY_THIN = Cable.ofCoefficients(50, 0.66, new Attenuation(2.86, 0.0083));
    private static final Cable OPEN_WIRE = Cable.ofCoefficients(450, 0.91, new Attenuation(0.145, 0.0016));
    private static final Ratings NINETY_W =
            Ratings.ofLine(Optional.of(new AveragePower(90, 30, 40, 75)), OptionalDouble.of(1500));
    private static final Conditions TEN_METRES = new Conditions(28.5, 20);
    private static final Element JOINT = new Element.Pad(new InsertionLoss.Flat(0.02), OptionalDouble.empty());

    private static Candidate candidate(Cable cable, boolean balanced, Ratings ratings) {
        return new Candidate(
                "it", cable, balanced, Optional.empty(), OptionalDouble.empty(), Mechanics.UNKNOWN, ratings, 0);
    }

    private static Band band(double powerW, Load load, MatchingUnit unit) {
        return new Band(Radio.matched(powerW), TEN_METRES, load, 1, unit, OptionalDouble.empty(), Optional.empty());
    }

    private static Row row(Candidate candidate, Band band, ReplaceableRun.Known joint) {
        var place = new ReplaceableRun(
                Run.of(JOINT, new Element.Line(VERY_THIN, 5)),
                List.of(1),
                List.of(joint, ReplaceableRun.Known.UNKNOWN),
                Optional.empty(),
                OptionalDouble.empty());
        return Comparison.in(place, List.of(band), List.of()).row(candidate);
    }

    private static Row row(Candidate candidate, Band band) {
        return row(candidate, band, ReplaceableRun.Known.UNKNOWN);
    }

    private static List<Cause> causes(Row row) {
        return row.reasons().stream().map(Reason::cause).toList();
    }

    private static final Candidate THIN = candidate(VERY_THIN, false, NINETY_W);
    private static final MatchingUnit ANY = MatchingUnit.upTo(1000);

    @Test
    void aKilowattIntoAThinCableFailsThoughNobodyAsked() {
        Row row = row(THIN, band(1500, new Load.SwrAtAntenna(1.2), ANY));
        assertThat(row.verdict()).isEqualTo(Verdict.FAIL);
        Reason hot = row.reasons().get(0);
        assertThat(hot.cause()).isEqualTo(Cause.TOO_HOT);
        assertThat(hot.element()).isEqualTo(OptionalInt.of(1));
        assertThat(hot.reached().orElseThrow()).isBetween(0.05, 0.08);
    }

    @Test
    void whatIsNearlyTooHotIsMarginalAndWhatIsFarFromItIsNotToldOf() {
        assertThat(causes(row(THIN, band(75, new Load.SwrAtAntenna(1.1), ANY)))).containsExactly(Cause.NEARLY_TOO_HOT);
        assertThat(causes(row(THIN, band(20, new Load.SwrAtAntenna(1.1), ANY)))).isEmpty();
    }

    @Test
    void theDayTellsWithThem() {
        Candidate at = candidate(VERY_THIN, false, NINETY_W);
        var hotDay = new Band(
                Radio.matched(20),
                new Conditions(28.5, 75),
                new Load.SwrAtAntenna(1),
                1,
                ANY,
                OptionalDouble.empty(),
                Optional.empty());
        assertThat(causes(row(at, hotDay))).containsExactly(Cause.TOO_HOT);
    }

    @Test
    void aJointFailsByItsPowerAndByItsVoltage() {
        var weak = new ReplaceableRun.Known(
                Ratings.ofConnector(Optional.of(new ConnectorPower(1500, 30)), OptionalDouble.of(500)),
                0,
                false,
                Optional.empty());
        var strong = candidate(VERY_THIN, false, Ratings.UNKNOWN);
        Row row = row(strong, band(1500, new Load.SwrAtAntenna(4), ANY), weak);
        assertThat(causes(row)).containsExactly(Cause.TOO_HOT, Cause.TOO_HIGH_VOLTAGE);
        assertThat(row.reasons()).allMatch(r -> r.element().equals(OptionalInt.of(0)));
    }

    @Test
    void aDeviceIsJudgedWhereSomebodySaysWhatItBears() {
        var arrestor = new ReplaceableRun.Known(
                Ratings.ofDevice(OptionalDouble.of(200), OptionalDouble.empty()), 0, false, Optional.empty());
        var cable = candidate(VERY_THIN, false, Ratings.UNKNOWN);
        assertThat(causes(row(cable, band(400, new Load.SwrAtAntenna(1), ANY), arrestor)))
                .containsExactly(Cause.TOO_HOT);
    }

    @Test
    void theMatchingUnitHasARangeAndAPower() {
        Load far = new Load.Impedance(50, 400);
        Candidate plain = candidate(VERY_THIN, false, Ratings.UNKNOWN);
        assertThat(row(plain, band(100, far, MatchingUnit.UNSTATED)).verdict()).isEqualTo(Verdict.MARGINAL);
        assertThat(causes(row(plain, band(100, far, MatchingUnit.UNSTATED))))
                .containsExactly(Cause.BEYOND_ASSUMED_MATCHING_UNIT);
        assertThat(causes(row(plain, band(100, far, MatchingUnit.upTo(3)))))
                .containsExactly(Cause.BEYOND_MATCHING_UNIT);
        var weak = new MatchingUnit(1000, true, false, OptionalDouble.of(80));
        Reason hot = row(plain, band(100, far, weak)).reasons().get(0);
        assertThat(hot.cause()).isEqualTo(Cause.TOO_HOT);
        assertThat(hot.element()).isEmpty();
        assertThat(hot.reached().orElseThrow()).isCloseTo(0.8, within(1e-12));
    }

    @Test
    void aBalancedLineAtAPlainRadioIsMarginalAndAtABalancedUnitItIsNot() {
        Candidate open = candidate(OPEN_WIRE, true, Ratings.UNKNOWN);
        Load wire = new Load.Impedance(300, -200);
        assertThat(causes(row(open, band(100, wire, ANY)))).containsExactly(Cause.BALANCED_MEETS_UNBALANCED);
        var balanced = new MatchingUnit(1000, true, true, OptionalDouble.empty());
        assertThat(causes(row(open, band(100, wire, balanced)))).isEmpty();
    }

    @Test
    void aLineOfNoLengthIsNotThere() {
        var place = new ReplaceableRun(Run.of(new Element.Line(VERY_THIN, 0)), List.of(0));
        var comparison = Comparison.in(place, List.of(band(1500, new Load.SwrAtAntenna(1), ANY)), List.of());
        assertThat(comparison.row(THIN).verdict()).isEqualTo(Verdict.PASS);
        var short0 = Cable.ofSheet(50, 0.66, List.of(new AttenuationPoint(1000, 80)));
        assertThat(comparison.row(candidate(short0, false, NINETY_W)).verdict()).isEqualTo(Verdict.PASS);
    }

    @Test
    void whatIsMetExactlyIsMet() {
        double delivered = row(THIN, band(10, new Load.SwrAtAntenna(1), ANY))
                .cells()
                .get(0)
                .assessment()
                .orElseThrow()
                .powerAtAntennaW()
                .orElseThrow();
        var asked = new Requirement.OnBand(BandFigure.POWER, delivered * (1 + 1e-12));
        assertThat(asked.isMetBy(delivered)).isTrue();
        assertThat(new Requirement.OnBand(BandFigure.POWER, delivered * 1.0001).isMetBy(delivered))
                .isFalse();
    }

    /** So no row that is not followed along its waves could have come near to a rating. */
    @Property(tries = 300)
    void nothingGetsMoreThanItsBound(
            @ForAll @DoubleRange(min = 0.5, max = 500) double frequencyMHz,
            @ForAll @DoubleRange(min = 1, max = 30) double swr,
            @ForAll @DoubleRange(min = 0.5, max = 60) double lengthM,
            @ForAll @IntRange(min = 0, max = 4) int kind,
            @ForAll Matching matching) {
        Run run = run(kind, lengthM);
        var radio = new Radio(OptionalDouble.of(100), 50, matching, 0.3, true);
        var a = RunAssessment.of(run, radio, new Conditions(frequencyMHz, 30), new Load.SwrAtAntenna(swr));
        RunProfile profile = RunProfile.of(a);
        StrainBound[] bounds = StrainBound.of(a);
        Strain strain = Strain.on(a);
        profile.lines().forEach(l -> {
            assertThat(strain.voltageRms(l.element())).isCloseTo(l.maxVoltage().value(), withinPercentage(0.1));
            assertThat(strain.equivalentMatchedPowerW(l.element()))
                    .isCloseTo(l.equivalentMatchedPowerW(), withinPercentage(0.1));
        });
        profile.lines().forEach(l -> {
            assertThat(l.maxVoltage().value()).isLessThanOrEqualTo(bounds[l.element()].voltageRms());
            assertThat(l.equivalentMatchedPowerW()).isLessThanOrEqualTo(bounds[l.element()].equivalentMatchedPowerW());
        });
        profile.pads().forEach(p -> {
            assertThat(p.voltageRms()).isLessThanOrEqualTo(bounds[p.element()].voltageRms() * (1 + 1e-9));
            assertThat(p.equivalentMatchedPowerW())
                    .isLessThanOrEqualTo(bounds[p.element()].equivalentMatchedPowerW() * (1 + 1e-9));
        });
    }

    private static Run run(int kind, double lengthM) {
        var uhf = new Element.Pad(new InsertionLoss.Flat(0.05), OptionalDouble.empty(), Optional.of(new Bump(32, 40)));
        var television = Cable.ofCoefficients(75, 0.83, new Attenuation(0.62, 0.0023));
        Element thin = new Element.Line(VERY_THIN, lengthM);
        Element open = new Element.Line(OPEN_WIRE, lengthM);
        return new Run(Stream.of(
                        Stream.of(uhf, thin, uhf),
                        Stream.of(uhf, new Element.Line(television, lengthM), uhf, thin),
                        Stream.of(new Element.Transformer(9, new InsertionLoss.Flat(0.3)), open, JOINT),
                        Stream.of(thin, new Element.Transformer(0.25, new InsertionLoss.Flat(0.3)), uhf),
                        Stream.of(JOINT, open, uhf, thin, JOINT))
                .toList()
                .get(kind)
                .toList());
    }
}
