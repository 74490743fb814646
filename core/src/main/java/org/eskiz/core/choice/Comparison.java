package org.eskiz.core.choice;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.function.DoubleFunction;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.eskiz.core.run.AntennaStates;
import org.eskiz.core.run.Conditions;
import org.eskiz.core.run.LineJunction;
import org.eskiz.core.run.Radio;
import org.eskiz.core.run.Run;
import org.eskiz.core.run.RunAssessment;
import org.eskiz.core.run.RunTooLossyException;
import org.eskiz.core.run.StretchedRun;

/** Candidates put one after the other into the same run. */
public final class Comparison {

    private final ReplaceableRun place;
    private final Purchase purchase;
    private final List<Band> bands;
    private final List<AntennaStates> antennas;
    private final List<Requirement> requirements;
    private final List<Requirement.OfRun> ofRun;
    private final List<List<Requirement.OnBand>> onBand;

    private Comparison(
            ReplaceableRun place,
            Purchase purchase,
            List<Band> bands,
            List<AntennaStates> antennas,
            List<Requirement> requirements) {
        this.place = place;
        this.purchase = purchase;
        this.bands = List.copyOf(bands);
        this.antennas = antennas;
        this.requirements = List.copyOf(requirements);
        this.ofRun = ofKind(requirements, Requirement.OfRun.class);
        List<Requirement.OnBand> ofBands = ofKind(requirements, Requirement.OnBand.class);
        this.onBand = IntStream.range(0, bands.size())
                .mapToObj(i -> ofBands.stream().filter(r -> r.isAskedOf(i)).toList())
                .toList();
    }

    private static <T extends Requirement> List<T> ofKind(List<Requirement> requirements, Class<T> kind) {
        return requirements.stream().filter(kind::isInstance).map(kind::cast).toList();
    }

    /**
     * Prepares a comparison.
     *
     * @param place the run as it is, and which of its sections are to be replaced
     * @param purchase how the cable is bought
     * @param bands where it is judged
     * @param requirements what is asked
     * @throws org.eskiz.core.run.ImpossibleReadingException when the run cannot show an SWR that was read at the radio
     */
    public static Comparison in(
            ReplaceableRun place, Purchase purchase, List<Band> bands, List<Requirement> requirements) {
        List<AntennaStates> antennas = bands.stream()
                .map(b -> AntennaStates.of(b.load(), place.run(), b.radio(), b.conditions()))
                .toList();
        return new Comparison(place, purchase, bands, antennas, requirements);
    }

    /** The same for one run whose ends the operator fits. */
    public static Comparison in(ReplaceableRun place, List<Band> bands, List<Requirement> requirements) {
        return in(place, Purchase.ONCE, bands, requirements);
    }

    /** Where the candidates go. */
    public ReplaceableRun place() {
        return place;
    }

    /** How the cable is bought. */
    public Purchase purchase() {
        return purchase;
    }

    /** The same antennas behind other radios. */
    Comparison withRadios(UnaryOperator<Radio> change) {
        List<Band> others =
                bands.stream().map(b -> b.with(change.apply(b.radio()))).toList();
        return new Comparison(place, purchase, others, antennas, requirements);
    }

    /** The same with its sections together of another length. */
    Comparison ofLength(double lengthM) {
        return new Comparison(place.ofLength(lengthM), purchase, bands, antennas, requirements);
    }

    List<Band> bands() {
        return bands;
    }

    /** A row for each candidate, in the order of a school. */
    public List<Row> rows(List<Candidate> candidates, Preference preference) {
        return new Ranking(this, preference)
                .rows(candidates.stream().map(place::everywhere).toList(), () -> {});
    }

    /** One candidate in every section. */
    public Row row(Candidate candidate) {
        return row(place.everywhere(candidate));
    }

    /** A candidate for each section. */
    public Row row(List<Candidate> filling) {
        Tried tried = new Tried(place, filling);
        List<Cell> cells = IntStream.range(0, bands.size())
                .mapToObj(band -> cell(tried, band))
                .toList();
        Quotation offer = offer(filling);
        return new Row(
                filling, offer.suitability(), cells, judged(offer), offer.cost(), offer.massKg(), Optional.empty());
    }

    /** What a filling costs and weighs, and what the place says of it, before any of its loss is worked out. */
    Quotation offer(List<Candidate> filling) {
        return place.offer(filling, purchase, bands.get(0).radio().impedanceOhm());
    }

    /** What is the matter with an offer as a whole. */
    List<Reason> judged(Quotation offer) {
        return ofRun.stream().flatMap(r -> judged(r, offer).stream()).toList();
    }

    private static Optional<Reason> judged(Requirement.OfRun asked, Quotation offer) {
        OptionalDouble reached = asked.figure().reached(offer);
        if (reached.isEmpty()) {
            return Optional.of(Reason.ofRun(Reason.Cause.UNKNOWN, asked, reached));
        }
        if (!asked.isMetBy(reached.getAsDouble())) {
            return Optional.of(Reason.ofRun(Reason.Cause.MISSED, asked, reached));
        }
        return asked.isLittleToSpare(reached.getAsDouble())
                ? Optional.of(Reason.ofRun(Reason.Cause.LITTLE_TO_SPARE, asked, reached))
                : Optional.empty();
    }

    /**
     * A filling over frequency. Between the bands radio and antenna are those of the nearest band, by the ratio of the
     * frequencies: what they are elsewhere nobody has said.
     */
    public Curve overFrequency(List<Candidate> filling, List<Double> frequenciesMHz) {
        Run tried = place.filledWith(filling);
        return new Curve(frequenciesMHz.stream()
                .map(f -> assessment(tried, nearestBand(f), near(nearestBand(f), f)))
                .toList());
    }

    /** Another frequency of the branch of a band. */
    Conditions near(int band, double frequencyMHz) {
        Conditions there = bands.get(band).conditions();
        return new Conditions(frequencyMHz, there.ambientC(), there.branch());
    }

    /** A filling on one band, over the length of the replaced sections together; each keeps its share of it. */
    public Curve overLength(List<Candidate> filling, int band, List<Double> lengthsM) {
        return new Curve(lengthsM.stream()
                .map(l -> assessment(
                        place.filledWith(filling, l), band, bands.get(band).conditions()))
                .toList());
    }

    /**
     * How far a row goes on a band before anything that is asked of what arrives fails; empty where nothing is asked there
     * that loss could miss.
     */
    public Optional<Reach> reach(Row row, int band) {
        List<Candidate> filling = row.filling();
        Conditions at = bands.get(band).conditions();
        if (row.cells().get(band).judgement().leastSpareDb().isEmpty()
                && row.cells().get(band).assessment().isPresent()) {
            return Optional.empty();
        }
        if (place.sections().stream().noneMatch(i -> place.run().isOn(at.branch(), i))) {
            return Optional.empty();
        }
        double slowest =
                filling.stream().mapToDouble(c -> c.cable().speed()).min().orElseThrow();
        StretchedRun stretched = StretchedRun.of(
                place.filledWith(filling), place.sections(), bands.get(band).radio(), at, antennas.get(band));
        DoubleFunction<Optional<BandOutcome>> outcome = isHeardThroughAmplifiers(band)
                ? l -> assessment(place.filledWith(filling, l), band)
                        .map(a -> BandOutcome.atTheMean(bands.get(band), a, Margins.UNKNOWN))
                : l -> stretched
                        .at(l)
                        .map(losses -> new BandOutcome(
                                bands.get(band), losses.totalDb(), losses.throughDb(), Margins.UNKNOWN));
        return Optional.of(Reach.search(
                l -> outcome.apply(l).map(o -> leastSpareDb(o, band)).orElse(Double.NEGATIVE_INFINITY),
                slowest / (at.frequencyMHz() * 1e6) / 2));
    }

    /** Then it matters where in the run a loss lies, and every length is looked at whole. */
    private boolean isHeardThroughAmplifiers(int band) {
        return place.run().isAmplifying()
                && onBand.get(band).stream().anyMatch(r -> r.figure() == BandFigure.RECEIVE_PENALTY);
    }

    /** How far a row goes before cost or mass miss what is asked of them; empty where nothing is, or they are not known. */
    public Optional<Reach> reachOfRun(Row row) {
        List<Requirement.OfRun> growing = ofRun.stream()
                .filter(r -> r.figure().growsWithLength())
                .filter(r -> r.figure().reached(offer(row.filling())).isPresent())
                .toList();
        return growing.isEmpty()
                ? Optional.empty()
                : Optional.of(Reach.ofMonotone(l ->
                        growing.stream().allMatch(r -> isMet(r, ofLength(l).offer(row.filling())))));
    }

    private static boolean isMet(Requirement.OfRun asked, Quotation offer) {
        return asked.isMetBy(asked.figure().reached(offer).orElseThrow());
    }

    /** What a row would go least far by, and how far; empty where nothing is asked that length could miss. */
    public Optional<NearestReach> nearestReach(Row row) {
        Stream<NearestReach> onBands = IntStream.range(0, bands.size())
                .mapToObj(band -> reach(row, band).map(r -> new NearestReach(OptionalInt.of(band), r)))
                .flatMap(Optional::stream);
        Stream<NearestReach> ofRun = reachOfRun(row).map(r -> new NearestReach(OptionalInt.empty(), r)).stream();
        return Stream.concat(onBands, ofRun)
                .min(Comparator.comparingDouble(n -> n.reach().lengthM()));
    }

    /**
     * How far a row goes before the first requirement fails.
     *
     * @param band index of the band where it does; empty for cost or mass
     */
    public record NearestReach(OptionalInt band, Reach reach) {}

    /** What one band has to spare in a run that was assessed there or near it, dB; infinite where nothing is asked. */
    double leastSpareDb(RunAssessment assessment, int band) {
        return leastSpareDb(BandOutcome.atTheMean(bands.get(band), assessment, Margins.UNKNOWN), band);
    }

    private double leastSpareDb(BandOutcome mean, int band) {
        return Judgement.leastSpareDb(onBand.get(band), mean).orElse(Double.POSITIVE_INFINITY);
    }

    /**
     * Total loss of a row on a band when every line is off by its whole tolerance to one side.
     *
     * @param sign +1 where all lose more than is said of them, −1 where all lose less
     * @return dB; empty when it loses more than can be assessed
     */
    public OptionalDouble lossAtTolerance(Row row, int band, int sign) {
        return assessment(
                        place.atTolerance(row.filling(), sign),
                        band,
                        bands.get(band).conditions())
                .map(a -> OptionalDouble.of(a.totalLossDb()))
                .orElse(OptionalDouble.empty());
    }

    /** How sure a filling is to do what is asked of it on its bands, and what that comes from. */
    public Confidence confidence(List<Candidate> filling) {
        Confidence drawn = sampling(Confidence.POINTS_OF_A_RUN).confidence(filling);
        return row(filling).isRuledOut() ? drawn.none() : drawn;
    }

    /**
     * The same rows with how sure each is.
     *
     * @param beforeEach run before each row; what it throws ends the work
     */
    public List<Row> sure(List<Row> rows, Runnable beforeEach) {
        Sampling sampling = sampling(Confidence.POINTS_OF_A_ROW);
        return rows.stream()
                .peek(row -> beforeEach.run())
                .map(r -> r.chance().isPresent() ? r : r.withChance(chance(r, sampling)))
                .toList();
    }

    private static Chance chance(Row row, Sampling sampling) {
        Chance drawn = sampling.chance(row.filling());
        return row.isRuledOut() ? drawn.none() : drawn;
    }

    private Sampling sampling(int points) {
        List<LeastLeft> least = IntStream.range(0, bands.size())
                .mapToObj(b -> LeastLeft.of(onBand.get(b), bands.get(b)))
                .toList();
        return new Sampling(place, bands, antennas, least, points);
    }

    /** The band whose frequency is nearest, as musicians count distance: by ratio. */
    public int nearestBand(double frequencyMHz) {
        int nearest = 0;
        for (int i = 1; i < bands.size(); i++) {
            if (distance(i, frequencyMHz) < distance(nearest, frequencyMHz)) {
                nearest = i;
            }
        }
        return nearest;
    }

    private double distance(int band, double frequencyMHz) {
        return Math.abs(Math.log(bands.get(band).conditions().frequencyMHz() / frequencyMHz));
    }

    /** What another run of the same radio and antenna does on a band; empty beyond what can be assessed. */
    public Optional<RunAssessment> assessment(Run tried, int band) {
        return assessment(tried, band, bands.get(band).conditions());
    }

    Optional<RunAssessment> assessment(Run tried, int band, Conditions at) {
        try {
            return Optional.of(RunAssessment.of(tried, bands.get(band).radio(), at, antennas.get(band)));
        } catch (RunTooLossyException e) {
            return Optional.empty();
        }
    }

    private Cell cell(Tried tried, int band) {
        Band at = bands.get(band);
        try {
            var assessment = RunAssessment.of(tried.run(), at.radio(), at.conditions(), antennas.get(band));
            BandOutcome mean = BandOutcome.atTheMean(at, assessment, margins(assessment, tried, band));
            Judgement judgement = Judgement.of(
                    band,
                    assessment,
                    mean,
                    () -> unlucky(tried, band, mean.margins()),
                    LineJunction.problems(tried.parts(at.conditions().branch()), at.radio(), at.unit()),
                    onBand.get(band));
            return new Cell(Optional.of(assessment), judgement);
        } catch (RunTooLossyException e) {
            return new Cell(Optional.empty(), Judgement.tooLossy(band, e.matchedLossDb()));
        }
    }

    private Margins margins(RunAssessment assessment, Tried tried, int band) {
        boolean isAsked = false;
        for (Requirement.OnBand asked : onBand.get(band)) {
            isAsked |= asked.figure().isMargin();
        }
        Band at = bands.get(band);
        return Margins.of(
                assessment,
                new Margins.Rated(
                        at.duty(), tried.ratings(), place.sections(), at.unit().averagePowerW()),
                isAsked);
    }

    private Optional<BandOutcome> unlucky(Tried tried, int band, Margins margins) {
        return tried.unlucky()
                .flatMap(run -> assessment(run, band))
                .map(a -> BandOutcome.atTheMean(bands.get(band), a, margins));
    }
}
