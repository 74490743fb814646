package org.eskiz.server.bench;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.eskiz.server.problem.PlainText;
import org.eskiz.server.problem.Within;

/**
 * A test as somebody notes it. While it is being typed nearly everything may be missing; an analysis says what it lacks.
 *
 * @param id made by the client; for a new test only
 * @param revision that a correction starts from; for a correction only
 * @param testedOn its day
 * @param piece label of the piece; null for a type as such
 * @param pieceId the piece of the locker; null where it is not kept there
 * @param cableKey its type; null where nobody knows
 * @param lengthM of the piece; null where not known
 * @param joints mated pairs and adapters within what was measured
 * @param temperatureC of the cable; 20 where not said
 * @param bandsMHz frequencies that figures are wanted at, for a sweep
 * @param station what it was measured with
 * @param wattmeter how the readings were taken; for {@link BenchMethod#WATTMETER}
 * @param readings of the wattmeter, or losses read elsewhere for {@link BenchMethod#LOSSES}
 * @param throughFileId sweep from one end to the other
 * @param openFileId sweep of one end with the far one open
 * @param shortedFileId the same with it shorted
 * @param terminatedFileId the same with a load on it, to look along the line
 * @param planId the plan whose run was measured; null for a piece by itself
 * @param note what else was seen
 * @param setAside whether it is not to be counted
 */
public record BenchTestRequest(
        UUID id,

        @Within(what = "revision", min = 1, max = Integer.MAX_VALUE)
        Integer revision,

        @NotNull(message = "must be given") BenchMethod method,
        LocalDate testedOn,
        @PlainText(max = 120) String piece,
        UUID pieceId,
        @PlainText(max = 120) String cableKey,

        @Within(what = "length in m", min = 0.01, max = 10_000)
        Double lengthM,

        @Size(max = 16, message = "must be at most {max} joints")
        List<@NotNull(message = "must be a joint, not null") @Valid JointInTestRequest> joints,

        @Within(what = "temperature in °C", min = -60, max = 120)
        Double temperatureC,

        @Size(max = 64, message = "must be at most {max} bands")
        List<
                        @NotNull(message = "must be a frequency, not null")
                        @Within(what = "frequency in MHz", min = 0.1, max = 30_000) Double>
                bandsMHz,

        @Valid StationRequest station,
        @Valid WattmeterRequest wattmeter,

        @Size(max = 200, message = "must be at most {max} readings")
        List<@NotNull(message = "must be a reading, not null") @Valid ReadingRequest> readings,

        UUID throughFileId,
        UUID openFileId,
        UUID shortedFileId,
        UUID terminatedFileId,
        UUID planId,
        @PlainText(max = 4000) String note,
        Boolean setAside) {

    /** The same under an id. */
    BenchTestRequest withId(UUID newId) {
        return carriedBy(newId, null);
    }

    /** The same as a correction of a revision. */
    BenchTestRequest correcting(int of) {
        return carriedBy(null, of);
    }

    /** What was noted, without what only carries it. */
    BenchTestRequest plain() {
        return carriedBy(null, null);
    }

    private BenchTestRequest carriedBy(UUID newId, Integer newRevision) {
        return of(newId, newRevision, pieceId);
    }

    /** The same of no piece that is kept in the locker; its label stays. */
    BenchTestRequest withoutPiece() {
        return of(id, revision, null);
    }

    private BenchTestRequest of(UUID newId, Integer newRevision, UUID newPieceId) {
        return new BenchTestRequest(
                newId,
                newRevision,
                method,
                testedOn,
                piece,
                newPieceId,
                cableKey,
                lengthM,
                joints,
                temperatureC,
                bandsMHz,
                station,
                wattmeter,
                readings,
                throughFileId,
                openFileId,
                shortedFileId,
                terminatedFileId,
                planId,
                note,
                setAside);
    }

    /**
     * A mated pair or an adapter that was measured with the cable.
     *
     * @param connectorKey of the catalogue; null where the loss is said
     * @param lossDb where it is known; null for what is typical of the connector
     */
    public record JointInTestRequest(
            @PlainText(max = 120) String connectorKey,

            @Within(what = "loss of a joint in dB", min = 0, max = 60)
            Double lossDb) {}

    /** What it was measured with, in the operator's words. */
    public record StationRequest(
            @PlainText(max = 200) String radio,
            @PlainText(max = 200) String meter,
            @PlainText(max = 200) String load,
            @PlainText(max = 200) String supply,
            @PlainText(max = 200) String place) {}

    /**
     * How a wattmeter was used.
     *
     * @param lead what stood in for the cable at the baseline; none where the meter sat right at the radio
     * @param leadCableKey type of that lead
     * @param leadLengthM its length
     * @param leadLossDb its loss, where that is known better
     * @param digits of the last digit that a reading repeats within; 0.5 where not said
     * @param repeatPercent of a reading that it repeats within; 1 where not said
     * @param classPercent of a reading that the meter may be off by, which counts between very different levels; 5 where not said
     */
    public record WattmeterRequest(
            Lead lead,
            @PlainText(max = 120) String leadCableKey,

            @Within(what = "length of the lead in m", min = 0.01, max = 100)
            Double leadLengthM,

            @Within(what = "loss of the lead in dB", min = 0, max = 60)
            Double leadLossDb,

            @Within(what = "digits", min = 0, max = 100) Double digits,

            @Within(what = "repeatability in percent", min = 0, max = 49)
            Double repeatPercent,

            @Within(what = "class of the meter in percent", min = 0, max = 50)
            Double classPercent) {}

    /** What became of the lead that the baseline was read through. */
    public enum Lead {
        NONE,
        TAKEN_OUT,
        STAYED_IN
    }

    /**
     * One row.
     *
     * @param lengthM of another piece of the same type; null for that of the test
     * @param baseline power without the cable, as it was typed: {@code 48}, {@code 47-49}
     * @param through power through the cable
     * @param baselineAfter the baseline once more after that; null where it was not read again
     * @param lossDb loss that was read as such
     * @param openReturnLossDb return loss with the far end open, of which half is the loss; null where it was not read
     * @param shortedReturnLossDb the same with the far end shorted
     */
    public record ReadingRequest(
            @Within(what = "frequency in MHz", min = 0.1, max = 30_000)
            Double frequencyMHz,

            @Within(what = "length in m", min = 0.01, max = 10_000)
            Double lengthM,

            @PlainText(max = 60) String baseline,
            @PlainText(max = 60) String through,
            @PlainText(max = 60) String baselineAfter,

            @Within(what = "loss in dB", min = -60, max = 300)
            Double lossDb,

            @Within(what = "return loss in dB", min = -10, max = 300)
            Double openReturnLossDb,

            @Within(what = "return loss in dB", min = -10, max = 300)
            Double shortedReturnLossDb) {}
}
