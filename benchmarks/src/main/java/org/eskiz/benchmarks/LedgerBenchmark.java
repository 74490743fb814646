package org.eskiz.benchmarks;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;
import org.eskiz.core.cable.Attenuation;
import org.eskiz.core.cable.AveragePower;
import org.eskiz.core.cable.Cable;
import org.eskiz.core.cable.InsertionLoss;
import org.eskiz.core.cable.Mechanics;
import org.eskiz.core.cable.Ratings;
import org.eskiz.core.choice.Band;
import org.eskiz.core.choice.BandFigure;
import org.eskiz.core.choice.Candidate;
import org.eskiz.core.choice.Comparison;
import org.eskiz.core.choice.ReplaceableRun;
import org.eskiz.core.choice.Preference;
import org.eskiz.core.choice.Requirement;
import org.eskiz.core.choice.Row;
import org.eskiz.core.run.Conditions;
import org.eskiz.core.run.Element;
import org.eskiz.core.run.Load;
import org.eskiz.core.run.Radio;
import org.eskiz.core.run.Run;
import org.eskiz.core.run.RunAssessment;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;

/** A ledger whose load has an unknown angle, so that 72 are solved for every cell; and one of its cells alone. */
@State(Scope.Thread)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
public class LedgerBenchmark {

    /** Types, bands, elements: the aim is the third, and each doubles in turn. */
    @Param({"24 x 3 x 5", "24 x 6 x 5", "24 x 12 x 5", "12 x 12 x 5", "48 x 12 x 5", "24 x 12 x 3", "24 x 12 x 10"})
    String size;

    private ReplaceableRun place;
    private List<Candidate> candidates;
    private List<Band> bands;
    private List<Requirement> asked;

    @Setup
    public void setUp() {
        String[] sizes = size.split(" x ");
        int types = Integer.parseInt(sizes[0]);
        int bandCount = Integer.parseInt(sizes[1]);
        int elements = Integer.parseInt(sizes[2]);
        place = new ReplaceableRun(run(elements), List.of(1));
        candidates = IntStream.range(0, types)
                .mapToObj(LedgerBenchmark::candidate)
                .toList();
        bands = IntStream.range(0, bandCount)
                .mapToObj(i -> new Band(
                        Radio.matched(100), new Conditions(1.8 * Math.pow(1.6, i), 20), new Load.SwrAtAntenna(2.5)))
                .toList();
        asked = List.of(new Requirement.OnBand(BandFigure.PERCENT, 50));
    }

    /** Rated as real ones are, so that the thin ones come near to it on the high bands. */
    private static Candidate candidate(int i) {
        Cable cable = cable(i);
        var rated = new AveragePower(600 / cable.attenuation().k1(), 30, 40, 75);
        return new Candidate(
                "c" + i,
                cable,
                false,
                Optional.empty(),
                OptionalDouble.empty(),
                Mechanics.UNKNOWN,
                Ratings.ofLine(Optional.of(rated), OptionalDouble.of(1500)),
                0.1);
    }

    private static Run run(int elements) {
        List<Element> run = new ArrayList<>();
        for (int i = 0; i < elements; i++) {
            run.add(
                    i % 2 == 1
                            ? new Element.Line(cable(i), i == 1 ? 31 : 2)
                            : new Element.Pad(new InsertionLoss.Flat(0.05), OptionalDouble.empty()));
        }
        return new Run(run);
    }

    private static Cable cable(int i) {
        return Cable.ofCoefficients(50, 0.66 + 0.005 * i, new Attenuation(0.3 + 0.05 * i, 0.001 + 0.0003 * i));
    }

    /** The whole ledger, reading of the load included. */
    @Benchmark
    public List<Row> ledger() {
        return Comparison.in(place, bands, asked).rows(candidates, Preference.LEAST_COST);
    }

    /** The same ledger with how far each candidate would go on each band. */
    @Benchmark
    public double ledgerWithReach() {
        Comparison comparison = Comparison.in(place, bands, asked);
        double together = 0;
        for (Row row : comparison.rows(candidates, Preference.LEAST_COST)) {
            for (int band = 0; band < bands.size(); band++) {
                together += comparison.reach(row, band).orElseThrow().lengthM();
            }
        }
        return together;
    }

    /** The same ledger with how sure each row is, and between what its power lies on each band. */
    @Benchmark
    public List<Row> ledgerWithChance() {
        Comparison comparison = Comparison.in(place, bands, asked);
        return comparison.sure(comparison.rows(candidates, Preference.LEAST_COST), () -> {});
    }

    /** One run on one band. */
    @Benchmark
    public double oneRun() {
        Band band = bands.get(0);
        return RunAssessment.of(place.run(), band.radio(), band.conditions(), band.load())
                .totalLossDb();
    }
}
