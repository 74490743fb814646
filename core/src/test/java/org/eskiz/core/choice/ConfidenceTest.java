package org.eskiz.core.choice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.eskiz.core.ReferenceCases;
import org.eskiz.core.cable.Attenuation;
import org.eskiz.core.cable.Cable;
import org.eskiz.core.cable.InsertionLoss;
import org.eskiz.core.cable.Ratings;
import org.eskiz.core.choice.Confidence.Input;
import org.eskiz.core.run.Conditions;
import org.eskiz.core.run.Element;
import org.eskiz.core.run.Load;
import org.eskiz.core.run.Matching;
import org.eskiz.core.run.Radio;
import org.eskiz.core.run.Run;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;

/** How sure a run is, against samples that were drawn and reckoned independently. */
class ConfidenceTest {

    static Stream<JsonNode> cases() {
        return ReferenceCases.read("confidence-cases.json");
    }

    @ParameterizedTest
    @MethodSource("cases")
    void chancesQuantilesAndSharesAreThoseOfFourHundredThousandSamples(JsonNode c) {
        Confidence confidence = confidence(c, c.get("tolerance").asDouble());
        assertThat(confidence.chance()).isCloseTo(c.get("chance").asDouble(), within(0.03));
        double radioW = c.get("radioPowerW").asDouble();
        for (int b = 0; b < c.get("bands").size(); b++) {
            JsonNode expected = c.get("bands").get(b);
            Confidence.OnBand band = confidence.bands().get(b);
            JsonNode watts = expected.get("powerAtAntennaW");
            assertThat(radioW * band.powerShare().p05())
                    .isCloseTo(watts.get("p05").asDouble(), percent(watts, "p05"));
            assertThat(radioW * band.powerShare().p50())
                    .isCloseTo(watts.get("p50").asDouble(), percent(watts, "p50"));
            assertThat(radioW * band.powerShare().p95())
                    .isCloseTo(watts.get("p95").asDouble(), percent(watts, "p95"));
            for (Input input : Input.values()) {
                assertThat(band.shares().of(input))
                        .as(input + " on " + expected.get("frequencyMHz"))
                        .isCloseTo(
                                expected.get("shares")
                                        .get(input.name().toLowerCase(Locale.ROOT))
                                        .asDouble(),
                                within(0.02));
            }
        }
    }

    @ParameterizedTest
    @MethodSource("cases")
    void theSameRunAlwaysSaysTheSame(JsonNode c) {
        double tolerance = c.get("tolerance").asDouble();
        assertThat(confidence(c, tolerance)).isEqualTo(confidence(c, tolerance));
    }

    @ParameterizedTest
    @MethodSource("cases")
    void moreToleranceNeverNarrowsWhatIsKnown(JsonNode c) {
        Confidence narrow = confidence(c, 0.05);
        Confidence wide = confidence(c, 0.3);
        for (int b = 0; b < narrow.bands().size(); b++) {
            assertThat(width(wide, b)).isGreaterThanOrEqualTo(width(narrow, b));
        }
    }

    @ParameterizedTest
    @MethodSource("cases")
    void aCableThatIsBetterOnEveryBandNeverHasALowerChance(JsonNode c) {
        JsonNode law = c.get("cable").get("attenuation");
        double tolerance = c.get("tolerance").asDouble();
        double better = confidence(
                        c,
                        tolerance,
                        new Attenuation(
                                0.8 * law.get("k1").asDouble(),
                                0.8 * law.get("k2").asDouble()))
                .chance();
        assertThat(better).isGreaterThanOrEqualTo(confidence(c, tolerance).chance());
    }

    @Test
    void whatIsKnownExactlyTakesNoPart() {
        JsonNode c = cases().findFirst().orElseThrow();
        Confidence sure = confidence(c, 0);
        assertThat(sure.bands().get(0).shares().of(Input.CABLE)).isZero();
        assertThat(sure.bands().get(0).shares().of(Input.SWR)).as("SWR 1 is 1").isZero();
        assertThat(sure.bands().get(0).shares().parts().stream()
                        .mapToDouble(Confidence.Part::share)
                        .sum())
                .isCloseTo(1, within(1e-9));
    }

    @Test
    void knowingTheLargestInputLeavesTheRest() {
        Confidence.OnBand band =
                confidence(cases().findFirst().orElseThrow(), 0.3).bands().get(0);
        assertThat(band.largest()).hasValue(Input.CABLE);
        Confidence.Quantiles known = band.lossDbKnowing(Input.CABLE);
        double left = Math.sqrt(1 - band.shares().of(Input.CABLE));
        assertThat(known.p95() - known.p50())
                .isCloseTo(left * (band.lossDb().p95() - band.lossDb().p50()), within(1e-12));
        assertThat(known.p05()).isGreaterThan(band.lossDb().p05());
    }

    @ParameterizedTest
    @MethodSource("cases")
    void theInputsMakeUpAllOfItTheLargestFirst(JsonNode c) {
        for (Confidence.OnBand band : confidence(c, 0.1).bands()) {
            Confidence.Shares shares = band.shares();
            assertThat(band.inputs()).isSortedAccordingTo(Comparator.comparingDouble(i -> -shares.of(i)));
            assertThat(band.inputs().stream()
                            .mapToDouble(i -> Math.pow(shares.standardDb(i), 2))
                            .sum())
                    .isCloseTo(Math.pow(shares.standardDb(), 2), within(1e-12));
        }
    }

    @ParameterizedTest
    @MethodSource("cases")
    void rowsOfALedgerAreAsSureAsEachIsAlone(JsonNode c) {
        Comparison comparison = comparison(c);
        JsonNode law = c.get("cable").get("attenuation");
        List<Row> rows = Stream.of(0.6, 0.9, 1.0, 1.1, 1.6)
                .map(times -> candidate(
                        cable(
                                c,
                                new Attenuation(
                                        times * law.get("k1").asDouble(),
                                        times * law.get("k2").asDouble())),
                        c.get("tolerance").asDouble() * times))
                .map(comparison::row)
                .toList();
        List<Row> sure = comparison.sure(rows, () -> {});
        for (int i = 0; i < rows.size(); i++) {
            Chance chance = sure.get(i).chance().orElseThrow();
            Confidence alone = comparison.confidence(rows.get(i).filling());
            // two standard deviations of 256 samples
            assertThat(chance.share()).isCloseTo(alone.chance(), within(0.06));
            Confidence.Quantiles share = chance.powerShares().get(0);
            assertThat(share.p05()).isCloseTo(alone.bands().get(0).powerShare().p05(), within(0.01));
            assertThat(share.p95()).isCloseTo(alone.bands().get(0).powerShare().p95(), within(0.01));
            assertThat(comparison.sure(List.of(rows.get(i)), () -> {})).containsExactly(sure.get(i));
        }
    }

    @ParameterizedTest
    @MethodSource("cases")
    void theSurestOfThoseThatPassComesFirst(JsonNode c) {
        JsonNode law = c.get("cable").get("attenuation");
        List<Candidate> candidates = Stream.of(1.0, 0.5, 1.4, 0.9)
                .map(times -> candidate(
                        cable(
                                c,
                                new Attenuation(
                                        times * law.get("k1").asDouble(),
                                        times * law.get("k2").asDouble())),
                        0.2))
                .toList();
        List<Row> rows = comparison(c).rows(candidates, Preference.SUREST);
        for (int i = 1; i < rows.size(); i++) {
            Row before = rows.get(i - 1);
            assertThat(before.verdict()).isLessThanOrEqualTo(rows.get(i).verdict());
            if (before.verdict() == rows.get(i).verdict()) {
                assertThat(before.chanceShare())
                        .isGreaterThanOrEqualTo(rows.get(i).chanceShare());
            }
        }
    }

    @Test
    void anInputDecidesWhereItAloneCouldMissWhatIsAsked() {
        Confidence.Quantiles loss = new Confidence.Quantiles(2, 3, 4);
        Confidence.Shares shares = Confidence.shares(
                List.of(Input.CABLE, Input.LENGTH), List.of(List.of(1), List.of(1)), new double[] {0.36, 0.01});
        assertThat(List.of(3.9, 2.1)).allSatisfy(most -> {
            var band = new Confidence.OnBand(loss, loss, shares, OptionalDouble.of(most));
            assertThat(band.isDecidedBy(Input.CABLE)).isTrue();
            assertThat(band.isDecidedBy(Input.LENGTH)).isFalse();
        });
        assertThat(new Confidence.OnBand(loss, loss, shares, OptionalDouble.of(4.1)).isDecidedBy(Input.CABLE))
                .isFalse();
        assertThat(new Confidence.OnBand(loss, loss, shares, OptionalDouble.empty()).isDecidedBy(Input.CABLE))
                .isFalse();
    }

    @Test
    void whatFailsForAnythingElseCannotPass() {
        JsonNode c = cases().findFirst().orElseThrow();
        Candidate other = new Candidate("of another impedance", Cable.ofCoefficients(75, 0.8, new Attenuation(0, 0)));
        Requirement fitting = new Requirement.OfRun(RunFigure.IMPEDANCE);
        assertThat(comparison(c, List.of()).confidence(List.of(other)).chance()).isEqualTo(1);

        Comparison asked = comparison(c, List.of(fitting));
        assertThat(asked.confidence(List.of(other)).chance()).isZero();
        Row row = asked.sure(asked.rows(List.of(other), Preference.SUREST), () -> {})
                .get(0);
        assertThat(row.chance().orElseThrow().passing()).isZero();
        assertThat(row.chance().orElseThrow().powerShares().get(0).p05()).isPositive();
    }

    private static double width(Confidence confidence, int band) {
        Confidence.Quantiles loss = confidence.bands().get(band).lossDb();
        return loss.p95() - loss.p05();
    }

    private static org.assertj.core.data.Offset<Double> percent(JsonNode of, String quantile) {
        return within(0.01 * of.get(quantile).asDouble());
    }

    private static Confidence confidence(JsonNode c, double tolerance) {
        JsonNode law = c.get("cable").get("attenuation");
        return confidence(
                c,
                tolerance,
                new Attenuation(law.get("k1").asDouble(), law.get("k2").asDouble()));
    }

    private static Confidence confidence(JsonNode c, double tolerance, Attenuation law) {
        return comparison(c).confidence(List.of(candidate(cable(c, law), tolerance)));
    }

    private static Cable cable(JsonNode c, Attenuation law) {
        JsonNode cable = c.get("cable");
        return Cable.ofCoefficients(
                cable.get("impedanceOhm").asDouble(),
                cable.get("velocityFactor").asDouble(),
                law);
    }

    private static Comparison comparison(JsonNode c) {
        return comparison(
                c,
                List.of(new Requirement.OnBand(
                        BandFigure.PERCENT, c.get("leastPercent").asDouble())));
    }

    private static Comparison comparison(JsonNode c, List<Requirement> asked) {
        Cable made = cable(c, new Attenuation(0.5, 0));
        var joint = new Element.Pad(new InsertionLoss.Flat(c.get("jointLossDb").asDouble()), OptionalDouble.empty());
        Run run = new Run(List.of(joint, new Element.Line(made, c.get("lengthM").asDouble()), joint));
        var isJoint = new ReplaceableRun.Known(Ratings.UNKNOWN, 0, false, true, Optional.empty(), Supply.TO_BUY);
        var place = new ReplaceableRun(
                run,
                List.of(1),
                List.of(isJoint, ReplaceableRun.Known.UNKNOWN, isJoint),
                Optional.empty(),
                OptionalDouble.empty());
        var radio = new Radio(OptionalDouble.of(c.get("radioPowerW").asDouble()), 50, Matching.AT_RADIO, 0, false);
        List<Band> bands = new ArrayList<>();
        c.get("bands")
                .forEach(b -> bands.add(new Band(
                        radio,
                        new Conditions(
                                b.get("frequencyMHz").asDouble(),
                                c.get("ambientC").asDouble()),
                        new Load.SwrAtAntenna(b.get("swr").asDouble()))));
        return Comparison.in(place, bands, asked);
    }

    private static Candidate candidate(Cable cable, double tolerance) {
        Candidate plain = new Candidate("it", cable);
        return new Candidate(
                plain.id(),
                plain.cable(),
                plain.balanced(),
                plain.pricePerM(),
                plain.soldInM(),
                plain.mechanics(),
                plain.ratings(),
                tolerance,
                plain.owned());
    }
}
