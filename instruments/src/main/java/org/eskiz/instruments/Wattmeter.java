package org.eskiz.instruments;

import java.util.Locale;
import java.util.Random;
import java.util.function.LongSupplier;

/**
 * A wattmeter with a dummy load, and the radio that is keyed into it: right at the radio, or through the connected cable. Its
 * needle flickers, and the radio gives a little less as it warms up.
 */
final class Wattmeter extends Instrument {

    private static final double FLICKER = 0.006;
    private static final double WARMING = 0.02;
    private static final double WARM_AFTER_S = 60;
    private static final double LONGEST_KEY_S = 20;
    private static final double MOST_W = 200;

    private final Random random = new Random();
    private double frequencyHz;
    private final LongSupplier nanoTime;
    private double powerW;
    private boolean isThrough;
    private long keyedAt;
    private double keyedForS;
    private double longestKeyS;

    Wattmeter() {
        this(System::nanoTime);
    }

    /**
     * One that lives by a clock of its own.
     *
     * @param nanoTime as {@link System#nanoTime}
     */
    Wattmeter(LongSupplier nanoTime) {
        this.nanoTime = nanoTime;
        reset();
    }

    @Override
    String identity() {
        return "Eskiz,Stand-in wattmeter,0,1.0";
    }

    @Override
    synchronized void reset() {
        frequencyHz = 28.5e6;
        powerW = 100;
        isThrough = false;
        keyedAt = 0;
        keyedForS = 0;
        longestKeyS = LONGEST_KEY_S;
    }

    @Override
    synchronized byte[] answer(String header, String argument) {
        if (Scpi.is(header, "SOURce:FREQuency")) {
            frequencyHz = within(argument, 1e5, 3e9, "100 kHz to 3 GHz");
            return null;
        }
        if (Scpi.is(header, "SOURce:POWer")) {
            powerW = within(argument, 0.1, MOST_W, "0.1 to 200 W");
            return null;
        }
        if (Scpi.is(header, "ROUTe:PATH")) {
            isThrough = switch (argument.toUpperCase(Locale.ROOT)) {
                case "DIRECT" -> false;
                case "CABLE" -> true;
                default -> throw new IllegalArgumentException("DIRECT or CABLE");
            };
            return null;
        }
        if (Scpi.is(header, "OUTPut:STATe") || Scpi.is(header, "OUTPut")) {
            key(argument.equals("1") || argument.equalsIgnoreCase("ON"));
            if (fault() == Fault.COMPLAINING && keyedAt != 0) {
                throw new IllegalArgumentException("-200,\"Execution error; as asked for\"");
            }
            return null;
        }
        if (Scpi.is(header, "OUTPut:TIMeout")) {
            longestKeyS = within(argument, 0.1, LONGEST_KEY_S, "0.1 to 20 s");
            return null;
        }
        if (Scpi.is(header, "OUTPut:STATe?") || Scpi.is(header, "OUTPut?")) {
            return text(isKeyed() ? "1" : "0");
        }
        if (Scpi.is(header, "MEASure:POWer?")) {
            return text(String.format(Locale.ROOT, "%.2f", read()));
        }
        throw undefined(header);
    }

    private void key(boolean down) {
        if (!down && fault() == Fault.STUCK) {
            return;
        }
        if (!down && keyedAt != 0) {
            keyedForS += (nanoTime.getAsLong() - keyedAt) / 1e9;
        }
        keyedAt = down ? nanoTime.getAsLong() : 0;
    }

    /** A key that is held too long is let go, as a careful radio does. */
    private boolean isKeyed() {
        if (keyedAt != 0 && (nanoTime.getAsLong() - keyedAt) / 1e9 > longestKeyS) {
            key(false);
            error("-200,\"Execution error; keyed longer than its limit, let go\"");
        }
        return keyedAt != 0;
    }

    private double read() {
        if (!isKeyed()) {
            return 0;
        }
        double warm = Math.min(1, (keyedForS + (nanoTime.getAsLong() - keyedAt) / 1e9) / WARM_AFTER_S);
        double made = powerW * (1 - WARMING * warm);
        double left = isThrough
                ? Math.pow(shelf.connected().scattering(frequencyHz)[1].abs(), 2)
                : 1;
        double reading = switch (fault()) {
            case NAN -> Double.NaN;
            case NEGATIVE -> -made;
            default -> made * left;
        };
        return reading * (1 + FLICKER * (2 * random.nextDouble() - 1));
    }

    private static double within(String argument, double least, double most, String said) {
        double value = Double.parseDouble(argument.strip());
        if (!(value >= least && value <= most)) {
            throw new IllegalArgumentException("-222,\"Data out of range; " + said + "\"");
        }
        return value;
    }
}
