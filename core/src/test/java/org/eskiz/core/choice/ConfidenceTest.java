package org.eskiz.core.choice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
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
        JsonNode cable = c.get("cable");
        Cable made = Cable.ofCoefficients(
                cable.get("impedanceOhm").asDouble(),
                cable.get("velocityFactor").asDouble(),
                law);
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
        return Comparison.in(
                        place,
                        bands,
                        List.of(new Requirement.OnBand(
                                BandFigure.PERCENT, c.get("leastPercent").asDouble())))
                .confidence(List.of(candidate(made, tolerance)), Confidence.POINTS_OF_A_RUN);
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
