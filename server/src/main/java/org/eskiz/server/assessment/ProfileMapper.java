package org.eskiz.server.assessment;

import java.util.List;
import java.util.OptionalDouble;
import org.eskiz.core.cable.Ratings;
import org.eskiz.core.run.Conditions;
import org.eskiz.core.run.Element;
import org.eskiz.core.run.LineProfile;
import org.eskiz.core.run.RunAssessment;
import org.eskiz.core.run.RunProfile;
import org.eskiz.server.document.RatingsMapper;
import org.eskiz.server.document.RunElement;

/** Writes what happens along a run, with what its parts bear. */
public final class ProfileMapper {

    private final List<RunElement> elements;
    private final RatingsMapper ratings;
    private final double duty;

    /**
     * @param elements as requested
     * @param ratings what each of them bears
     * @param duty average over peak power
     */
    public ProfileMapper(List<RunElement> elements, RatingsMapper ratings, double duty) {
        this.elements = elements;
        this.ratings = ratings;
        this.duty = duty;
    }

    public ProfileResponse profile(RunAssessment assessment) {
        RunProfile profile = RunProfile.of(assessment);
        return new ProfileResponse(
                profile.lines().stream().map(l -> line(l, assessment)).toList(),
                profile.pads().stream()
                        .filter(p -> elements.get(p.element()) instanceof RunElement.Joint)
                        .map(p -> joint(p, assessment.conditions().frequencyMHz()))
                        .toList());
    }

    private ProfileResponse.LineResponse line(LineProfile line, RunAssessment assessment) {
        var asked = (RunElement.Line) elements.get(line.element());
        Ratings bears = ratings.of(asked);
        Double ratedW = ratedW(bears, (Element.Line) assessment.run().elements().get(line.element()), assessment);
        Double powerMargin = ratedW == null
                ? null
                : BandMapper.finite(Ratings.powerMargin(ratedW, line.equivalentMatchedPowerW(), duty));
        Double ratedV = BandMapper.boxed(bears.peakVoltageV());
        return new ProfileResponse.LineResponse(
                line.element(),
                asked.id(),
                points(line, assessment.isAngleKnownAlongTheRun()),
                line.maxVoltage().value(),
                BandMapper.boxed(line.maxVoltage().fromRadioM()),
                line.maxCurrent().value(),
                BandMapper.boxed(line.maxCurrent().fromRadioM()),
                line.maxHeatWPerM().value(),
                BandMapper.boxed(line.maxHeatWPerM().fromRadioM()),
                line.equivalentMatchedPowerW(),
                line.electricalLengthWavelengths(),
                line.delayNs(),
                ratedW,
                ratedV,
                powerMargin == null ? null : powerMargin * line.maxHeatWPerM().value(),
                ratedV == null ? null : Ratings.voltageRmsAtRating(ratedV),
                powerMargin,
                voltageMargin(bears.peakVoltageV(), line.maxVoltage().value()));
    }

    private static Double ratedW(Ratings bears, Element.Line line, RunAssessment assessment) {
        Conditions at = assessment.conditions();
        return BandMapper.boxed(bears.lineW(line.cable().attenuation(), at.frequencyMHz(), at.ambientC()));
    }

    private static List<ProfileResponse.PlaceResponse> points(LineProfile line, boolean isAngleKnown) {
        return line.points().stream()
                .map(p -> new ProfileResponse.PlaceResponse(
                        p.fromRadioM(),
                        FigureResponse.of(p.powerW(), isAngleKnown),
                        FigureResponse.of(p.voltageRms(), isAngleKnown),
                        FigureResponse.of(p.currentRms(), isAngleKnown),
                        FigureResponse.of(p.swr(), isAngleKnown),
                        FigureResponse.of(p.heatWPerM(), isAngleKnown)))
                .toList();
    }

    private ProfileResponse.JointResponse joint(RunProfile.PadProfile pad, double atMHz) {
        var joint = (RunElement.Joint) elements.get(pad.element());
        Ratings bears = ratings.of(joint);
        Double ratedW = BandMapper.boxed(bears.padW(atMHz));
        return new ProfileResponse.JointResponse(
                pad.element(),
                joint.id(),
                pad.voltageRms(),
                BandMapper.boxed(bears.peakVoltageV()),
                ratedW,
                ratedW == null
                        ? null
                        : BandMapper.finite(Ratings.powerMargin(ratedW, pad.equivalentMatchedPowerW(), duty)),
                voltageMargin(bears.peakVoltageV(), pad.voltageRms()));
    }

    private static Double voltageMargin(OptionalDouble ratedPeakV, double voltageRms) {
        return ratedPeakV.isEmpty()
                ? null
                : BandMapper.finite(Ratings.voltageMargin(ratedPeakV.getAsDouble(), voltageRms));
    }
}
