package org.eskiz.core.choice;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.eskiz.core.cable.Cable;
import org.eskiz.core.run.AntennaStates;
import org.eskiz.core.run.Conditions;
import org.eskiz.core.run.Element;
import org.eskiz.core.run.Run;
import org.eskiz.core.run.RunAssessment;
import org.eskiz.core.run.RunTooLossyException;

/** Candidates put one after the other into the same run. */
public final class Comparison {

    private final Place place;
    private final List<Band> bands;
    private final List<AntennaStates> antennas;
    private final List<Requirement> requirements;

    private Comparison(Place place, List<Band> bands, List<Requirement> requirements) {
        this.place = place;
        this.bands = List.copyOf(bands);
        this.requirements = List.copyOf(requirements);
        List<AntennaStates> found = new ArrayList<>();
        for (Band band : bands) {
            found.add(AntennaStates.of(band.load(), place.run(), band.radio(), band.conditions()));
        }
        this.antennas = List.copyOf(found);
    }

    /**
     * Prepares a comparison.
     *
     * @param place the run as it is, and which of its sections are to be replaced
     * @param bands where it is judged
     * @param requirements what is asked on every band
     * @throws org.eskiz.core.run.ImpossibleReadingException when the run cannot show an SWR that was read at the radio
     */
    public static Comparison in(Place place, List<Band> bands, List<Requirement> requirements) {
        return new Comparison(place, bands, requirements);
    }

    /** A row for each candidate, in the order of a school. */
    public List<Row> rows(List<Candidate> candidates, Preference preference) {
        return candidates.stream().map(this::row).sorted(preference.order()).toList();
    }

    /** One candidate in place. */
    public Row row(Candidate candidate) {
        Run tried = place.filledWith(candidate.cable());
        List<Cell> cells = new ArrayList<>();
        for (int band = 0; band < bands.size(); band++) {
            cells.add(cell(tried, band));
        }
        return new Row(
                candidate,
                Suitability.of(candidate, place.nominalOhm(radioOhm())),
                cells,
                cost(candidate),
                massKg(candidate));
    }

    /**
     * A candidate over frequency. Between the bands radio and antenna are those of the nearest band, by the ratio of the
     * frequencies: what they are elsewhere nobody has said.
     */
    public Curve overFrequency(Candidate candidate, List<Double> frequenciesMHz) {
        Run tried = place.filledWith(candidate.cable());
        return new Curve(
                candidate,
                frequenciesMHz.stream()
                        .map(f -> assessment(
                                tried,
                                nearestBand(f),
                                new Conditions(f, bands.get(0).conditions().ambientC())))
                        .toList());
    }

    /** A candidate on one band, over the length of the replaced sections together; each keeps its share of it. */
    public Curve overLength(Candidate candidate, int band, List<Double> lengthsM) {
        return new Curve(
                candidate,
                lengthsM.stream()
                        .map(l -> assessment(
                                place.filledWith(candidate.cable(), l),
                                band,
                                bands.get(band).conditions()))
                        .toList());
    }

    /** How far a candidate goes on a band before anything that is asked fails; empty where nothing is asked. */
    public Optional<Reach> reach(Candidate candidate, int band) {
        if (requirements.isEmpty()) {
            return Optional.empty();
        }
        Conditions at = bands.get(band).conditions();
        double halfWaveM = candidate.cable().speed() / (at.frequencyMHz() * 1e6) / 2;
        return Optional.of(Reach.search(
                l -> assessment(place.filledWith(candidate.cable(), l), band, at)
                        .map(this::leastSpareDb)
                        .orElse(Double.NEGATIVE_INFINITY),
                halfWaveM));
    }

    private double leastSpareDb(RunAssessment assessment) {
        return requirements.stream()
                .mapToDouble(r -> r.spareDb(assessment))
                .min()
                .orElseThrow();
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

    private Optional<RunAssessment> assessment(Run tried, int band, Conditions at) {
        try {
            return Optional.of(RunAssessment.of(tried, bands.get(band).radio(), at, antennas.get(band)));
        } catch (RunTooLossyException e) {
            return Optional.empty();
        }
    }

    private Cell cell(Run tried, int band) {
        Band at = bands.get(band);
        try {
            var assessment = RunAssessment.of(tried, at.radio(), at.conditions(), antennas.get(band));
            return new Cell(Optional.of(assessment), Judgement.of(band, assessment, requirements));
        } catch (RunTooLossyException e) {
            return new Cell(Optional.empty(), Judgement.tooLossy(band, e.matchedLossDb()));
        }
    }

    private double radioOhm() {
        return bands.get(0).radio().impedanceOhm();
    }

    private Optional<Money> cost(Candidate candidate) {
        Optional<Money> cable = candidate.pricePerM().map(p -> p.times(place.lengthM()));
        return place.connectorPrices().stream().reduce(cable, Costs::sum);
    }

    private OptionalDouble massKg(Candidate candidate) {
        return candidate.massGPerM().isEmpty()
                ? OptionalDouble.empty()
                : OptionalDouble.of(candidate.massGPerM().getAsDouble() * place.lengthM() / 1000);
    }

    /**
     * A run, and the sections of it that the chosen cable will fill.
     *
     * @param run as it is now
     * @param sections indices of its replaceable lines, at least one
     * @param connectorPrices price of the connector at each joint that touches one of them; empty where not known
     */
    public record Place(Run run, List<Integer> sections, List<Optional<Money>> connectorPrices) {

        public Place {
            sections = List.copyOf(sections);
            connectorPrices = List.copyOf(connectorPrices);
            if (sections.isEmpty()) {
                throw new IllegalArgumentException("a comparison needs at least one LINE marked as candidate, not 0");
            }
        }

        /** Length of the sections together, m. */
        public double lengthM() {
            return sections.stream()
                    .mapToDouble(i -> ((Element.Line) run.elements().get(i)).lengthM())
                    .sum();
        }

        /** The impedance that stands where the first section begins: the radio's, changed by transformers before it. */
        double nominalOhm(double radioOhm) {
            double ohm = radioOhm;
            for (Element e : run.elements().subList(0, sections.get(0))) {
                ohm *= e instanceof Element.Transformer t ? t.impedanceRatio() : 1;
            }
            return ohm;
        }

        Run filledWith(Cable cable) {
            return filledWith(cable, lengthM());
        }

        /** The sections together of another length, each with its share. */
        Run filledWith(Cable cable, double lengthM) {
            double now = lengthM();
            List<Element> elements = new ArrayList<>(run.elements());
            for (int i : sections) {
                double share = now == 0 ? 1.0 / sections.size() : ((Element.Line) elements.get(i)).lengthM() / now;
                elements.set(i, new Element.Line(cable, share * lengthM));
            }
            return new Run(elements);
        }
    }
}
