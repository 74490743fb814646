package org.eskiz.server.site;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.eskiz.core.site.SiteBuying;
import org.eskiz.core.site.SiteBuying.Answer;
import org.eskiz.core.site.SiteBuying.Option;
import org.eskiz.core.site.SiteBuying.Sold;
import org.eskiz.server.comparison.RunOption;
import org.eskiz.server.plan.PlanAtSite;
import org.eskiz.server.site.SiteBuyingResponse.SiteAnswerResponse;
import org.eskiz.server.site.SiteBuyingResponse.SiteBoughtResponse;
import org.eskiz.server.site.SiteBuyingResponse.SiteChoiceResponse;
import org.eskiz.server.site.SiteBuyingResponse.SiteCutResponse;

/** Writes one way to buy for all runs of a site. */
final class SiteAnswerMapper {

    private final NeededRuns needed;

    SiteAnswerMapper(NeededRuns needed) {
        this.needed = needed;
    }

    SiteAnswerResponse response(Answer answer) {
        return new SiteAnswerResponse(
                answer.cost(),
                answer.isProven(),
                IntStream.range(0, answer.chosen().size())
                        .mapToObj(i ->
                                choice(needed.runs().get(i), answer.chosen().get(i)))
                        .toList(),
                bought(answer));
    }

    private static SiteChoiceResponse choice(NeededRuns.Run run, Option chosen) {
        RunOption way = run.ways().get(chosen.name());
        return new SiteChoiceResponse(
                run.plan().id(), way.rowId(), way.name(), way.piece().isPresent());
    }

    private List<SiteBoughtResponse> bought(Answer answer) {
        Map<String, List<SiteCutResponse>> cuts = new LinkedHashMap<>();
        for (int i = 0; i < answer.chosen().size(); i++) {
            PlanAtSite run = needed.runs().get(i).plan();
            answer.chosen()
                    .get(i)
                    .cuts()
                    .forEach(c -> cuts.computeIfAbsent(c.cable(), name -> new ArrayList<>())
                            .add(new SiteCutResponse(run.id(), run.name(), c.lengthM())));
        }
        return cuts.entrySet().stream()
                .map(of -> bought(of.getKey(), of.getValue()))
                .toList();
    }

    private SiteBoughtResponse bought(String cable, List<SiteCutResponse> cuts) {
        Sold from = needed.cable(cable).sold();
        List<Double> cutsM = cuts.stream().map(SiteCutResponse::lengthM).toList();
        SiteBuying.Way way = SiteBuying.cheapest(from, cutsM);
        return new SiteBoughtResponse(
                cable,
                needed.cable(cable).key(),
                cutsM.stream().mapToDouble(m -> m).sum(),
                way.boughtM(),
                from.inM().isEmpty() ? null : from.inM().getAsDouble(),
                way.reels(),
                from.offer().map(SiteBuying.Offer::lengthM).orElse(null),
                cuts);
    }
}
