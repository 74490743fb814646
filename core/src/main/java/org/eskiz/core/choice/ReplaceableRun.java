package org.eskiz.core.choice;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Currency;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.IntStream;
import org.eskiz.core.cable.Cable;
import org.eskiz.core.cable.Mechanics;
import org.eskiz.core.cable.Ratings;
import org.eskiz.core.run.Element;
import org.eskiz.core.run.LineJunction;
import org.eskiz.core.run.Run;

/**
 * A run, and the sections of it that the chosen cable will fill.
 *
 * @param run as it is now
 * @param sections indices of its replaceable lines, at least one, in order
 * @param known what else is known of its elements, one each; empty where nothing is
 * @param socketsFit whether the run begins and ends in what the sockets of radio and antenna take; empty where nobody has said
 * @param mastM how much of it hangs on the mast, counted from the antenna, m; empty where nobody has said
 */
public record ReplaceableRun(
        Run run, List<Integer> sections, List<Known> known, Optional<Boolean> socketsFit, OptionalDouble mastM) {

    public ReplaceableRun {
        sections = List.copyOf(sections);
        known = known.isEmpty() ? Collections.nCopies(run.elements().size(), Known.UNKNOWN) : List.copyOf(known);
        if (sections.isEmpty()) {
            throw new IllegalArgumentException("a comparison needs at least one LINE marked as candidate, not 0");
        }
    }

    /** A place of which no more is known than its run. */
    public ReplaceableRun(Run run, List<Integer> sections) {
        this(run, sections, List.of(), Optional.empty(), OptionalDouble.empty());
    }

    /**
     * What is known of an element besides what it loses.
     *
     * @param ratings what it bears
     * @param tolerance how far the attenuation of a line may be off what is said of it, as a fraction
     * @param balanced whether it is a balanced line
     * @param joint whether it is a joint, at which cables end
     * @param connector what a joint is made up with; empty where it has no known connector
     * @param supply how it comes to be there
     */
    public record Known(
            Ratings ratings,
            double tolerance,
            boolean balanced,
            boolean joint,
            Optional<Connector> connector,
            Supply supply) {

        public static final Known UNKNOWN = new Known(Ratings.UNKNOWN, 0, false, Optional.empty());

        /** To be bought; a joint where it has a connector. */
        public Known(Ratings ratings, double tolerance, boolean balanced, Optional<Connector> connector) {
            this(ratings, tolerance, balanced, connector.isPresent(), connector, Supply.TO_BUY);
        }
    }

    /**
     * A connector.
     *
     * @param price empty where not known
     * @param fitsLeastMm least outer diameter of a cable it fits; empty for any
     * @param fitsMostMm the greatest
     */
    public record Connector(Optional<Money> price, OptionalDouble fitsLeastMm, OptionalDouble fitsMostMm) {

        Optional<Boolean> fits(Mechanics cable) {
            if (fitsLeastMm.isEmpty() && fitsMostMm.isEmpty()) {
                return Optional.of(true);
            }
            OptionalDouble across = cable.outerDiameterMm();
            return across.isEmpty()
                    ? Optional.empty()
                    : Optional.of(across.getAsDouble() >= fitsLeastMm.orElse(0)
                            && across.getAsDouble() <= fitsMostMm.orElse(Double.POSITIVE_INFINITY));
        }
    }

    /** Length of the sections together, m. */
    public double lengthM() {
        return sections.stream().mapToDouble(this::lengthM).sum();
    }

    private double lengthM(int element) {
        return ((Element.Line) run.elements().get(element)).lengthM();
    }

    /** One cable for all of its sections. */
    List<Candidate> everywhere(Candidate candidate) {
        return Collections.nCopies(sections.size(), candidate);
    }

    Run filledWith(List<Candidate> filling) {
        return filledWith(filling, lengthM());
    }

    /** The sections together of another length, each with its share. */
    Run filledWith(List<Candidate> filling, double lengthM) {
        double now = lengthM();
        List<Element> elements = new ArrayList<>(run.elements());
        for (int i = 0; i < sections.size(); i++) {
            double share = now == 0 ? 1.0 / sections.size() : lengthM(sections.get(i)) / now;
            elements.set(sections.get(i), new Element.Line(filling.get(i).cable(), share * lengthM));
        }
        return run.with(elements);
    }

    /** The same place with its sections together of another length. */
    ReplaceableRun ofLength(double lengthM) {
        List<Candidate> present = sections.stream()
                .map(i -> new Candidate("", ((Element.Line) run.elements().get(i)).cable()))
                .toList();
        return new ReplaceableRun(filledWith(present, lengthM), sections, known, socketsFit, mastM);
    }

    /**
     * Every line at one end of its tolerance.
     *
     * @param sign +1 where all lose more than is said of them, −1 where all lose less
     */
    Run atTolerance(List<Candidate> filling, int sign) {
        List<Element> elements = new ArrayList<>(filledWith(filling).elements());
        for (int i = 0; i < elements.size(); i++) {
            if (elements.get(i) instanceof Element.Line line) {
                Cable off = line.cable().withAttenuationScaledBy(1 + sign * tolerance(filling, i));
                elements.set(i, new Element.Line(off, line.lengthM()));
            }
        }
        return run.with(elements);
    }

    /** Whether any line may be off what is said of it. */
    boolean hasTolerance(List<Candidate> filling) {
        return filling.stream().anyMatch(c -> c.tolerance() > 0)
                || known.stream().anyMatch(s -> s.tolerance() > 0);
    }

    /** How far each element may be off what is said of it, as a fraction. */
    List<Double> tolerances(List<Candidate> filling) {
        return IntStream.range(0, known.size())
                .mapToObj(i -> tolerance(filling, i))
                .toList();
    }

    /** Which elements are joints. */
    List<Boolean> joints() {
        return known.stream().map(Known::joint).toList();
    }

    private double tolerance(List<Candidate> filling, int element) {
        int section = sections.indexOf(element);
        return section >= 0
                ? filling.get(section).tolerance()
                : known.get(element).tolerance();
    }

    /** What each element bears. */
    List<Ratings> ratings(List<Candidate> filling) {
        List<Ratings> ratings =
                new ArrayList<>(known.stream().map(Known::ratings).toList());
        for (int i = 0; i < sections.size(); i++) {
            ratings.set(sections.get(i), filling.get(i).ratings());
        }
        return ratings;
    }

    /**
     * The elements of a run, as far as they have to belong together.
     *
     * @param filled the run with the filling in it
     */
    List<LineJunction.Part> parts(Run filled, List<Candidate> filling) {
        List<Boolean> isBalanced =
                new ArrayList<>(known.stream().map(Known::balanced).toList());
        for (int i = 0; i < sections.size(); i++) {
            isBalanced.set(sections.get(i), filling.get(i).balanced());
        }
        return LineJunction.parts(filled, isBalanced);
    }

    /** What is on offer with a filling. */
    Quotation offer(List<Candidate> filling, Purchase purchase, double radioOhm) {
        double stationOhm = run.stationOhm(sections.get(0), radioOhm);
        Suitability worst = filling.stream()
                .map(c -> Suitability.of(c, stationOhm))
                .max(Suitability::compareTo)
                .orElseThrow();
        ShoppingList list = toBuy(filling, purchase);
        Optional<Currency> currency = purchase.currencyOf(list);
        return new Quotation(
                filling,
                worst,
                currency.flatMap(list::total),
                purchase.budgetIn().or(() -> currency).flatMap(list::total),
                times(purchase.times(), massKg(filling, Double.POSITIVE_INFINITY)),
                mastM.isEmpty() ? mastM : times(purchase.times(), massKg(filling, mastM.getAsDouble())),
                connectorsFit(filling));
    }

    private static OptionalDouble times(int times, OptionalDouble massKg) {
        return massKg.isEmpty() ? massKg : OptionalDouble.of(times * massKg.getAsDouble());
    }

    /** Everything that has to be bought for a filling. */
    public ShoppingList toBuy(List<Candidate> filling, Purchase purchase) {
        return ShoppingList.of(this, filling, purchase);
    }

    /** The cable of a line: the candidate in its section, or the one that stays; empty where nobody says what it is. */
    Optional<Candidate> cableAt(int element, List<Candidate> filling) {
        int section = sections.indexOf(element);
        return section >= 0
                ? Optional.of(filling.get(section))
                : known.get(element).supply().cable();
    }

    /** Mass of so many metres of the run, counted from the antenna, as far as they lie in its sections. */
    private OptionalDouble massKg(List<Candidate> filling, double fromAntennaM) {
        double[] hangingM = hangingM(fromAntennaM);
        double kg = 0;
        for (int i = run.elements().size() - 1; i >= 0; i--) {
            if (run.elements().get(i) instanceof Element.Line) {
                double hanging = hangingM[i];
                int section = sections.indexOf(i);
                if (section >= 0) {
                    OptionalDouble mass = filling.get(section).mechanics().massGPerM();
                    if (mass.isEmpty()) {
                        return mass;
                    }
                    kg += mass.getAsDouble() * hanging / 1000;
                }
            }
        }
        return OptionalDouble.of(kg);
    }

    /** How much of each line lies within so many metres of an antenna; of what several branches share, the most of any. */
    private double[] hangingM(double fromAntennaM) {
        double[] hangingM = new double[run.elements().size()];
        Set<String> branches = run.branches().isEmpty() ? Set.of(Run.COMMON) : Set.copyOf(run.branches());
        for (String branch : branches) {
            double left = fromAntennaM;
            for (int i = run.elements().size() - 1; i >= 0; i--) {
                if (run.isOn(branch, i) && run.elements().get(i) instanceof Element.Line line) {
                    double hanging = Math.min(left, line.lengthM());
                    hangingM[i] = Math.max(hangingM[i], hanging);
                    left -= hanging;
                }
            }
        }
        return hangingM;
    }

    private Optional<Boolean> connectorsFit(List<Candidate> filling) {
        if (socketsFit.isPresent() && !socketsFit.get()) {
            return socketsFit;
        }
        boolean isKnown = true;
        for (int end : ends()) {
            for (int i = 0; i < sections.size(); i++) {
                Optional<Connector> connector = known.get(end).connector();
                if (Math.abs(sections.get(i) - end) == 1 && connector.isPresent()) {
                    Optional<Boolean> fits = connector.get().fits(filling.get(i).mechanics());
                    if (fits.isPresent() && !fits.get()) {
                        return fits;
                    }
                    isKnown &= fits.isPresent();
                }
            }
        }
        return isKnown ? Optional.of(true) : Optional.empty();
    }

    /** The elements that touch a section. */
    private List<Integer> ends() {
        List<Integer> ends = new ArrayList<>();
        for (int i = 0; i < run.elements().size(); i++) {
            if (!sections.contains(i) && (sections.contains(i - 1) || sections.contains(i + 1))) {
                ends.add(i);
            }
        }
        return ends;
    }
}
