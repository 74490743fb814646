package org.eskiz.server.site;

import static java.util.Objects.requireNonNullElse;

import java.util.List;
import java.util.Optional;
import org.eskiz.server.catalogue.CableType;
import org.eskiz.server.catalogue.Catalogue;
import org.eskiz.server.comparison.ComparisonService;
import org.eskiz.server.comparison.RunSheetResponse;
import org.eskiz.server.document.RunElement;
import org.eskiz.server.plan.PlanAtSite;
import org.eskiz.server.site.SiteSheetResponse.SiteLineResponse;
import org.eskiz.server.site.SiteSheetResponse.SiteRunResponse;

/** Writes one run of a site. */
final class SiteRunMapper {

    private final ComparisonService comparisons;
    private final Catalogue catalogue;
    private final SiteDocument site;

    SiteRunMapper(ComparisonService comparisons, Catalogue catalogue, SiteDocument site) {
        this.comparisons = comparisons;
        this.catalogue = catalogue;
        this.site = site;
    }

    SiteRunResponse run(PlanAtSite plan) {
        return plan.inRun()
                .map(laid -> finished(plan, laid))
                .orElseGet(() -> new SiteRunResponse(
                        plan.id(), plan.name(), false, null, false, List.of(), List.of(), null, null));
    }

    private SiteRunResponse finished(PlanAtSite plan, PlanAtSite.WithCable inRun) {
        List<RunElement> run = inRun.laid().assessment().run();
        RunSheetResponse sheet = comparisons.runSheet(
                catalogue, inRun.asked(), inRun.laid().row().id());
        List<SiteLineResponse> lines = lines(sheet, run);
        return new SiteRunResponse(
                plan.id(),
                plan.name(),
                true,
                inRun.sketch().orElse(null),
                run.stream().anyMatch(SiteRunMapper::isArrestor),
                lines,
                sheet.toBuy(),
                massKg(lines, Double.POSITIVE_INFINITY),
                onMastM(plan).map(m -> massKg(lines, m)).orElse(null));
    }

    private Optional<Double> onMastM(PlanAtSite plan) {
        return requireNonNullElse(site.onMast(), List.<SiteDocument.OnMastSpec>of()).stream()
                .filter(m -> m.run().equals(plan.id()))
                .map(SiteDocument.OnMastSpec::lengthM)
                .findFirst();
    }

    private static boolean isArrestor(RunElement element) {
        return element instanceof RunElement.Device d
                && (d.form() == RunElement.DeviceForm.ARRESTOR || "arrestor".equalsIgnoreCase(d.name()));
    }

    private List<SiteLineResponse> lines(RunSheetResponse sheet, List<RunElement> run) {
        double reserve = 1 + requireNonNullElse(site.reservePercent(), 0.0) / 100;
        return sheet.cuts().stream()
                .map(cut -> line(cut, (RunElement.Line) run.get(cut.element()), reserve))
                .toList();
    }

    private SiteLineResponse line(RunSheetResponse.SectionCutResponse cut, RunElement.Line line, double reserve) {
        return new SiteLineResponse(
                cut.element(),
                cut.name(),
                line.cableKey(),
                cut.runM(),
                cut.isOwned() ? cut.cutM() : cut.cutM() * reserve,
                cut.isOwned(),
                facts(line).map(f -> f.mechanics().outerDiameterMm()).orElse(null));
    }

    private Optional<CableType.Facts> facts(RunElement.Line line) {
        return line.typeIn(catalogue).map(CableType::facts);
    }

    /** Of so many metres, from the antenna on; null where the mass of one of its cables is not known. */
    private Double massKg(List<SiteLineResponse> lines, double fromAntennaM) {
        double left = fromAntennaM;
        double kg = 0;
        for (int i = lines.size() - 1; i >= 0; i--) {
            double hanging = Math.min(left, lines.get(i).lengthM());
            left -= hanging;
            Double gPerM = lines.get(i).cableKey() == null
                    ? null
                    : catalogue
                            .cableType(lines.get(i).cableKey())
                            .map(t -> t.facts().mechanics().massGPerM())
                            .orElse(null);
            if (hanging > 0 && gPerM == null) {
                return null;
            }
            kg += hanging > 0 ? gPerM * hanging / 1000 : 0;
        }
        return kg;
    }
}
