package org.eskiz.server.assessment;

import static java.util.Objects.requireNonNullElse;

import java.util.Optional;
import java.util.OptionalDouble;
import org.eskiz.core.choice.Band;
import org.eskiz.core.exposure.Exposure;
import org.eskiz.core.exposure.LimitSet;
import org.eskiz.core.receive.NoiseEnvironment;
import org.eskiz.core.receive.Receiver;
import org.eskiz.core.run.RunAssessment;

/** What a run means beyond itself: to a receiver under the noise outside, and to whoever stands near the antenna. */
final class Surroundings {

    private static final double DEFAULT_NOISE_FIGURE_DB = 6;
    private static final double DEFAULT_PREAMPLIFIER_NOISE_DB = 1;

    private final NoiseEnvironment environment;
    private final double antennaTemperatureK;
    private final Receiver receiver;
    private final LimitSet limits;
    private final double transmitting;
    private final double groundFactor;

    Surroundings(ReceiverRequest receiver, ExposureRequest exposure) {
        ReceiverRequest r = requireNonNullElse(receiver, new ReceiverRequest(null, null, null, null, null));
        ExposureRequest e = requireNonNullElse(exposure, new ExposureRequest(null, null, null));
        this.environment = requireNonNullElse(r.environment(), NoiseEnvironment.RESIDENTIAL);
        this.antennaTemperatureK = requireNonNullElse(r.antennaTemperatureK(), environment.usualTemperatureK());
        this.receiver = new Receiver(
                requireNonNullElse(r.noiseFigureDb(), DEFAULT_NOISE_FIGURE_DB),
                Optional.ofNullable(r.preamplifierGainDb())
                        .map(gain -> new Receiver.Preamplifier(
                                gain,
                                requireNonNullElse(r.preamplifierNoiseFigureDb(), DEFAULT_PREAMPLIFIER_NOISE_DB))));
        this.limits = requireNonNullElse(e.limits(), LimitSet.ICNIRP_2020);
        this.transmitting = requireNonNullElse(e.transmitting(), Exposure.USUAL_TRANSMITTING);
        this.groundFactor = requireNonNullElse(e.groundFactor(), Exposure.USUAL_GROUND_FACTOR);
    }

    /** What listens at a frequency; empty where nothing is known of the noise outside. */
    Optional<Band.Listening> listening(double frequencyMHz) {
        return frequencyMHz < NoiseEnvironment.FROM_MHZ
                ? Optional.empty()
                : Optional.of(new Band.Listening(receiver, environment.noiseFactor(frequencyMHz, antennaTemperatureK)));
    }

    /** What the run costs on receive, dB; null where nothing is known of the noise outside. */
    Double receivePenaltyDb(RunAssessment a) {
        return listening(a.conditions().frequencyMHz())
                .map(l -> l.penaltyDb(a.runLossDb() + a.matchingLossDb()))
                .orElse(null);
    }

    /** Null for a receiver. */
    AssessmentResponse.NearResponse near(BandRequest band, double duty, RunAssessment a) {
        if (a.powerAtAntennaW().isEmpty()) {
            return null;
        }
        var exposure = new Exposure(
                a.powerAtAntennaW().getAsDouble(),
                requireNonNullElse(band.antennaGainDbi(), 0.0),
                duty,
                transmitting,
                groundFactor);
        double frequencyMHz = a.conditions().frequencyMHz();
        OptionalDouble distance = exposure.distanceM(frequencyMHz, limits);
        return new AssessmentResponse.NearResponse(
                exposure.eirpW(), BandWriting.boxed(distance), Exposure.farFieldFromM(frequencyMHz), limits);
    }
}
