package org.eskiz.instruments;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.EnumSet;
import java.util.Locale;
import java.util.Random;
import java.util.Set;
import java.util.function.LongSupplier;
import org.apache.commons.numbers.complex.Complex;

/**
 * A two-port network analyser. Until it is calibrated it sees its own leads; it drifts a little with time, and its receivers
 * are noisy.
 */
final class Analyser extends Instrument {

    private static final double NOISE = 4e-5;
    private static final double MS_PER_POINT = 4;
    private static final double DRIFT_PER_MINUTE = 2e-4;
    private static final int MOST_POINTS = 20_001;

    /** What can be connected in place of a cable, or to its far end. */
    private enum End {
        OPEN(1),
        SHORT(-1),
        LOAD(0);

        private final double reflection;

        End(double reflection) {
            this.reflection = reflection;
        }
    }

    private enum Standard {
        OPEN,
        SHORT,
        LOAD,
        THRU
    }

    private final Random random = new Random();
    private final Set<Standard> collected = EnumSet.noneOf(Standard.class);
    private final LongSupplier nanoTime;
    private double startHz;
    private double stopHz;
    private int points;
    private End farEnd;
    private boolean isCorrected;
    private long correctedAt;
    private long sweepStarted;
    private boolean isSwept;

    Analyser() {
        this(System::nanoTime);
    }

    /**
     * One that lives by a clock of its own.
     *
     * @param nanoTime as {@link System#nanoTime}
     */
    Analyser(LongSupplier nanoTime) {
        this.nanoTime = nanoTime;
        reset();
    }

    @Override
    String identity() {
        return "Eskiz,Stand-in analyser,0,1.0";
    }

    @Override
    synchronized void reset() {
        startHz = 1e6;
        stopHz = 450e6;
        points = 401;
        farEnd = End.OPEN;
        isCorrected = false;
        collected.clear();
        sweepStarted = 0;
        isSwept = false;
    }

    @Override
    synchronized byte[] answer(String header, String argument) {
        if (Scpi.is(header, "SENSe:FREQuency:STARt")) {
            startHz = hertz(argument);
            return null;
        }
        if (Scpi.is(header, "SENSe:FREQuency:STOP")) {
            stopHz = hertz(argument);
            return null;
        }
        if (Scpi.is(header, "SENSe:SWEep:POINts")) {
            points = points(argument);
            return null;
        }
        if (Scpi.is(header, "SENSe:SWEep:POINts?")) {
            return text(Integer.toString(points));
        }
        if (Scpi.is(header, "SENSe:CORRection:COLLect:ACQuire")) {
            collected.add(Standard.valueOf(argument.toUpperCase(Locale.ROOT)));
            return null;
        }
        if (Scpi.is(header, "SENSe:CORRection:COLLect:SAVE")) {
            save();
            return null;
        }
        if (Scpi.is(header, "SENSe:CORRection:STATe?")) {
            return text(isCorrected ? "1" : "0");
        }
        if (Scpi.is(header, "SIMulate:FAR")) {
            farEnd = End.valueOf(argument.toUpperCase(Locale.ROOT));
            return null;
        }
        if (Scpi.is(header, "INITiate:IMMediate") || Scpi.is(header, "INITiate")) {
            begin();
            return null;
        }
        if (Scpi.is(header, "ABORt")) {
            sweepStarted = 0;
            return null;
        }
        if (Scpi.is(header, "SENSe:SWEep:PROGress?")) {
            return text(Integer.toString(progress()));
        }
        if (Scpi.is(header, "CALCulate:DATA?")) {
            return data(argument.toUpperCase(Locale.ROOT));
        }
        throw undefined(header);
    }

    private void save() {
        if (!collected.containsAll(EnumSet.of(Standard.OPEN, Standard.SHORT, Standard.LOAD))) {
            throw new IllegalArgumentException(
                    "-221,\"Settings conflict; open, short and load must be acquired first\"");
        }
        isCorrected = true;
        correctedAt = nanoTime.getAsLong();
    }

    private void begin() {
        if (!(stopHz > startHz)) {
            throw new IllegalArgumentException("-221,\"Settings conflict; the sweep must rise\"");
        }
        sweepStarted = nanoTime.getAsLong();
        isSwept = true;
    }

    /** Percent of the sweep that is done; 0 where none was begun. */
    private int progress() {
        if (sweepStarted == 0) {
            return 0;
        }
        double perPoint = fault() == Fault.SLOW ? 10 * MS_PER_POINT : MS_PER_POINT;
        double done = (nanoTime.getAsLong() - sweepStarted) / 1e6 / (perPoint * points);
        double most = fault() == Fault.HALF ? 0.5 : 1;
        return (int) Math.floor(100 * Math.min(most, done));
    }

    @Override
    void waitUntilDone() throws InterruptedException {
        for (int i = 0; i < 600; i++) {
            synchronized (this) {
                if (sweepStarted == 0 || progress() >= 100) {
                    return;
                }
            }
            Thread.sleep(50);
        }
    }

    private byte[] data(String what) {
        if (!isSwept || progress() < 100) {
            throw new IllegalArgumentException("-230,\"Data corrupt or stale\"");
        }
        double[] values = new double[what.equals("FREQ") ? points : 2 * points];
        for (int i = 0; i < points; i++) {
            double hz = startHz + (stopHz - startHz) * i / (points - 1);
            if (what.equals("FREQ")) {
                values[i] = fault() == Fault.ZERO ? 0 : hz;
            } else {
                Complex s = seen(what, hz);
                values[2 * i] = s.real() + NOISE * random.nextGaussian();
                values[2 * i + 1] = s.imag() + NOISE * random.nextGaussian();
            }
        }
        if (fault() == Fault.NAN) {
            values[values.length / 2] = Double.NaN;
        }
        return block(values);
    }

    /** What the receivers see: through, both ports are connected; from one end, the far one is open, shorted or loaded. */
    private Complex seen(String what, double hz) {
        Piece piece = shelf.connected();
        Complex[] s = piece.scattering(hz);
        Complex ideal = switch (what) {
            case "S11" -> s[0];
            case "S21", "S12" -> s[1];
            case "S22" -> s[2];
            case "ONE" -> piece.reflection(hz, farEnd.reflection);
            default -> throw new IllegalArgumentException("-224,\"Illegal parameter value; " + what + "\"");
        };
        double minutes = isCorrected ? (nanoTime.getAsLong() - correctedAt) / 6e10 : 0;
        return isCorrected ? ideal.multiply(1 + DRIFT_PER_MINUTE * Math.min(minutes, 60)) : uncorrected(ideal, hz);
    }

    /** Receivers that are not yet alike, and leads that turn the phase and ripple. */
    private static Complex uncorrected(Complex ideal, double hz) {
        double turn = -2 * Math.PI * hz * 8e-9;
        Complex lead = Complex.ofCartesian(Math.cos(turn), Math.sin(turn)).multiply(1.3);
        Complex leak = Complex.ofCartesian(0.06 * Math.cos(3 * turn), 0.06 * Math.sin(3 * turn));
        return ideal.multiply(lead).add(leak);
    }

    private byte[] block(double[] values) {
        ByteBuffer bytes = ByteBuffer.allocate(8 * values.length);
        for (double v : values) {
            bytes.putDouble(v);
        }
        int said = switch (fault()) {
            case LONGBLOCK -> 900_000_000;
            case SHORTBLOCK -> 8 * values.length + 4096;
            default -> 8 * values.length;
        };
        String length = Integer.toString(said);
        byte[] head = ("#" + length.length() + length).getBytes(StandardCharsets.US_ASCII);
        return ByteBuffer.allocate(head.length + bytes.capacity() + 1)
                .put(head)
                .put(bytes.array())
                .put((byte) '\n')
                .array();
    }

    private static double hertz(String argument) {
        double hz = Double.parseDouble(argument.strip());
        if (!(hz >= 1e4 && hz <= 8e9)) {
            throw new IllegalArgumentException("-222,\"Data out of range; 10 kHz to 8 GHz\"");
        }
        return hz;
    }

    private static int points(String argument) {
        int n = Integer.parseInt(argument.strip());
        if (n < 2 || n > MOST_POINTS) {
            throw new IllegalArgumentException("-222,\"Data out of range; 2 to " + MOST_POINTS + " points\"");
        }
        return n;
    }
}
