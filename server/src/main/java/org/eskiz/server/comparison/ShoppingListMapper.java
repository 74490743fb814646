package org.eskiz.server.comparison;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.eskiz.core.choice.Bought;
import org.eskiz.core.choice.Comparison;
import org.eskiz.core.choice.Money;
import org.eskiz.core.choice.Row;
import org.eskiz.core.choice.ShoppingList;
import org.eskiz.server.catalogue.Catalogue;
import org.eskiz.server.catalogue.Connector;
import org.eskiz.server.comparison.ComparisonResponse.CostResponse;
import org.eskiz.server.document.RunElement;

/** Writes what is bought for a row, and what it comes to. */
final class ShoppingListMapper {

    private final ComparisonRequest request;
    private final CandidateMapper candidates;
    private final Comparison comparison;
    private final Catalogue catalogue;

    ShoppingListMapper(
            ComparisonRequest request, CandidateMapper candidates, Comparison comparison, Catalogue catalogue) {
        this.request = request;
        this.candidates = candidates;
        this.comparison = comparison;
        this.catalogue = catalogue;
    }

    ShoppingList list(Row row) {
        return comparison.place().toBuy(row.filling(), comparison.purchase());
    }

    /** Null where the price of a cable is not known. */
    CostResponse cost(Row row, ShoppingList list) {
        return row.cost()
                .map(total -> {
                    List<Bought> in = list.items().stream()
                            .filter(b -> b.amount()
                                    .map(m -> m.currency().equals(total.currency()))
                                    .orElse(false))
                            .toList();
                    List<String> samples = in.stream()
                            .filter(this::isSample)
                            .map(this::name)
                            .filter(Objects::nonNull)
                            .distinct()
                            .toList();
                    boolean isAllSample = in.stream().allMatch(this::isSample);
                    return cost(total, in.stream().anyMatch(this::isSample), isAllSample ? List.of() : samples);
                })
                .orElse(null);
    }

    /** What is bought and not in the cost of the row. */
    List<ComparisonResponse.UnpricedResponse> notInCost(ShoppingList list) {
        return list.notIn(comparison.purchase().currency().orElseThrow()).stream()
                .map(b -> new ComparisonResponse.UnpricedResponse(
                        b.kind(),
                        name(b),
                        b.element().isEmpty() ? null : b.element().getAsInt(),
                        b.amount().map(m -> cost(m, isSample(b), List.of())).orElse(null)))
                .distinct()
                .toList();
    }

    /** The whole of it; what is the same stands once. */
    List<RunSheetResponse.ToBuyResponse> toBuy(Row row) {
        Map<List<Object>, RunSheetResponse.ToBuyResponse> byName = new LinkedHashMap<>();
        for (Bought b : list(row).items()) {
            var item = new RunSheetResponse.ToBuyResponse(
                    b.kind(),
                    name(b),
                    b.element().isEmpty() ? List.of() : List.of(b.element().getAsInt()),
                    b.needed(),
                    b.bought(),
                    b.amount().map(m -> cost(m, isSample(b), List.of())).orElse(null));
            byName.merge(key(item), item, ShoppingListMapper::together);
        }
        return List.copyOf(byName.values());
    }

    /** What has no name is not the same as anything else without one; nor are currencies added up. */
    private static List<Object> key(RunSheetResponse.ToBuyResponse item) {
        return List.of(
                item.kind(),
                item.name() == null ? item.elements() : item.name(),
                item.cost() == null ? "" : item.cost().currency());
    }

    private static RunSheetResponse.ToBuyResponse together(
            RunSheetResponse.ToBuyResponse a, RunSheetResponse.ToBuyResponse b) {
        List<Integer> elements = new ArrayList<>(a.elements());
        elements.addAll(b.elements());
        return new RunSheetResponse.ToBuyResponse(
                a.kind(),
                a.name(),
                elements,
                a.needed() + b.needed(),
                a.bought() + b.bought(),
                a.cost() == null || b.cost() == null
                        ? null
                        : new CostResponse(
                                a.cost().amount().add(b.cost().amount()),
                                a.cost().currency(),
                                a.cost().sample() || b.cost().sample(),
                                List.of()));
    }

    private String name(Bought item) {
        if (item.cable().isPresent()) {
            return candidates.nameOf(item.cable().get());
        }
        RunElement element = request.run().get(item.element().orElseThrow());
        return item.kind() == Bought.Kind.PLUG
                ? connector(item).map(Connector::name).orElse(null)
                : Optional.ofNullable(element.name())
                        .or(() -> connector(item).map(Connector::name))
                        .orElse(null);
    }

    private Optional<Connector> connector(Bought item) {
        return request.run().get(item.element().orElseThrow()) instanceof RunElement.Joint joint
                ? Optional.ofNullable(joint.connectorKey()).flatMap(catalogue::connector)
                : Optional.empty();
    }

    private boolean isSample(Bought item) {
        if (item.cable().isPresent()) {
            return candidates.isSample(item.cable().get());
        }
        return item.kind() == Bought.Kind.PLUG
                && comparison.purchase().readyMadeEnd().isEmpty()
                && connector(item).map(Connector::priceIsSample).orElse(false);
    }

    private static CostResponse cost(Money cost, boolean isSample, List<String> samples) {
        BigDecimal amount = cost.amount().stripTrailingZeros();
        return new CostResponse(
                amount.scale() < 0 ? amount.setScale(0) : amount,
                cost.currency().getCurrencyCode(),
                isSample,
                samples);
    }
}
