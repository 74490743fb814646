package org.eskiz.server.document;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.stream.Stream;
import org.eskiz.server.problem.Within;

/**
 * A run, what feeds it, and the bands to look at.
 *
 * @param ambientC temperature of the cable, default 20
 * @param wet whether lines that lose more when they are wet are wet, default false
 * @param flatJointLossDb what every joint is charged that states no loss of its own, in dB; null for what is typical of
 *     its connector
 * @param receiver what listens, and how noisy the place is
 * @param exposure what the caution near the antenna rests on
 */
public record AssessmentSpec(
        @Valid RadioSpec radio,

        @Within(what = "ambient temperature in °C", min = -60, max = 120)
        Double ambientC,

        Boolean wet,

        @Within(what = Ranges.LOSS, min = 0, max = 60) Double flatJointLossDb,

        @Valid ReceiverSpec receiver,
        @Valid ExposureSpec exposure,

        @Size(max = MOST_ELEMENTS, message = "must be at most {max} elements")
        List<@Valid @NotNull(message = "must be an element, not null") RunElement> run,

        @Size(max = MOST_BANDS, message = "must be at most {max} bands")
        List<@Valid @NotNull(message = "must be a band, not null") BandSpec> bands) {

    public static final int MOST_ELEMENTS = 64;
    public static final int MOST_BANDS = 64;

    /** Of the element that a preamplifier becomes which was stated beside the run. */
    static final String PREAMPLIFIER_ID = "preamplifier";

    /** A preamplifier that is stated beside the run, as it was before, is read into the run: it stands at the antenna. */
    public AssessmentSpec {
        if (receiver != null && receiver.preamplifierGainDb() != null && run != null) {
            run = Stream.concat(run.stream(), Stream.of(preamplifier(receiver))).toList();
            receiver = receiver.withoutPreamplifier();
        }
    }

    private static RunElement preamplifier(ReceiverSpec receiver) {
        return new RunElement.Preamplifier(
                PREAMPLIFIER_ID,
                null,
                receiver.preamplifierGainDb(),
                receiver.preamplifierNoiseFigureDb(),
                null,
                null,
                true,
                null,
                null);
    }

    /** The same with another run. */
    public AssessmentSpec withRun(List<RunElement> other) {
        return new AssessmentSpec(radio, ambientC, wet, flatJointLossDb, receiver, exposure, other, bands);
    }

    /** The same in the other weather. */
    public AssessmentSpec inOtherWeather() {
        return new AssessmentSpec(radio, ambientC, !isWet(), flatJointLossDb, receiver, exposure, run, bands);
    }

    public boolean isWet() {
        return Boolean.TRUE.equals(wet);
    }
}
