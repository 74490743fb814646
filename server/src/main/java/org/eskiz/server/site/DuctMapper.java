package org.eskiz.server.site;

import java.util.List;
import org.eskiz.core.site.DuctFill;
import org.eskiz.server.site.SiteSheetResponse.DuctResponse;
import org.eskiz.server.site.SiteSheetResponse.SiteLineResponse;
import org.eskiz.server.site.SiteSheetResponse.SiteRunResponse;

/** Writes how full a duct is. Of each run its thickest line lies in it. */
final class DuctMapper {

    private DuctMapper() {}

    static DuctResponse duct(SiteDocument.DuctSpec duct, List<SiteRunResponse> runs) {
        List<SiteRunResponse> in =
                runs.stream().filter(r -> duct.runs().contains(r.planId())).toList();
        List<Double> diametersMm = in.stream()
                .filter(DuctMapper::isKnown)
                .map(DuctMapper::thickestMm)
                .toList();
        DuctFill fill = DuctFill.of(
                duct.boreMm(),
                duct.mostSharePercent() == null ? DuctFill.USUAL_SHARE : duct.mostSharePercent() / 100,
                diametersMm);
        return new DuctResponse(
                duct.id(),
                100 * fill.share(),
                100 * fill.mostShare(),
                fill.roomMm(),
                fill.isOverfilled(),
                in.stream().filter(r -> !isKnown(r)).map(SiteRunResponse::name).toList());
    }

    private static boolean isKnown(SiteRunResponse run) {
        return !run.lines().isEmpty() && run.lines().stream().allMatch(l -> l.outerDiameterMm() != null);
    }

    private static Double thickestMm(SiteRunResponse run) {
        return run.lines().stream()
                .map(SiteLineResponse::outerDiameterMm)
                .max(Double::compare)
                .orElseThrow();
    }
}
