package org.eskiz.server.assessment;

import java.util.ArrayList;
import java.util.List;
import org.eskiz.core.cable.AttenuationFit;
import org.eskiz.core.choice.Band;
import org.eskiz.core.run.ImpossibleLoadException;
import org.eskiz.core.run.ImpossibleReadingException;
import org.eskiz.core.run.Load;
import org.eskiz.core.run.LoadTransformation;
import org.eskiz.core.run.ReadingSaysNothingException;
import org.eskiz.core.run.Run;
import org.eskiz.core.run.RunAssessment;
import org.eskiz.core.run.RunTooLossyException;
import org.eskiz.server.assessment.CarriedResponse.CarriedLoadResponse;
import org.eskiz.server.catalogue.Catalogue;
import org.eskiz.server.catalogue.CatalogueService;
import org.eskiz.server.document.AssessmentSpec;
import org.eskiz.server.document.DocumentMapper;
import org.eskiz.server.document.DocumentValidator;
import org.eskiz.server.document.RatingsMapper;
import org.eskiz.server.document.WorkEstimate;
import org.eskiz.server.problem.ValidationErrors;
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
    public AssessmentResponse assess(AssessmentSpec request) {
        return assess(request, catalogues.current());
    }

    /** The same by a catalogue that is at hand. */
    public AssessmentResponse assess(AssessmentSpec request, Catalogue catalogue) {
        ValidationErrors errors = ValidationErrors.in(request);
        new DocumentValidator(catalogue, errors).complete(request);
        errors.throwIfAny();
        WorkEstimate.of(request).requireAssessment(errors);
        Run run = new DocumentMapper(catalogue).run(request);
        List<Band> bands = new DocumentMapper(catalogue).bands(request);
        List<RunAssessment> assessments = new ArrayList<>();
        for (int i = 0; i < bands.size(); i++) {
            assessments.add(assess(run, bands.get(i), i, errors));
        }
        errors.throwIfAny();
        return answer(catalogue, request, run, assessments);
    }

    /** What happens along a run on its one band. */
    ProfileResponse profile(AssessmentSpec request) {
        Catalogue catalogue = catalogues.current();
        ValidationErrors errors = ValidationErrors.in(request);
        new DocumentValidator(catalogue, errors).complete(request);
        if (request.bands() != null && request.bands().size() > 1) {
            errors.add(
                    "bands", "must be exactly one band, not " + request.bands().size());
        }
        errors.throwIfAny();
        WorkEstimate.of(request).requireProfile(errors);
        Band band = new DocumentMapper(catalogue).bands(request).get(0);
        if (band.radio().powerW().isEmpty()) {
            errors.add("radio.powerW", "must be given: without power there is no voltage along the run");
            errors.throwIfAny();
        }
        RunAssessment assessment = assess(new DocumentMapper(catalogue).run(request), band, 0, errors);
        errors.throwIfAny();
        double duty = DocumentMapper.duty(request.radio(), request.bands().get(0));
        return new ProfileMapper(request.run(), new RatingsMapper(catalogue), duty).profile(assessment);
    }

    /**
     * Carries what was measured at the radio through the run.
     *
     * @param request its bands' loads are what was seen there: an impedance, or an SWR at the radio
     */
    CarriedResponse carry(AssessmentSpec request) {
        Catalogue catalogue = catalogues.current();
        ValidationErrors errors = ValidationErrors.in(request);
        new DocumentValidator(catalogue, errors).complete(request);
        errors.throwIfAny();
        Run run = new DocumentMapper(catalogue).run(request);
        return new CarriedResponse(new DocumentMapper(catalogue)
                .bands(request).stream().map(band -> carried(run, band)).toList());
    }

    private static CarriedLoadResponse carried(Run run, Band band) {
        double frequencyMHz = band.conditions().frequencyMHz();
        try {
            Load antenna = band.load() instanceof Load.Impedance atRadio
                    ? LoadTransformation.impedance(atRadio, run, band.radio(), band.conditions())
                    : band.load();
            RunAssessment through = RunAssessment.of(run, band.radio(), band.conditions(), antenna);
            Load.Impedance known = antenna instanceof Load.Impedance z ? z : null;
            return new CarriedLoadResponse(
                    frequencyMHz,
                    known == null ? null : known.resistanceOhm(),
                    known == null ? null : known.reactanceOhm(),
                    BandMapper.finite(through.swrAtRadio()),
                    BandMapper.finite(through.swrAtAntenna()),
                    null);
        } catch (ImpossibleLoadException
                | ImpossibleReadingException
                | ReadingSaysNothingException
                | RunTooLossyException e) {
            return new CarriedLoadResponse(frequencyMHz, null, null, null, null, e.getMessage());
        }
    }

    private static RunAssessment assess(Run run, Band at, int band, ValidationErrors errors) {
        try {
            return RunAssessment.of(run, at.radio(), at.conditions(), at.load());
        } catch (RunTooLossyException e) {
            errors.add("run", e.getMessage());
            return null;
        } catch (ImpossibleReadingException | ReadingSaysNothingException e) {
            errors.add("bands[" + band + "].load.swrAtRadio", e.getMessage());
            return null;
        }
    }

    private static AssessmentResponse answer(
            Catalogue catalogue, AssessmentSpec request, Run run, List<RunAssessment> assessments) {
        var mapper = new BandMapper(catalogue, request, run);
        List<AssessmentResponse.BandResponse> answers = new ArrayList<>();
        for (int i = 0; i < assessments.size(); i++) {
            Client.requireListening();
            answers.add(mapper.band(request.bands().get(i), assessments.get(i)));
        }
        return new AssessmentResponse(answers);
    }

    /** Fits the attenuation law to rows of a data sheet. */
    FitResponse fit(FitRequest request) {
        ValidationErrors errors = ValidationErrors.in(request);
        new DocumentValidator(new Catalogue(List.of(), List.of()), errors).points("points", request.points());
        errors.throwIfAny();
        AttenuationFit fit = AttenuationFit.of(DocumentMapper.points(request.points()));
        return new FitResponse(
                fit.attenuation().k1(), fit.attenuation().k2(), fit.worstRelativeResidual(), fit.relativeResiduals());
    }
}
