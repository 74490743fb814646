package org.eskiz.server.site;

import static java.util.Objects.requireNonNullElse;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.eskiz.core.run.Element;
import org.eskiz.core.run.Run;
import org.eskiz.core.site.InPhase;
import org.eskiz.server.catalogue.Catalogue;
import org.eskiz.server.document.AssessmentSpec;
import org.eskiz.server.document.DocumentMapper;
import org.eskiz.server.plan.PlanAtSite;
import org.eskiz.server.site.SiteSheetResponse.PhasedResponse;
import org.eskiz.server.site.SiteSheetResponse.TrimResponse;

/** Writes what becomes of two lines that are fed in phase. */
final class PhasedMapper {

    private static final double USUAL_LENGTH_OFF_MM = 10;
    private static final double USUAL_VELOCITY_OFF_PERCENT = 2;

    private final Catalogue catalogue;
    private final List<PlanAtSite> plans;

    PhasedMapper(Catalogue catalogue, List<PlanAtSite> plans) {
        this.catalogue = catalogue;
        this.plans = plans;
    }

    PhasedResponse phased(SiteDocument.PhasedSpec spec) {
        Optional<InPhase.Line> first = line(spec.first(), spec);
        Optional<InPhase.Line> second = line(spec.second(), spec);
        if (first.isEmpty() || second.isEmpty()) {
            return unknown(spec, first.isEmpty() ? spec.first() : spec.second());
        }
        boolean isSameCable = cable(spec.first()).equals(cable(spec.second()));
        double wanted = requireNonNullElse(spec.wantedDegrees(), 0.0);
        var pair = new InPhase(spec.frequencyMHz(), first.get(), second.get());
        return new PhasedResponse(
                spec.id(),
                null,
                first.get().lengthM(),
                second.get().lengthM(),
                pair.differenceDegrees(),
                pair.errorDegrees(wanted),
                pair.toleranceDegrees(isSameCable && !Boolean.FALSE.equals(spec.sameReel())),
                pair.secondLengthM(wanted),
                pair.driftDegrees(
                        requireNonNullElse(spec.warmerK(), 0.0),
                        spec.driftPpmPerK() == null ? InPhase.USUAL_DRIFT_PER_K : spec.driftPpmPerK() * 1e-6),
                trim(pair, spec, wanted),
                isSameCable);
    }

    private static TrimResponse trim(InPhase pair, SiteDocument.PhasedSpec spec, double wanted) {
        if (spec.firstNs() == null || spec.secondNs() == null) {
            return null;
        }
        InPhase.Trim trim = pair.trim(spec.firstNs(), spec.secondNs(), wanted);
        return new TrimResponse(trim.ofFirst(), 1000 * trim.cutM(), trim.errorDegrees());
    }

    private PhasedResponse unknown(SiteDocument.PhasedSpec spec, UUID run) {
        String why = plans.stream()
                .filter(p -> p.id().equals(run))
                .findFirst()
                .map(p -> p.name() + " has no line that could be told yet")
                .orElse("one of its runs is not at this site any more");
        return new PhasedResponse(spec.id(), why, null, null, null, null, null, null, null, null, false);
    }

    private Optional<String> cable(UUID id) {
        return plans.stream()
                .filter(p -> p.id().equals(id))
                .flatMap(p -> p.inRun().stream())
                .map(b -> b.laid().row().name())
                .findFirst();
    }

    /** All lines of a run in a row, as one: as long together, and as long electrically. */
    private Optional<InPhase.Line> line(UUID id, SiteDocument.PhasedSpec spec) {
        return plans.stream()
                .filter(p -> p.id().equals(id))
                .flatMap(p -> p.inRun().stream())
                .findFirst()
                .flatMap(b -> line(b.laid().assessment(), spec));
    }

    private Optional<InPhase.Line> line(AssessmentSpec assessment, SiteDocument.PhasedSpec spec) {
        String branch = assessment.bands().get(0).branch();
        Run run = new DocumentMapper(catalogue).run(assessment).on(branch == null ? Run.COMMON : branch);
        double lengthM = 0;
        double electricalM = 0;
        for (Element element : run.elements()) {
            if (element instanceof Element.Line line) {
                lengthM += line.lengthM();
                electricalM += line.lengthM() / line.cable().velocityFactor();
            }
        }
        return lengthM == 0
                ? Optional.empty()
                : Optional.of(new InPhase.Line(
                        lengthM,
                        lengthM / electricalM,
                        requireNonNullElse(spec.lengthOffMm(), USUAL_LENGTH_OFF_MM) / 1000,
                        requireNonNullElse(spec.velocityOffPercent(), USUAL_VELOCITY_OFF_PERCENT) / 100));
    }
}
