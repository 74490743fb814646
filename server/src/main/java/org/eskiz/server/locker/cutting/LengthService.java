package org.eskiz.server.locker.cutting;

import static java.util.Objects.requireNonNullElse;

import java.util.ArrayList;
import java.util.List;
import org.eskiz.core.cable.Attenuation;
import org.eskiz.core.choice.Allowances;
import org.eskiz.core.kit.CutPlan;
import org.eskiz.core.kit.LengthSets;
import org.eskiz.core.kit.Site;
import org.eskiz.server.catalogue.CableType;
import org.eskiz.server.catalogue.Catalogue;
import org.eskiz.server.catalogue.CatalogueService;
import org.eskiz.server.catalogue.Connector;
import org.eskiz.server.problem.ValidationErrors;
import org.springframework.stereotype.Service;

/** Works out lengths: which set serves several sites, and what to cut from which reel. */
@Service
class LengthService {

    private static final double G_PER_KG = 1000;
    private static final int USUAL_MOST_PIECES = 4;

    private final CatalogueService catalogues;

    LengthService(CatalogueService catalogues) {
        this.catalogues = catalogues;
    }

    LengthSetResponse sets(LengthSetRequest request) {
        ValidationErrors errors = ValidationErrors.in(request);
        Catalogue catalogue = catalogues.current();
        if (request.cableKey() != null
                && catalogue.cableType(request.cableKey()).isEmpty()) {
            errors.add("cableKey", "there is no cable type \"" + request.cableKey() + "\"");
        }
        if (request.connectorKey() != null
                && catalogue.connector(request.connectorKey()).isEmpty()) {
            errors.add("connectorKey", "there is no connector \"" + request.connectorKey() + "\"");
        }
        errors.throwIfAny();
        CableType cable = catalogue.cableType(request.cableKey()).orElseThrow();
        Double massGPerM = cable.facts().mechanics().massGPerM();
        LengthSets.Result result = LengthSets.search(
                wanted(
                        request,
                        cable,
                        catalogue.connector(request.connectorKey()).orElseThrow()),
                LengthSets.MOST_STEPS);
        return new LengthSetResponse(
                result.best().stream().map(s -> set(s, massGPerM != null)).toList(),
                result.isProven(),
                result.setsTried());
    }

    private static LengthSets.Wanted wanted(LengthSetRequest request, CableType cable, Connector c) {
        double pairDb = c.loss().lossDb(request.frequencyMHz());
        double dbPer100m =
                cable.fittedCable().attenuation().dbPer100m(request.frequencyMHz(), Attenuation.SHEET_TEMPERATURE_C);
        return new LengthSets.Wanted(
                request.sites().stream()
                        .map(s -> new Site(s.name(), s.lengthM(), requireNonNullElse(s.visits(), 1)))
                        .toList(),
                dbPer100m / 100,
                pairDb * requireNonNullElse(request.pairsBetween(), 2),
                requireNonNullElse(cable.facts().mechanics().massGPerM(), 0.0) / G_PER_KG,
                requireNonNullElse(request.stepM(), 1.0),
                requireNonNullElse(request.mostPieces(), USUAL_MOST_PIECES),
                Boolean.TRUE.equals(request.lightestFirst()));
    }

    private static LengthSetResponse.SetResponse set(LengthSets.LengthSet s, boolean isMassKnown) {
        return new LengthSetResponse.SetResponse(
                s.lengthsM(),
                s.uses().stream()
                        .map(u -> new LengthSetResponse.UseResponse(u.lengthsM(), u.lossDb(), u.leftOverM()))
                        .toList(),
                s.meanLossDb(),
                s.worstLossDb(),
                isMassKnown ? s.massKg() : null);
    }

    CutPlanResponse cuts(CutPlanRequest request) {
        ValidationErrors errors = ValidationErrors.in(request);
        boolean hasReels = request.reels() != null && !request.reels().isEmpty();
        if (!hasReels && request.soldInM() == null) {
            errors.add("reels", "there is nothing to cut from: name a reel at hand, or what can be bought");
        }
        errors.throwIfAny();
        List<CutPlan.Cut> cuts = cutsOf(request);
        CutPlan plan = CutPlan.of(
                cuts,
                requireNonNullElse(request.reels(), List.<CutPlanRequest.ReelRequest>of()).stream()
                        .map(r -> new CutPlan.Reel(r.name(), r.lengthM(), false))
                        .toList(),
                requireNonNullElse(request.soldInM(), 0.0),
                CutPlan.MOST_STEPS);
        return new CutPlanResponse(
                plan.begun().stream()
                        .map(b -> new CutPlanResponse.BegunReelResponse(
                                b.reel().name(),
                                b.reel().lengthM(),
                                b.reel().isBought(),
                                b.cuts().stream().map(LengthService::cut).toList(),
                                b.leftM()))
                        .toList(),
                plan.uncut().stream().map(LengthService::cut).toList(),
                plan.isProven(),
                cuts.stream().mapToDouble(CutPlan.Cut::lengthM).sum(),
                plan.boughtM(),
                plan.leftM(),
                plan.longestRestM());
    }

    private static List<CutPlan.Cut> cutsOf(CutPlanRequest request) {
        CutPlanRequest.AllowancesRequest a =
                requireNonNullElse(request.allowances(), new CutPlanRequest.AllowancesRequest(null, null, null));
        var allowances = new Allowances(
                requireNonNullElse(a.eachEndM(), 0.0),
                requireNonNullElse(a.dripLoopM(), 0.0),
                requireNonNullElse(a.serviceLoopM(), 0.0));
        List<CutPlan.Cut> cuts = new ArrayList<>();
        for (CutPlanRequest.CutRequest cut : request.cuts()) {
            int count = requireNonNullElse(cut.count(), 1);
            for (int i = 1; i <= count; i++) {
                String name = count == 1 ? cut.name() : cut.name() + ", " + i + " of " + count;
                cuts.add(new CutPlan.Cut(name, allowances.toCutM(cut.lengthM())));
            }
        }
        return cuts;
    }

    private static CutPlanResponse.CutResponse cut(CutPlan.Cut cut) {
        return new CutPlanResponse.CutResponse(cut.name(), cut.lengthM());
    }
}
