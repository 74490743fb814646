package org.eskiz.server.site;

import static java.util.Objects.requireNonNullElse;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.UUID;
import org.eskiz.core.choice.Money;
import org.eskiz.core.site.SiteBuying.Cut;
import org.eskiz.core.site.SiteBuying.Needed;
import org.eskiz.core.site.SiteBuying.Offer;
import org.eskiz.core.site.SiteBuying.Option;
import org.eskiz.core.site.SiteBuying.Sold;
import org.eskiz.server.comparison.RunOption;
import org.eskiz.server.plan.PlanAtSite;
import org.eskiz.server.site.SiteBuyingResponse.RunLeftOutResponse;

/** The runs of a site with the ways to build each, brought into the core's terms; all of it in one currency. */
final class NeededRuns {

    /** The ways of a run that come after so many others are not looked at, but for those of a cable that is there or on offer. */
    private static final int MOST_OPTIONS = 12;

    private final String currency;
    private final double reserve;
    private final List<SiteDocument.ReelSpec> reels;
    private final List<SiteDocument.OfferSpec> offers;
    private final List<Run> runs = new ArrayList<>();
    private final Map<String, SoldCable> sold = new HashMap<>();
    private final Set<String> unpriced = new LinkedHashSet<>();
    private final List<RunLeftOutResponse> leftOut = new ArrayList<>();

    /** A run that is counted, with its ways by the names that they go by in the core. */
    record Run(PlanAtSite plan, Map<String, RunOption> ways) {}

    /**
     * A cable that is bought.
     *
     * @param key null for one that is not of the catalogue
     */
    record SoldCable(String key, Sold sold) {}

    NeededRuns(String currency, SiteDocument document) {
        this.currency = currency;
        this.reserve = 1 + requireNonNullElse(document.reservePercent(), 0.0) / 100;
        this.reels = requireNonNullElse(document.reels(), List.of());
        this.offers = requireNonNullElse(document.offers(), List.of());
    }

    /**
     * Counts a run.
     *
     * @param pieces of the locker that would do
     * @param cables that would, in the order of its ledger
     */
    void add(PlanAtSite plan, List<RunOption> pieces, List<RunOption> cables) {
        Map<String, RunOption> ways = new LinkedHashMap<>();
        pieces.forEach(p -> ways.put(name(p), p));
        for (RunOption cable : cables) {
            boolean isAmongFirst = ways.size() < pieces.size() + MOST_OPTIONS;
            if (isPriced(cable) && (isAmongFirst || isThereOrOnOffer(cable))) {
                ways.putIfAbsent(name(cable), cable);
            }
        }
        if (ways.isEmpty()) {
            leaveOut(plan, "no cable that would do has a price in " + currency);
        } else {
            runs.add(new Run(plan, ways));
        }
    }

    void leaveOut(PlanAtSite plan, String why) {
        leftOut.add(new RunLeftOutResponse(plan.id(), plan.name(), why));
    }

    List<Run> runs() {
        return runs;
    }

    List<RunLeftOutResponse> leftOut() {
        return leftOut;
    }

    /** Names of ways of which a part has no price in this currency, so that it is not counted. */
    Set<String> unpriced() {
        return unpriced;
    }

    /** The runs for the core. */
    List<Needed> needed() {
        return runs.stream()
                .map(r -> new Needed(
                        r.plan().id().toString(),
                        r.ways().values().stream().map(this::option).toList()))
                .toList();
    }

    /** How each of their cables is sold. */
    Map<String, Sold> sold() {
        Map<String, Sold> byName = new HashMap<>();
        sold.forEach((name, cable) -> byName.put(name, cable.sold()));
        return byName;
    }

    SoldCable cable(String name) {
        return sold.get(name);
    }

    private static String name(RunOption option) {
        return option.piece().map(UUID::toString).orElse(option.name());
    }

    /** Whether every cable of it has a price; parts without one are told and not counted. */
    private boolean isPriced(RunOption option) {
        return option.cuts().stream()
                .allMatch(c -> c.pricePerM().filter(this::isCounted).isPresent());
    }

    private boolean isCounted(Money price) {
        return price.currency().getCurrencyCode().equals(currency);
    }

    private boolean isThereOrOnOffer(RunOption option) {
        return option.cuts().stream()
                .anyMatch(c ->
                        !atHandM(c.cableKey()).isEmpty() || offer(c.cableKey()).isPresent());
    }

    private Option option(RunOption option) {
        double others = 0;
        for (Optional<Money> price : option.others()) {
            if (price.filter(this::isCounted).isPresent()) {
                others += price.get().amount().doubleValue();
            } else {
                unpriced.add(option.name());
            }
        }
        option.cuts().forEach(c -> sold.computeIfAbsent(c.cableName(), n -> new SoldCable(c.cableKey(), sold(c))));
        return new Option(
                name(option),
                option.cuts().stream()
                        .map(c -> new Cut(c.cableName(), c.lengthM() * reserve))
                        .toList(),
                others,
                option.piece().map(UUID::toString));
    }

    private Sold sold(RunOption.CutOfCable cut) {
        return new Sold(
                cut.pricePerM().orElseThrow().amount().doubleValue(),
                cut.soldInM() == null ? OptionalDouble.empty() : OptionalDouble.of(cut.soldInM()),
                atHandM(cut.cableKey()),
                offer(cut.cableKey()));
    }

    private List<Double> atHandM(String cableKey) {
        return reels.stream()
                .filter(r -> r.cableKey().equals(cableKey))
                .map(SiteDocument.ReelSpec::lengthM)
                .toList();
    }

    private Optional<Offer> offer(String cableKey) {
        return offers.stream()
                .filter(o -> o.cableKey().equals(cableKey))
                .findFirst()
                .map(o -> new Offer(o.lengthM(), o.price()));
    }
}
