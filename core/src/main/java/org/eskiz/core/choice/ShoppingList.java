package org.eskiz.core.choice;

import java.util.ArrayList;
import java.util.Currency;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.eskiz.core.run.Element;

/**
 * Everything in a run that its operator does not own, with its number: what is needed, and what is bought so that it is
 * there. What a row costs is the sum of it.
 *
 * @param items each cable once, then what is made up on it, in the order of the run
 */
public record ShoppingList(List<Bought> items) {

    public ShoppingList {
        items = List.copyOf(items);
    }

    /** For a place filled with some cables. */
    static ShoppingList of(ReplaceableRun place, List<Candidate> filling, Purchase purchase) {
        List<Bought> items = new ArrayList<>();
        cuts(place, filling, purchase)
                .forEach((cable, cutsM) -> items.add(Bought.cable(
                        cable, cutsM.stream().mapToDouble(m -> m).sum(), Cuts.boughtM(cutsM, cable.soldInM()))));
        for (int i = 0; i < place.run().elements().size(); i++) {
            if (!place.known().get(i).supply().owned()) {
                items.addAll(madeUp(place, filling, purchase, i));
            }
        }
        return new ShoppingList(items);
    }

    /** What is cut of each cable, as often as the run is needed. */
    private static Map<Candidate, List<Double>> cuts(ReplaceableRun place, List<Candidate> filling, Purchase purchase) {
        Map<Candidate, List<Double>> cuts = new LinkedHashMap<>();
        for (int i = 0; i < place.run().elements().size(); i++) {
            if (isCut(place, filling, i)) {
                double cutM = purchase.allowances()
                        .toCutM(((Element.Line) place.run().elements().get(i)).lengthM());
                List<Double> ofCable =
                        cuts.computeIfAbsent(place.cableAt(i, filling).orElseThrow(), c -> new ArrayList<>());
                for (int n = 0; n < purchase.times(); n++) {
                    ofCable.add(cutM);
                }
            }
        }
        return cuts;
    }

    /** Whether an element is a length of cable that has to be cut and fitted with ends. */
    private static boolean isCut(ReplaceableRun place, List<Candidate> filling, int element) {
        if (!isLine(place, element)
                || place.cableAt(element, filling).map(Candidate::owned).orElse(true)) {
            return false;
        }
        Supply supply = place.known().get(element).supply();
        return place.sections().contains(element)
                || !supply.owned() && supply.price().isEmpty();
    }

    private static boolean isLine(ReplaceableRun place, int element) {
        return element >= 0
                && element < place.run().elements().size()
                && place.run().elements().get(element) instanceof Element.Line line
                && !line.isAbsent();
    }

    private static List<Bought> madeUp(ReplaceableRun place, List<Candidate> filling, Purchase purchase, int element) {
        ReplaceableRun.Known known = place.known().get(element);
        int times = purchase.times();
        if (place.run().elements().get(element) instanceof Element.Line) {
            return known.supply()
                    .price()
                    .filter(p -> isLine(place, element) && !place.sections().contains(element))
                    .map(p -> List.of(Bought.pieces(Bought.Kind.PIECE, element, times, Optional.of(p))))
                    .orElse(List.of());
        }
        if (!known.joint()) {
            return List.of(Bought.pieces(
                    Bought.Kind.PIECE, element, times, known.supply().price()));
        }
        List<Bought> items = new ArrayList<>();
        int plugs = times * plugs(place, filling, element);
        if (plugs > 0) {
            Optional<Money> price =
                    purchase.readyMadeEnd().or(() -> known.connector().flatMap(ReplaceableRun.Connector::price));
            items.add(Bought.pieces(Bought.Kind.PLUG, element, plugs, price));
        }
        if (known.supply().barrel()) {
            items.add(Bought.pieces(
                    Bought.Kind.BARREL, element, times, known.supply().price()));
        }
        return items;
    }

    /** One for every end of cable that meets in a joint and has none yet; one for a joint at which no cable ends. */
    private static int plugs(ReplaceableRun place, List<Candidate> filling, int joint) {
        if (!isLine(place, joint - 1) && !isLine(place, joint + 1)) {
            return place.known().get(joint).supply().barrel() ? 0 : 1;
        }
        return (isCut(place, filling, joint - 1) ? 1 : 0) + (isCut(place, filling, joint + 1) ? 1 : 0);
    }

    /**
     * What it comes to in one currency, of what has a price in it.
     *
     * @return empty where a cable has none: cables are what is compared
     */
    public Optional<Money> total(Currency currency) {
        boolean isEveryCablePriced =
                items.stream().filter(b -> b.kind() == Bought.Kind.CABLE).allMatch(b -> isIn(currency, b));
        return isEveryCablePriced
                ? Optional.of(items.stream()
                        .filter(b -> isIn(currency, b))
                        .map(b -> b.amount().orElseThrow())
                        .reduce((a, b) -> a.plus(b).orElseThrow())
                        .orElse(Money.none(currency)))
                : Optional.empty();
    }

    /** What is not in the total: without a price, or priced in another currency. */
    public List<Bought> notIn(Currency currency) {
        return items.stream().filter(b -> !isIn(currency, b)).toList();
    }

    private static boolean isIn(Currency currency, Bought item) {
        return item.amount().map(m -> m.currency().equals(currency)).orElse(false);
    }
}
