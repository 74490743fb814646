package org.eskiz.server.site;

import static java.util.Objects.requireNonNullElse;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Function;
import org.eskiz.core.choice.Bought;
import org.eskiz.server.comparison.RunSheetResponse.ToBuyResponse;
import org.eskiz.server.site.SiteSheetResponse.SiteCableResponse;
import org.eskiz.server.site.SiteSheetResponse.SiteCostResponse;
import org.eskiz.server.site.SiteSheetResponse.SitePartResponse;
import org.eskiz.server.site.SiteSheetResponse.SiteRunResponse;
import org.eskiz.server.site.SiteSheetResponse.SiteTotalsResponse;

/** Adds up what the runs of a site come to, each bought by itself. */
final class SiteTotals {

    private final SiteDocument.WorkSpec work;

    SiteTotals(SiteDocument.WorkSpec work) {
        this.work = work;
    }

    SiteTotalsResponse of(List<SiteRunResponse> runs) {
        List<ToBuyResponse> toBuy =
                runs.stream().flatMap(r -> r.toBuy().stream()).toList();
        return new SiteTotalsResponse(
                costs(toBuy),
                cables(toBuy),
                parts(toBuy),
                hours(runs, toBuy),
                sum(runs, SiteRunResponse::massKg),
                sum(runs.stream().filter(r -> r.onMastKg() != null).toList(), SiteRunResponse::onMastKg),
                unpriced(toBuy));
    }

    private static List<SiteCostResponse> costs(List<ToBuyResponse> toBuy) {
        Map<String, SiteCostResponse> byCurrency = new TreeMap<>();
        for (ToBuyResponse item : toBuy) {
            if (item.cost() != null) {
                var cost = new SiteCostResponse(
                        item.cost().amount(),
                        item.cost().currency(),
                        item.cost().sample());
                byCurrency.merge(
                        cost.currency(),
                        cost,
                        (a, b) -> new SiteCostResponse(
                                plain(a.amount().add(b.amount())), a.currency(), a.sample() || b.sample()));
            }
        }
        return List.copyOf(byCurrency.values());
    }

    private static BigDecimal plain(BigDecimal amount) {
        BigDecimal stripped = amount.stripTrailingZeros();
        return stripped.scale() < 0 ? stripped.setScale(0) : stripped;
    }

    private static List<SiteCableResponse> cables(List<ToBuyResponse> toBuy) {
        Map<String, SiteCableResponse> byName = new LinkedHashMap<>();
        for (ToBuyResponse item : toBuy) {
            if (item.kind() == Bought.Kind.CABLE) {
                String name = requireNonNullElse(item.name(), "a cable");
                byName.merge(
                        name,
                        new SiteCableResponse(name, item.needed(), item.bought()),
                        (a, b) -> new SiteCableResponse(name, a.neededM() + b.neededM(), a.boughtM() + b.boughtM()));
            }
        }
        return List.copyOf(byName.values());
    }

    private static List<SitePartResponse> parts(List<ToBuyResponse> toBuy) {
        Map<String, Integer> byName = new LinkedHashMap<>();
        for (ToBuyResponse item : toBuy) {
            if (item.kind() != Bought.Kind.CABLE) {
                byName.merge(requireNonNullElse(item.name(), "a part"), (int) item.bought(), Integer::sum);
            }
        }
        List<SitePartResponse> parts = new ArrayList<>();
        byName.forEach((name, count) -> parts.add(new SitePartResponse(name, count)));
        return parts;
    }

    private Double hours(List<SiteRunResponse> runs, List<ToBuyResponse> toBuy) {
        if (work.hoursPerRun() == null && work.hoursPerConnector() == null && work.hoursPer10m() == null) {
            return null;
        }
        double connectors = toBuy.stream()
                .filter(t -> t.kind() == Bought.Kind.PLUG)
                .mapToDouble(ToBuyResponse::bought)
                .sum();
        double metres = runs.stream()
                .flatMap(r -> r.lines().stream())
                .mapToDouble(SiteSheetResponse.SiteLineResponse::lengthM)
                .sum();
        return runs.size() * requireNonNullElse(work.hoursPerRun(), 0.0)
                + connectors * requireNonNullElse(work.hoursPerConnector(), 0.0)
                + metres / 10 * requireNonNullElse(work.hoursPer10m(), 0.0);
    }

    /** Null where one of them is not known, or there is none. */
    private static Double sum(List<SiteRunResponse> runs, Function<SiteRunResponse, Double> figure) {
        double sum = 0;
        for (SiteRunResponse run : runs) {
            Double one = figure.apply(run);
            if (one == null) {
                return null;
            }
            sum += one;
        }
        return runs.isEmpty() ? null : sum;
    }

    private static List<String> unpriced(List<ToBuyResponse> toBuy) {
        Set<String> names = new LinkedHashSet<>();
        toBuy.stream().filter(t -> t.cost() == null).forEach(t -> names.add(requireNonNullElse(t.name(), "a part")));
        return List.copyOf(names);
    }
}
