package org.eskiz.server.instrument;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.apache.commons.numbers.complex.Complex;
import org.eskiz.core.bench.Sweep;
import org.eskiz.core.bench.Touchstone;
import org.eskiz.server.bench.BenchFileResponse;
import org.eskiz.server.bench.SweepFileService;
import org.eskiz.server.instrument.InstrumentRequests.CalibrationRequest;
import org.eskiz.server.instrument.InstrumentRequests.Connection;
import org.eskiz.server.instrument.InstrumentRequests.ReadingTakenRequest;
import org.eskiz.server.instrument.InstrumentRequests.ShelfRequest;
import org.eskiz.server.instrument.InstrumentRequests.Standard;
import org.eskiz.server.instrument.InstrumentRequests.SweepBeginRequest;
import org.eskiz.server.instrument.InstrumentRequests.SweepResultRequest;
import org.eskiz.server.instrument.InstrumentResponses.CalibrationResponse;
import org.eskiz.server.instrument.InstrumentResponses.IdentityResponse;
import org.eskiz.server.instrument.InstrumentResponses.InstrumentKind;
import org.eskiz.server.instrument.InstrumentResponses.KeyedResponse;
import org.eskiz.server.instrument.InstrumentResponses.ReadingTakenResponse;
import org.eskiz.server.instrument.InstrumentResponses.RevealedResponse;
import org.eskiz.server.instrument.InstrumentResponses.SweepProgressResponse;
import org.eskiz.server.problem.InvalidRequestException;
import org.eskiz.server.problem.UpstreamException;
import org.eskiz.server.problem.ValidationErrors;
import org.springframework.stereotype.Service;

/** Asks instruments. */
@Service
class InstrumentService {

    private static final int SHORT_MS = 4000;
    private static final int DATA_MS = 20_000;

    private static final int READINGS = 8;

    /** A meter may be off, but no radio makes ten times what it is set to. */
    private static final double WATTS_READ_AT_MOST = 10;

    private static final long BETWEEN_READINGS_MS = 150;

    /** Maker, model, serial number, firmware (IEEE 488.2). */
    private static final Pattern IDENTITY = Pattern.compile("[^,]+,[^,]+,[^,]*,[^,]*");

    private static final Pattern QUOTED = Pattern.compile("\"([^\"]*)\"");

    /** More than any port shows; uncalibrated leads show a little over 1. */
    private static final double MOST_REFLECTION = 100;

    private final InstrumentSession session;
    private final Transmitter transmitter;
    private final SweepFileService files;

    InstrumentService(InstrumentSession session, Transmitter transmitter, SweepFileService files) {
        this.session = session;
        this.transmitter = transmitter;
        this.files = files;
    }

    IdentityResponse identify(InstrumentRequest request) {
        return session.talk(request, SHORT_MS, c -> {
            String identity = c.ask("*IDN?");
            if (!IDENTITY.matcher(identity).matches()) {
                throw new UpstreamException("what is at %s is no instrument: it answers \"%s\" when asked who it is"
                        .formatted(request.address(), shown(identity)));
            }
            boolean isStandIn = identity.contains("Stand-in");
            boolean isWattmeter = identity.toLowerCase(Locale.ROOT).contains("wattmeter");
            return new IdentityResponse(
                    identity,
                    isWattmeter ? InstrumentKind.WATTMETER : InstrumentKind.ANALYSER,
                    isWattmeter ? null : Boolean.valueOf(isOn(c.ask("SENS:CORR:STAT?"))),
                    isStandIn ? quoted(c.ask("SIM:SHEL?")) : List.of(),
                    isStandIn ? quoted(c.ask("SIM:CABL?")).stream().findFirst().orElse(null) : null);
        });
    }

    CalibrationResponse calibrate(CalibrationRequest request) {
        ValidationErrors.in(request).throwIfAny();
        return session.talk(request.instrument(), SHORT_MS, c -> {
            c.command(
                    request.standard() == Standard.SAVE
                            ? "SENS:CORR:COLL:SAVE"
                            : "SENS:CORR:COLL:ACQ " + request.standard());
            return new CalibrationResponse(isOn(c.ask("SENS:CORR:STAT?")));
        });
    }

    SweepProgressResponse begin(SweepBeginRequest request) {
        ValidationErrors errors = ValidationErrors.in(request);
        if (errors.isEmpty() && request.stopMHz() <= request.startMHz()) {
            errors.add("stopMHz", "must be above startMHz %s, not %s".formatted(request.startMHz(), request.stopMHz()));
        }
        errors.throwIfAny();
        return session.talk(request.instrument(), SHORT_MS, c -> {
            boolean isStandIn = c.ask("*IDN?").contains("Stand-in");
            if (isStandIn && request.connection() != Connection.THROUGH) {
                c.tell("SIM:FAR " + request.connection());
            }
            c.command(
                    "SENS:FREQ:STAR " + hertz(request.startMHz()),
                    "SENS:FREQ:STOP " + hertz(request.stopMHz()),
                    "SENS:SWE:POIN " + request.points(),
                    "INIT");
            return new SweepProgressResponse(0);
        });
    }

    SweepProgressResponse progress(InstrumentRequest request) {
        return session.talk(
                request,
                SHORT_MS,
                c -> new SweepProgressResponse((int) c.askNumber("SENS:SWE:PROG?", "percent of a sweep", 0, 100)));
    }

    void abort(InstrumentRequest request) {
        session.talk(request, SHORT_MS, c -> {
            c.command("ABOR");
            return null;
        });
    }

    /** Fetches what a sweep gave, and keeps it before anything is made of it. */
    BenchFileResponse result(SweepResultRequest request) {
        ValidationErrors.in(request).throwIfAny();
        Taken taken = session.talk(request.instrument(), DATA_MS, c -> {
            int points =
                    (int) c.askNumber("SENS:SWE:POIN?", "points of a sweep", 2, ScpiConnection.MOST_BLOCK_BYTES / 16.0);
            List<Double> f = frequenciesMHz(c.askBlock("CALC:DATA? FREQ", points));
            Sweep sweep = request.connection() == Connection.THROUGH
                    ? new Sweep.TwoPort(50, f, through(c, points))
                    : new Sweep.OnePort(50, f, parameters(c, "ONE", points));
            return new Taken(sweep, isOn(c.ask("SENS:CORR:STAT?")));
        });
        String suffix = taken.sweep instanceof Sweep.TwoPort ? ".s2p" : ".s1p";
        String name = request.name().replaceAll("[^\\p{L}\\p{N} ._-]", "_") + suffix;
        String text = Touchstone.write(taken.sweep, Touchstone.Form.RI);
        return files.keep(name, taken.isCalibrated ? text : Touchstone.UNCALIBRATED + text);
    }

    /** A sweep, and whether the analyser was calibrated when it was taken. */
    private record Taken(Sweep sweep, boolean isCalibrated) {}

    private static List<Sweep.Scattering> through(ScpiConnection c, int points) {
        List<Complex> s11 = parameters(c, "S11", points);
        List<Complex> s21 = parameters(c, "S21", points);
        List<Complex> s12 = parameters(c, "S12", points);
        List<Complex> s22 = parameters(c, "S22", points);
        return IntStream.range(0, points)
                .mapToObj(i -> new Sweep.Scattering(s11.get(i), s21.get(i), s12.get(i), s22.get(i)))
                .toList();
    }

    /** Frequencies rise, and none is zero. */
    private static List<Double> frequenciesMHz(double[] hertz) {
        for (int i = 0; i < hertz.length; i++) {
            if (hertz[i] <= 0 || (i > 0 && hertz[i] <= hertz[i - 1])) {
                throw new UpstreamException(String.format(
                        Locale.ROOT,
                        "the instrument gives %s Hz as frequency %d of %d, which cannot be: they rise from above 0",
                        hertz[i],
                        i + 1,
                        hertz.length));
            }
        }
        return Arrays.stream(hertz).map(hz -> hz / 1e6).boxed().toList();
    }

    private static List<Complex> parameters(ScpiConnection c, String name, int points) {
        double[] values = c.askBlock("CALC:DATA? " + name, 2 * points);
        for (double value : values) {
            if (Math.abs(value) > MOST_REFLECTION) {
                throw new UpstreamException(
                        "the instrument gives %s in %s, which no cable shows".formatted(value, name));
            }
        }
        return IntStream.range(0, points)
                .mapToObj(i -> Complex.ofCartesian(values[2 * i], values[2 * i + 1]))
                .toList();
    }

    /** Keys the radio, reads for a while, and lets go of the key whatever happens. */
    ReadingTakenResponse read(ReadingTakenRequest request) {
        ValidationErrors.in(request).throwIfAny();
        String[] setUp = {
            "SOUR:FREQ " + hertz(request.frequencyMHz()), "SOUR:POW " + request.powerW(), "ROUT:PATH " + request.path()
        };
        double most = WATTS_READ_AT_MOST * request.powerW();
        return transmitter.whileKeyed(request.instrument(), DATA_MS, setUp, c -> {
            double[] watts = new double[READINGS];
            for (int i = 0; i < READINGS; i++) {
                pause();
                watts[i] = c.askNumber("MEAS:POW?", "W", 0, most);
            }
            return new ReadingTakenResponse(rangeText(watts), true);
        });
    }

    /** Radios that may still be transmitting, and are to be switched off by hand. */
    KeyedResponse keyed() {
        return new KeyedResponse(transmitter.maybeKeyed().stream()
                .map(Transmitter.Keyed::address)
                .toList());
    }

    private static String rangeText(double[] watts) {
        double least = Arrays.stream(watts).min().orElseThrow();
        double most = Arrays.stream(watts).max().orElseThrow();
        String form = most < 10 ? "%.2f" : "%.1f";
        String low = String.format(Locale.ROOT, form, least);
        String high = String.format(Locale.ROOT, form, most);
        return low.equals(high) ? low : low + "-" + high;
    }

    IdentityResponse connect(ShelfRequest request) {
        ValidationErrors errors = ValidationErrors.in(request);
        if (request.cable() != null && !ScpiConnection.isArgument(request.cable())) {
            errors.add("cable", "must be letters, digits, spaces and plain punctuation, without quotes and semicolons");
        }
        errors.throwIfAny();
        session.talk(request.instrument(), SHORT_MS, c -> {
            c.command(request.cable() == null ? "SIM:BLIN" : "SIM:CABL \"" + request.cable() + "\"");
            return null;
        });
        return identify(request.instrument());
    }

    RevealedResponse reveal(InstrumentRequest request) {
        List<String> answer = session.talk(request, SHORT_MS, c -> quoted(c.ask("SIM:REV?")));
        if (answer.size() != 2) {
            throw new InvalidRequestException(
                    "instrument", "this is no stand-in: what is connected is what you connected");
        }
        return new RevealedResponse(answer.get(0), answer.get(1));
    }

    void release(InstrumentRequest request) {
        session.release(request);
    }

    private static boolean isOn(String answer) {
        return answer.equals("1") || answer.equalsIgnoreCase("ON");
    }

    private static List<String> quoted(String text) {
        return QUOTED.matcher(text).results().map(m -> m.group(1)).toList();
    }

    private static long hertz(double mhz) {
        return Math.round(mhz * 1e6);
    }

    private static String shown(String text) {
        return text.length() > 60 ? text.substring(0, 60) + " …" : text;
    }

    private static void pause() {
        try {
            Thread.sleep(BETWEEN_READINGS_MS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new UpstreamException("the reading was broken off");
        }
    }
}
