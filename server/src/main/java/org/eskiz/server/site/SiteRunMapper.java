package org.eskiz.server.site;

import static java.util.Objects.requireNonNullElse;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.eskiz.server.assessment.AssessmentResponse;
import org.eskiz.server.catalogue.CableType;
import org.eskiz.server.catalogue.Catalogue;
import org.eskiz.server.comparison.RunSheetResponse;
import org.eskiz.server.document.BandSpec;
import org.eskiz.server.document.RunElement;
import org.eskiz.server.plan.PlanAtSite;
import org.eskiz.server.site.SiteSheetResponse.SiteElementResponse;
import org.eskiz.server.site.SiteSheetResponse.SiteLineResponse;
import org.eskiz.server.site.SiteSheetResponse.SiteRunResponse;

/** Writes one run of a site. */
final class SiteRunMapper {

    private final Catalogue catalogue;
    private final SiteDocument site;

    SiteRunMapper(Catalogue catalogue, SiteDocument site) {
        this.catalogue = catalogue;
        this.site = site;
    }

    SiteRunResponse run(PlanAtSite plan) {
        return plan.built().map(b -> built(plan, b)).orElseGet(() -> unfinished(plan));
    }

    private static SiteRunResponse unfinished(PlanAtSite plan) {
        return new SiteRunResponse(
                plan.id(),
                plan.version(),
                plan.name(),
                true,
                null,
                null,
                null,
                null,
                null,
                null,
                null,
                false,
                false,
                List.of(),
                List.of(),
                List.of(),
                null,
                null);
    }

    private SiteRunResponse built(PlanAtSite plan, PlanAtSite.Built built) {
        int deciding = built.inRun().row().decidingBand();
        BandSpec band = built.inRun().assessment().bands().get(deciding);
        Optional<AssessmentResponse.BandResponse> figures =
                Optional.ofNullable(built.inRun().bands().get(deciding));
        Double radioW = radioW(built, band);
        List<RunElement> run = built.inRun().assessment().run();
        List<SiteLineResponse> lines = lines(built, run);
        return new SiteRunResponse(
                plan.id(),
                plan.version(),
                plan.name(),
                false,
                built.inRun().row().name(),
                built.standing(),
                built.inRun().row().verdict(),
                band.name() == null ? band.frequencyMHz() + " MHz" : band.name(),
                figures.map(AssessmentResponse.BandResponse::totalLossDb).orElse(null),
                radioW,
                figures.map(AssessmentResponse.BandResponse::powerAtAntennaW).orElse(null),
                radioW != null,
                run.stream().anyMatch(SiteRunMapper::isArrestor),
                figures.map(f -> elements(run, f)).orElse(List.of()),
                lines,
                built.sheet().toBuy(),
                massKg(lines, Double.POSITIVE_INFINITY),
                onMastM(plan).map(m -> massKg(lines, m)).orElse(null));
    }

    private static Double radioW(PlanAtSite.Built built, BandSpec band) {
        var radio = built.inRun().assessment().radio();
        return band.powerW() != null || radio == null ? band.powerW() : radio.powerW();
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

    private static List<SiteElementResponse> elements(List<RunElement> run, AssessmentResponse.BandResponse figures) {
        List<SiteElementResponse> elements = new ArrayList<>();
        for (int i = 0; i < run.size(); i++) {
            AssessmentResponse.ElementResponse of = figures.elements().get(i);
            if (of.aside() == null) {
                boolean isLine = run.get(i) instanceof RunElement.Line;
                elements.add(new SiteElementResponse(
                        isLine ? "LINE" : "JOINT", isLine ? ((RunElement.Line) run.get(i)).lengthM() : 0, of.lossDb()));
            }
        }
        return elements;
    }

    private List<SiteLineResponse> lines(PlanAtSite.Built built, List<RunElement> run) {
        double reserve = 1 + requireNonNullElse(site.reservePercent(), 0.0) / 100;
        return built.sheet().cuts().stream()
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
