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
import java.util.stream.IntStream;
import org.eskiz.core.choice.Money;
import org.eskiz.core.site.SiteBuying;
import org.eskiz.core.site.SiteBuying.Answer;
import org.eskiz.core.site.SiteBuying.Cut;
import org.eskiz.core.site.SiteBuying.Needed;
import org.eskiz.core.site.SiteBuying.Option;
import org.eskiz.core.site.SiteBuying.Sold;
import org.eskiz.server.catalogue.Catalogue;
import org.eskiz.server.catalogue.CatalogueService;
import org.eskiz.server.comparison.ComparisonService;
import org.eskiz.server.comparison.RunOption;
import org.eskiz.server.locker.PieceOfLocker;
import org.eskiz.server.plan.PlanAtSite;
import org.eskiz.server.plan.PlansAtSite;
import org.eskiz.server.problem.NotFoundException;
import org.eskiz.server.problem.ValidationErrors;
import org.eskiz.server.site.SiteBuyingResponse.RunLeftOutResponse;
import org.eskiz.server.site.SiteBuyingResponse.SiteAnswerResponse;
import org.eskiz.server.site.SiteBuyingResponse.SiteBoughtResponse;
import org.eskiz.server.site.SiteBuyingResponse.SiteChoiceResponse;
import org.eskiz.server.site.SiteBuyingResponse.SiteCutResponse;
import org.springframework.stereotype.Service;

/** Finds what to buy for all runs of a site at once; stores nothing. */
@Service
class SiteBuyingService {

    /** Options that cost more than so many others of a run are not looked at. */
    private static final int MOST_OPTIONS = 12;

    private final PlansAtSite plans;
    private final PiecesForSite pieces;
    private final ComparisonService comparisons;
    private final CatalogueService catalogues;

    SiteBuyingService(
            PlansAtSite plans, PiecesForSite pieces, ComparisonService comparisons, CatalogueService catalogues) {
        this.plans = plans;
        this.pieces = pieces;
        this.comparisons = comparisons;
        this.catalogues = catalogues;
    }

    SiteBuyingResponse buy(String name, SiteDocument document) {
        ValidationErrors errors = ValidationErrors.in(document);
        errors.throwIfAny();
        List<PlanAtSite> at = plans.at(name);
        if (at.isEmpty()) {
            throw new NotFoundException("site with plans", name);
        }
        return new Shopping(catalogues.current(), document).of(at);
    }

    /** One question, with what it collects on its way. */
    private final class Shopping {

        private final Catalogue catalogue;
        private final String currency;
        private final double reserve;
        private final List<SiteDocument.ReelSpec> reels;
        private final List<SiteDocument.OfferSpec> offers;
        private final Map<String, Sold> sold = new HashMap<>();
        private final Map<String, String> keys = new HashMap<>();
        private final Set<String> unpriced = new LinkedHashSet<>();
        private final List<RunLeftOutResponse> leftOut = new ArrayList<>();

        /** Each run that is counted, in order. */
        private final List<PlanAtSite> counted = new ArrayList<>();

        private final List<Map<String, RunOption>> byName = new ArrayList<>();

        /** Pieces that may be used. */
        private final List<PieceOfLocker> free = pieces.free();

        Shopping(Catalogue catalogue, SiteDocument document) {
            this.catalogue = catalogue;
            this.currency = catalogue.currency().map(c -> c.getCurrencyCode()).orElse("EUR");
            this.reserve = 1 + requireNonNullElse(document.reservePercent(), 0.0) / 100;
            this.reels = requireNonNullElse(document.reels(), List.of());
            this.offers = requireNonNullElse(document.offers(), List.of());
        }

        SiteBuyingResponse of(List<PlanAtSite> at) {
            List<Needed> needed = new ArrayList<>();
            for (PlanAtSite plan : at) {
                needed(plan).ifPresent(needed::add);
            }
            if (needed.isEmpty()) {
                return new SiteBuyingResponse(currency, null, null, null, leftOut, List.copyOf(unpriced));
            }
            return new SiteBuyingResponse(
                    currency,
                    response(SiteBuying.together(needed, sold, SiteBuying.MOST_STEPS)),
                    response(SiteBuying.apart(needed, sold)),
                    response(SiteBuying.oneForAll(needed, sold, SiteBuying.MOST_STEPS)),
                    leftOut,
                    List.copyOf(unpriced));
        }

        private Optional<Needed> needed(PlanAtSite plan) {
            if (plan.built().isEmpty()) {
                leftOut.add(new RunLeftOutResponse(plan.id(), plan.name(), "it cannot be assessed as it stands"));
                return Optional.empty();
            }
            PlanAtSite.Built built = plan.built().get();
            String only = built.isDecided() ? built.inRun().row().id() : null;
            Map<String, RunOption> options = new LinkedHashMap<>();
            List<RunOption> cables = comparisons.options(catalogue, built.asked(), only);
            if (only == null && !cables.isEmpty()) {
                pieces.options(catalogue, plan, free, cables.get(0).verdict()).forEach(o -> options.put(id(o), o));
            }
            int pieceOptions = options.size();
            for (RunOption option : cables) {
                boolean isAmongFirst = options.size() < MOST_OPTIONS + pieceOptions;
                if (isPriced(option) && (isAmongFirst || isThereOrOnOffer(option))) {
                    options.putIfAbsent(id(option), option);
                }
            }
            if (options.isEmpty()) {
                leftOut.add(new RunLeftOutResponse(
                        plan.id(), plan.name(), "no cable that would do has a price in " + currency));
                return Optional.empty();
            }
            counted.add(plan);
            byName.add(options);
            return Optional.of(new Needed(
                    plan.id().toString(),
                    options.values().stream().map(this::option).toList()));
        }

        private static String id(RunOption option) {
            return option.piece().map(UUID::toString).orElse(option.name());
        }

        private boolean isThereOrOnOffer(RunOption option) {
            return option.cuts().stream()
                    .anyMatch(c -> !atHandM(c.cableKey()).isEmpty()
                            || offer(c.cableKey()).isPresent());
        }

        /** Whether every cable of it has a price; parts without one are told and not counted. */
        private boolean isPriced(RunOption option) {
            return option.cuts().stream()
                    .allMatch(c -> c.pricePerM().filter(this::isCounted).isPresent());
        }

        private boolean isCounted(Money price) {
            return price.currency().getCurrencyCode().equals(currency);
        }

        private Option option(RunOption option) {
            double others = 0;
            for (Optional<Money> price : option.others()) {
                if (price.filter(this::isCounted).isPresent()) {
                    others += price.get().amount().doubleValue();
                } else {
                    unpriced.add("a part of " + option.name());
                }
            }
            option.cuts().forEach(this::sells);
            return new Option(
                    id(option),
                    option.cuts().stream()
                            .map(c -> new Cut(c.cableName(), c.lengthM() * reserve))
                            .toList(),
                    others,
                    option.piece().map(UUID::toString));
        }

        private void sells(RunOption.CutOfCable cut) {
            keys.put(cut.cableName(), cut.cableKey());
            sold.computeIfAbsent(
                    cut.cableName(),
                    name -> new Sold(
                            cut.pricePerM().orElseThrow().amount().doubleValue(),
                            cut.soldInM() == null ? OptionalDouble.empty() : OptionalDouble.of(cut.soldInM()),
                            atHandM(cut.cableKey()),
                            offer(cut.cableKey())));
        }

        private Optional<SiteBuying.Offer> offer(String cableKey) {
            return offers.stream()
                    .filter(o -> o.cableKey().equals(cableKey))
                    .findFirst()
                    .map(o -> new SiteBuying.Offer(o.lengthM(), o.price()));
        }

        private List<Double> atHandM(String cableKey) {
            return reels.stream()
                    .filter(r -> r.cableKey().equals(cableKey))
                    .map(SiteDocument.ReelSpec::lengthM)
                    .toList();
        }

        private SiteAnswerResponse response(Optional<Answer> answer) {
            return answer.map(this::response).orElse(null);
        }

        private SiteAnswerResponse response(Answer answer) {
            return new SiteAnswerResponse(
                    answer.cost(),
                    answer.isProven(),
                    IntStream.range(0, counted.size())
                            .mapToObj(i -> choice(i, answer.chosen().get(i)))
                            .toList(),
                    bought(answer));
        }

        private SiteChoiceResponse choice(int run, Option chosen) {
            RunOption option = byName.get(run).get(chosen.name());
            return new SiteChoiceResponse(
                    counted.get(run).id(),
                    option.rowId(),
                    option.name(),
                    option.piece().isPresent());
        }

        private List<SiteBoughtResponse> bought(Answer answer) {
            Map<String, List<SiteCutResponse>> cuts = new LinkedHashMap<>();
            for (int i = 0; i < counted.size(); i++) {
                PlanAtSite run = counted.get(i);
                answer.chosen()
                        .get(i)
                        .cuts()
                        .forEach(c -> cuts.computeIfAbsent(c.cable(), name -> new ArrayList<>())
                                .add(new SiteCutResponse(run.id(), run.name(), c.lengthM())));
            }
            List<SiteBoughtResponse> bought = new ArrayList<>();
            cuts.forEach((cable, of) -> bought.add(bought(cable, of)));
            return bought;
        }

        private SiteBoughtResponse bought(String cable, List<SiteCutResponse> cuts) {
            Sold from = sold.get(cable);
            double neededM = cuts.stream().mapToDouble(SiteCutResponse::lengthM).sum();
            SiteBuying.Way way = SiteBuying.cheapest(
                    from, cuts.stream().map(SiteCutResponse::lengthM).toList());
            return new SiteBoughtResponse(
                    cable,
                    keys.get(cable),
                    neededM,
                    way.boughtM(),
                    from.inM().isEmpty() ? null : from.inM().getAsDouble(),
                    way.reels(),
                    from.offer().map(SiteBuying.Offer::lengthM).orElse(null),
                    cuts);
        }
    }
}
