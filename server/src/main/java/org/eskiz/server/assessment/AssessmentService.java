package org.eskiz.server.assessment;

import java.util.ArrayList;
import java.util.List;
import org.eskiz.core.cable.AttenuationFit;
import org.eskiz.core.choice.Band;
import org.eskiz.core.run.CarriedToAntenna;
import org.eskiz.core.run.Load;
import org.eskiz.core.run.Run;
import org.eskiz.core.run.RunAssessment;
import org.eskiz.core.run.RunTooLossyException;
import org.eskiz.server.assessment.CarriedResponse.CarriedLoadResponse;
import org.eskiz.server.catalogue.Catalogue;
import org.eskiz.server.catalogue.CatalogueService;
import org.eskiz.server.problem.Faults;
import org.eskiz.server.web.Client;
import org.springframework.stereotype.Service;

/** Assesses runs and fits sheets; stores nothing. */
@Service
public class AssessmentService {

    private final CatalogueService catalogues;

    AssessmentService(CatalogueService catalogues) {
        this.catalogues = catalogues;
    }

    /** Assesses a run on every band. */
    public AssessmentResponse assess(AssessmentRequest request) {
        Catalogue catalogue = catalogues.current();
        Faults faults = Faults.in(request);
        new RequestCheck(catalogue, faults).complete(request);
        faults.refuse();
        WorkEstimate.require(request, faults);
        Run run = new CoreReading(catalogue).run(request);
        List<Band> bands = CoreReading.bands(request);
        List<RunAssessment> assessments = new ArrayList<>();
        for (int i = 0; i < bands.size(); i++) {
            assessments.add(assess(run, bands.get(i), i, faults));
        }
        faults.refuse();
        return answer(catalogue, request, run, assessments);
    }

    /** What happens along a run on its one band. */
    ProfileResponse profile(AssessmentRequest request) {
        Catalogue catalogue = catalogues.current();
        Faults faults = Faults.in(request);
        new RequestCheck(catalogue, faults).complete(request);
        if (request.bands() != null && request.bands().size() > 1) {
            faults.add(
                    "bands", "must be exactly one band, not " + request.bands().size());
        }
        faults.refuse();
        WorkEstimate.requireProfile(request, faults);
        Band band = CoreReading.bands(request).get(0);
        if (band.radio().powerW().isEmpty()) {
            faults.add("radio.powerW", "must be given: without power there is no voltage along the run");
            faults.refuse();
        }
        RunAssessment assessment = assess(new CoreReading(catalogue).run(request), band, 0, faults);
        faults.refuse();
        double duty = CoreReading.duty(request.radio(), request.bands().get(0));
        return new ProfileWriting(request.run(), new RatingsReading(catalogue), duty).profile(assessment);
    }

    /**
     * Carries what was measured at the radio through the run.
     *
     * @param request its bands' loads are what was seen there: an impedance, or an SWR at the radio
     */
    CarriedResponse carry(AssessmentRequest request) {
        Catalogue catalogue = catalogues.current();
        Faults faults = Faults.in(request);
        new RequestCheck(catalogue, faults).complete(request);
        faults.refuse();
        Run run = new CoreReading(catalogue).run(request);
        return new CarriedResponse(CoreReading.bands(request).stream()
                .map(band -> carried(run, band))
                .toList());
    }

    private static CarriedLoadResponse carried(Run run, Band band) {
        double frequencyMHz = band.conditions().frequencyMHz();
        try {
            Load antenna = band.load() instanceof Load.Impedance atRadio
                    ? CarriedToAntenna.impedance(atRadio, run, band.radio(), band.conditions())
                    : band.load();
            RunAssessment through = RunAssessment.of(run, band.radio(), band.conditions(), antenna);
            Load.Impedance known = antenna instanceof Load.Impedance z ? z : null;
            return new CarriedLoadResponse(
                    frequencyMHz,
                    known == null ? null : known.resistanceOhm(),
                    known == null ? null : known.reactanceOhm(),
                    BandWriting.finite(through.swrAtRadio()),
                    BandWriting.finite(through.swrAtAntenna()),
                    null);
        } catch (IllegalArgumentException e) {
            return new CarriedLoadResponse(frequencyMHz, null, null, null, null, e.getMessage());
        }
    }

    private static RunAssessment assess(Run run, Band at, int band, Faults faults) {
        try {
            return RunAssessment.of(run, at.radio(), at.conditions(), at.load());
        } catch (RunTooLossyException e) {
            faults.add("run", e.getMessage());
            return null;
        } catch (IllegalArgumentException e) {
            faults.add("bands[" + band + "].load.swrAtRadio", e.getMessage());
            return null;
        }
    }

    private static AssessmentResponse answer(
            Catalogue catalogue, AssessmentRequest request, Run run, List<RunAssessment> assessments) {
        var writing = new BandWriting(catalogue, request, run);
        List<AssessmentResponse.BandResponse> answers = new ArrayList<>();
        for (int i = 0; i < assessments.size(); i++) {
            Client.requireListening();
            answers.add(writing.band(request.bands().get(i), assessments.get(i)));
        }
        return new AssessmentResponse(answers);
    }

    /** Fits the attenuation law to rows of a data sheet. */
    FitResponse fit(FitRequest request) {
        Faults faults = Faults.in(request);
        new RequestCheck(new Catalogue(List.of(), List.of()), faults).points("points", request.points());
        faults.refuse();
        AttenuationFit fit = AttenuationFit.of(CoreReading.points(request.points()));
        return new FitResponse(
                fit.attenuation().k1(), fit.attenuation().k2(), fit.worstRelativeResidual(), fit.relativeResiduals());
    }
}
