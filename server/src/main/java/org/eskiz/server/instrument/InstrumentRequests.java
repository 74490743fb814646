package org.eskiz.server.instrument;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import org.eskiz.server.problem.PlainText;
import org.eskiz.server.problem.Within;

/** What can be asked of an instrument. */
final class InstrumentRequests {

    private InstrumentRequests() {}

    /** What is connected for a calibration; {@link #SAVE} when all of it was. */
    enum Standard {
        OPEN,
        SHORT,
        LOAD,
        THRU,
        SAVE
    }

    /** One step of a calibration. */
    record CalibrationRequest(
            @NotNull(message = "must be given") @Valid InstrumentRequest instrument,
            @NotNull(message = "must be given") Standard standard) {}

    /** How the cable is connected for a sweep. */
    enum Connection {
        THROUGH,
        OPEN,
        SHORT,
        LOAD
    }

    /** A sweep: points at even steps. */
    record SweepBeginRequest(
            @NotNull(message = "must be given") @Valid InstrumentRequest instrument,

            @NotNull(message = "must be given") @Within(what = "lowest frequency in MHz", min = 0.01, max = 30_000)
            Double startMHz,

            @NotNull(message = "must be given") @Within(what = "highest frequency in MHz", min = 0.01, max = 30_000)
            Double stopMHz,

            @NotNull(message = "must be given") @Within(what = "points", min = 2, max = 10_001)
            Integer points,

            @NotNull(message = "must be given") Connection connection) {}

    /** What a sweep that has run through gave. */
    record SweepResultRequest(
            @NotNull(message = "must be given") @Valid InstrumentRequest instrument,
            @NotNull(message = "must be given") Connection connection,

            @NotNull(message = "must be given") @PlainText(max = 120, blank = false)
            String name) {}

    /** What the wattmeter sits behind. */
    enum Path {
        DIRECT,
        CABLE
    }

    /** A reading: the radio is keyed for a second and a half. */
    record ReadingTakenRequest(
            @NotNull(message = "must be given") @Valid InstrumentRequest instrument,

            @NotNull(message = "must be given") @Within(what = "frequency in MHz", min = 0.1, max = 3000)
            Double frequencyMHz,

            @NotNull(message = "must be given") @Within(what = "power in W", min = 0.1, max = 200)
            Double powerW,

            @NotNull(message = "must be given") Path path) {}

    /**
     * Another piece from the shelf of a stand-in.
     *
     * @param cable its label; null for one that nobody knows
     */
    record ShelfRequest(
            @NotNull(message = "must be given") @Valid InstrumentRequest instrument,
            @PlainText(max = 120) String cable) {}
}
