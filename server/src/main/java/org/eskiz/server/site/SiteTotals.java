package org.eskiz.server.site;

import static java.util.Objects.requireNonNullElse;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import org.eskiz.core.choice.Bought;
import org.eskiz.server.comparison.RunSheetResponse.ToBuyResponse;
import org.eskiz.server.site.SiteSheetResponse.SiteCableResponse;
import org.eskiz.server.site.SiteSheetResponse.SitePartResponse;
import org.eskiz.server.site.SiteSheetResponse.SiteRunResponse;
import org.eskiz.server.site.SiteSheetResponse.SiteTotalsResponse;

/** Adds up what the runs of a site come to; what it costs is a matter of how it is bought. */
final class SiteTotals {

    private final SiteDocument.WorkSpec work;

    SiteTotals(SiteDocument.WorkSpec work) {
        this.work = work;
    }

    SiteTotalsResponse of(List<SiteRunResponse> runs) {
        List<ToBuyResponse> toBuy =
                runs.stream().flatMap(r -> r.toBuy().stream()).toList();
        return new SiteTotalsResponse(
                cables(runs),
                parts(toBuy),
                hours(runs, toBuy),
                sum(runs, SiteRunResponse::massKg),
                sum(runs.stream().filter(r -> r.onMastKg() != null).toList(), SiteRunResponse::onMastKg),
                unpriced(toBuy));
    }

    /** What is cut, allowances and reserve included. */
    private static List<SiteCableResponse> cables(List<SiteRunResponse> runs) {
        Map<String, Double> byName = new LinkedHashMap<>();
        runs.stream()
                .flatMap(r -> r.lines().stream())
                .filter(l -> !l.isOwned())
                .forEach(l -> byName.merge(l.name(), l.cutM(), Double::sum));
        List<SiteCableResponse> cables = new ArrayList<>();
        byName.forEach((name, cutM) -> cables.add(new SiteCableResponse(name, cutM)));
        return cables;
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
