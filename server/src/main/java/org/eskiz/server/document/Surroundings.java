package org.eskiz.server.document;

import static java.util.Objects.requireNonNullElse;

import java.util.Optional;
import java.util.OptionalDouble;
import org.eskiz.core.choice.Band;
import org.eskiz.core.exposure.Exposure;
import org.eskiz.core.exposure.LimitSet;
import org.eskiz.core.receive.Cascade;
import org.eskiz.core.receive.NoiseEnvironment;
import org.eskiz.core.receive.Receiver;
import org.eskiz.core.run.RunAssessment;
import org.eskiz.core.unit.Decibels;

/** What a run means beyond itself: to a receiver under the noise outside, and to whoever stands near the antenna. */
public final class Surroundings {

    private static final double DEFAULT_NOISE_FIGURE_DB = 6;
    private static final double MILLIWATTS_A_WATT = 1000;

    private final NoiseEnvironment environment;
    private final double antennaTemperatureK;
    private final Receiver receiver;
    private final OptionalDouble neighbourDbm;
    private final LimitSet limits;
    private final double transmitting;
    private final double groundFactor;

    public Surroundings(ReceiverSpec receiver, ExposureSpec exposure) {
        ReceiverSpec r = requireNonNullElse(receiver, ReceiverSpec.UNSTATED);
        ExposureSpec e = requireNonNullElse(exposure, new ExposureSpec(null, null, null));
        this.environment = requireNonNullElse(r.environment(), NoiseEnvironment.RESIDENTIAL);
        this.antennaTemperatureK = requireNonNullElse(r.antennaTemperatureK(), environment.usualTemperatureK());
        this.receiver = new Receiver(requireNonNullElse(r.noiseFigureDb(), DEFAULT_NOISE_FIGURE_DB));
        this.neighbourDbm = r.neighbourPowerW() == null
                ? OptionalDouble.empty()
                : OptionalDouble.of(Decibels.ofPower(r.neighbourPowerW() * MILLIWATTS_A_WATT)
                        - requireNonNullElse(r.neighbourIsolationDb(), ReceiverSpec.USUAL_ISOLATION_DB));
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
    public Double receivePenaltyDb(RunAssessment a) {
        return listening(a.conditions().frequencyMHz())
                .map(l -> l.penaltyDb(receiver.equivalentLossDb(a)))
                .orElse(null);
    }

    /** By how much the transmitter near by is too strong for a preamplifier, dB; empty where nobody knows. */
    public OptionalDouble overloadDb(RunAssessment a) {
        return neighbourDbm.isEmpty() ? neighbourDbm : Cascade.overloadDb(a, neighbourDbm.getAsDouble());
    }

    /** What goes out at the antenna; empty for a receiver, and where nobody has said its gain. */
    public Optional<Exposure> exposure(BandSpec band, double duty, RunAssessment a) {
        return a.powerAtAntennaW().isEmpty() || band.antennaGainDbi() == null
                ? Optional.empty()
                : Optional.of(new Exposure(
                        a.powerAtAntennaW().getAsDouble(), band.antennaGainDbi(), duty, transmitting, groundFactor));
    }

    /** The limits by which the distance from the antenna is judged. */
    public LimitSet limits() {
        return limits;
    }
}
