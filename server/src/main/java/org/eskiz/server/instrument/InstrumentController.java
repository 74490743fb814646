package org.eskiz.server.instrument;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import org.eskiz.server.bench.BenchFileResponse;
import org.eskiz.server.instrument.InstrumentRequests.CalibrationRequest;
import org.eskiz.server.instrument.InstrumentRequests.ReadingTakenRequest;
import org.eskiz.server.instrument.InstrumentRequests.ShelfRequest;
import org.eskiz.server.instrument.InstrumentRequests.SweepBeginRequest;
import org.eskiz.server.instrument.InstrumentRequests.SweepResultRequest;
import org.eskiz.server.instrument.InstrumentResponses.CalibrationResponse;
import org.eskiz.server.instrument.InstrumentResponses.IdentityResponse;
import org.eskiz.server.instrument.InstrumentResponses.KeyedResponse;
import org.eskiz.server.instrument.InstrumentResponses.ReadingTakenResponse;
import org.eskiz.server.instrument.InstrumentResponses.RevealedResponse;
import org.eskiz.server.instrument.InstrumentResponses.StandInsResponse;
import org.eskiz.server.instrument.InstrumentResponses.SweepProgressResponse;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping(path = "/api/instruments", consumes = MediaType.APPLICATION_JSON_VALUE)
@Tag(name = "instruments")
class InstrumentController {

    private final InstrumentService instruments;
    private final StandInsResponse standIns;

    InstrumentController(
            InstrumentService instruments,
            @Value("${eskiz.stand-ins.analyser}") Integer analyserPort,
            @Value("${eskiz.stand-ins.wattmeter}") Integer wattmeterPort) {
        this.instruments = instruments;
        this.standIns = new StandInsResponse(analyserPort, wattmeterPort);
    }

    @GetMapping(path = "/stand-ins", consumes = MediaType.ALL_VALUE)
    @Operation(operationId = "standIns", summary = "Where the stand-ins are that were started with the demo")
    StandInsResponse standIns() {
        return standIns;
    }

    @GetMapping(path = "/keyed", consumes = MediaType.ALL_VALUE)
    @Operation(
            operationId = "keyedTransmitters",
            summary = "Radios that may still be transmitting: switch them off by hand")
    KeyedResponse keyed() {
        return instruments.keyed();
    }

    @PostMapping("/identity")
    @Operation(operationId = "identifyInstrument", summary = "Who is there; from now on this tab drives it")
    IdentityResponse identify(@RequestBody InstrumentRequest request) {
        return instruments.identify(request);
    }

    @PostMapping("/release")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(operationId = "releaseInstrument", summary = "Let another tab drive it")
    void release(@RequestBody InstrumentRequest request) {
        instruments.release(request);
    }

    @PostMapping("/calibration")
    @Operation(operationId = "calibrateInstrument", summary = "One step of a calibration")
    CalibrationResponse calibrate(@RequestBody CalibrationRequest request) {
        return instruments.calibrate(request);
    }

    @PostMapping("/sweeps")
    @Operation(operationId = "beginSweep", summary = "Begin a sweep")
    SweepProgressResponse begin(@RequestBody SweepBeginRequest request) {
        return instruments.begin(request);
    }

    @PostMapping("/sweeps/progress")
    @Operation(operationId = "sweepProgress", summary = "How far a sweep is")
    SweepProgressResponse progress(@RequestBody InstrumentRequest request) {
        return instruments.progress(request);
    }

    @PostMapping("/sweeps/abort")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(operationId = "abortSweep", summary = "Break a sweep off")
    void abort(@RequestBody InstrumentRequest request) {
        instruments.abort(request);
    }

    @PostMapping("/sweeps/result")
    @ResponseStatus(HttpStatus.CREATED)
    @Operation(operationId = "fetchSweep", summary = "Fetch a sweep that has run through, and keep it")
    BenchFileResponse result(@RequestBody SweepResultRequest request) {
        return instruments.result(request);
    }

    @PostMapping("/readings")
    @Operation(operationId = "takeReading", summary = "Key the radio, read the wattmeter, let go of the key")
    ReadingTakenResponse read(@RequestBody ReadingTakenRequest request) {
        return instruments.read(request);
    }

    @PostMapping("/shelf")
    @Operation(
            operationId = "connectCable",
            summary = "Connect another piece from the shelf of a stand-in, or one at random")
    IdentityResponse connect(@RequestBody ShelfRequest request) {
        return instruments.connect(request);
    }

    @PostMapping("/shelf/reveal")
    @Operation(operationId = "revealCable", summary = "What the connected piece of a stand-in really is")
    RevealedResponse reveal(@RequestBody InstrumentRequest request) {
        return instruments.reveal(request);
    }
}
