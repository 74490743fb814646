package org.eskiz.core.choice;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Currency;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.eskiz.core.cable.Attenuation;
import org.eskiz.core.cable.AveragePower;
import org.eskiz.core.cable.Cable;
import org.eskiz.core.cable.ConnectorPower;
import org.eskiz.core.cable.InsertionLoss;
import org.eskiz.core.cable.Mechanics;
import org.eskiz.core.cable.Ratings;
import org.eskiz.core.run.Conditions;
import org.eskiz.core.run.Element;
import org.eskiz.core.run.Load;
import org.eskiz.core.run.Matching;
import org.eskiz.core.run.MatchingUnit;
import org.eskiz.core.run.Radio;
import org.eskiz.core.run.Run;
import org.eskiz.core.run.RunAssessment;

/** What holds in every ledger, whatever is planned. */
class LedgerLawsTest {

    private static final Currency EUR = Currency.getInstance("EUR");

    @Property(tries = 20)
    void manyRowsSharedAmongCoresAreThoseDoneOneByOne(@ForAll long seed) {
        var random = new Random(seed);
        var place = new ReplaceableRun(
                Run.of(joint(random), new Element.Line(cable(random), 30), joint(random)), List.of(1));
        Comparison comparison = Comparison.in(place, List.of(band(random), band(random)), requirements(random));
        List<Candidate> candidates = IntStream.range(0, 200)
                .mapToObj(i -> candidate(random, "cable " + i))
                .toList();
        AtomicInteger asked = new AtomicInteger();

        List<Row> shared = new Ranking(comparison, Preference.LEAST_LOSS)
                .rows(candidates.stream().map(List::of).toList(), asked::incrementAndGet);

        List<Row> oneByOne = candidates.stream()
                .map(comparison::row)
                .sorted(Preference.LEAST_LOSS.order())
                .toList();
        assertThat(asked).hasValue(200);
        assertThat(shared).extracting(Row::id).containsExactlyElementsOf(ids(oneByOne));
        assertThat(shared)
                .extracting(Row::greatestLossDb)
                .containsExactlyElementsOf(
                        oneByOne.stream().map(Row::greatestLossDb).toList());
    }

    @Property(tries = 60)
    void nothingComesBeforeTheFirstRowAndSomethingBeforeAnyOther(@ForAll long seed) {
        var random = new Random(seed);
        var place = new ReplaceableRun(
                Run.of(joint(random), new Element.Line(cable(random), 30), joint(random)), List.of(1));
        Comparison comparison = Comparison.in(place, List.of(band(random)), requirements(random));
        List<List<Candidate>> fillings = IntStream.range(0, 8)
                .mapToObj(i -> List.of(candidate(random, "cable " + i)))
                .toList();
        for (Preference preference : Preference.values()) {
            Ranking ranking = new Ranking(comparison, preference);
            List<Row> ranked = ranking.rows(fillings, () -> {});
            assertThat(ranking.first(fillings, () -> {}).id())
                    .isEqualTo(ranked.get(0).id());
            for (int i = 0; i < ranked.size(); i++) {
                assertThat(ranking.before(ranked.get(i).filling(), fillings).isEmpty())
                        .as("%s, place %d", preference, i)
                        .isEqualTo(i == 0);
            }
        }
    }

    private static List<String> ids(List<Row> rows) {
        return rows.stream().map(Row::id).toList();
    }

    @Property(tries = 10_000)
    void nothingThatFailsStandsAboveWhatPassesAndNoVerdictIsBetterThanTheWorstMargin(@ForAll long seed) {
        var random = new Random(seed);
        List<ReplaceableRun.Known> known = List.of(known(random), ReplaceableRun.Known.UNKNOWN, known(random));
        var place = new ReplaceableRun(
                Run.of(joint(random), new Element.Line(cable(random), random.nextDouble() * 60), joint(random)),
                List.of(1),
                known,
                Optional.empty(),
                OptionalDouble.empty());
        List<Band> bands = IntStream.rangeClosed(0, random.nextInt(2))
                .mapToObj(i -> band(random))
                .toList();
        List<Candidate> candidates = IntStream.range(0, 4)
                .mapToObj(i -> candidate(random, "cable " + i))
                .toList();
        Comparison comparison = Comparison.in(place, bands, requirements(random));
        Preference school = Preference.values()[random.nextInt(Preference.values().length)];

        List<Row> rows = comparison.rows(candidates, school);

        assertThat(rows).extracting(Row::verdict).isSorted();
        for (Row row : rows) {
            for (int band = 0; band < bands.size(); band++) {
                verdictIsNoBetterThanItsMargins(row, bands.get(band), band, place, known);
            }
        }
    }

    private static void verdictIsNoBetterThanItsMargins(
            Row row, Band band, int index, ReplaceableRun place, List<ReplaceableRun.Known> known) {
        Optional<RunAssessment> assessment = row.cells().get(index).assessment();
        if (assessment.isEmpty()) {
            assertThat(row.verdict()).isEqualTo(Verdict.FAIL);
            return;
        }
        List<Ratings> ratings = new ArrayList<>(
                known.stream().map(ReplaceableRun.Known::ratings).toList());
        ratings.set(1, row.filling().get(0).ratings());
        var rated = new Margins.Rated(
                band.duty(), ratings, place.sections(), band.unit().averagePowerW());
        Margins margins = Margins.of(assessment.get(), rated, true);
        double worst = Math.min(
                margins.heat().map(Margins.Bearing::margin).orElse(9.0),
                margins.voltage().map(Margins.Bearing::margin).orElse(9.0));
        Verdict atBest = worst < 1 - 1e-9 ? Verdict.FAIL : worst < 1.5 - 1e-9 ? Verdict.MARGINAL : Verdict.PASS;
        assertThat(row.verdict().and(atBest)).isEqualTo(row.verdict());
    }

    private static double between(Random random, double low, double high) {
        return low * Math.pow(high / low, random.nextDouble());
    }

    private static Cable cable(Random random) {
        double[] ohms = {50, 50, 50, 75, 450};
        return Cable.ofCoefficients(
                ohms[random.nextInt(ohms.length)],
                0.66 + 0.3 * random.nextDouble(),
                new Attenuation(between(random, 0.1, 3), between(random, 1e-4, 0.01)));
    }

    private static Element joint(Random random) {
        return new Element.Pad(new InsertionLoss.Flat(random.nextDouble() * 0.2), OptionalDouble.empty());
    }

    private static ReplaceableRun.Known known(Random random) {
        var connector = Ratings.ofConnector(
                Optional.of(new ConnectorPower(between(random, 100, 3000), 30)),
                OptionalDouble.of(between(random, 100, 2000)));
        return new ReplaceableRun.Known(random.nextBoolean() ? connector : Ratings.UNKNOWN, 0, false, Optional.empty());
    }

    private static Candidate candidate(Random random, String id) {
        Cable cable = cable(random);
        Ratings ratings = Ratings.ofLine(
                Optional.of(new AveragePower(between(random, 20, 5000), 30, 40, 75)),
                OptionalDouble.of(between(random, 100, 5000)));
        return new Candidate(
                id,
                cable,
                cable.impedanceOhm() > 100,
                Optional.of(new Money(BigDecimal.valueOf(random.nextInt(1000), 2), EUR)),
                OptionalDouble.empty(),
                Mechanics.UNKNOWN,
                random.nextInt(4) == 0 ? Ratings.UNKNOWN : ratings,
                random.nextInt(3) * 0.05);
    }

    private static Band band(Random random) {
        double powerW = between(random, 1, 3000);
        Matching matching = Matching.values()[random.nextInt(3)];
        Load load = random.nextBoolean()
                ? new Load.SwrAtAntenna(between(random, 1, 20))
                : new Load.Impedance(between(random, 5, 2000), 500 * random.nextGaussian());
        return new Band(
                new Radio(OptionalDouble.of(powerW), 50, matching, 0.2, random.nextBoolean()),
                new Conditions(between(random, 1.8, 450), 20 + random.nextInt(40)),
                load,
                random.nextDouble(),
                random.nextBoolean() ? MatchingUnit.UNSTATED : MatchingUnit.upTo(between(random, 1, 50)),
                OptionalDouble.empty(),
                Optional.empty());
    }

    private static List<Requirement> requirements(Random random) {
        return random.nextBoolean()
                ? List.of()
                : List.of(new Requirement.OnBand(BandFigure.PERCENT, 90 * random.nextDouble()));
    }
}
