package org.eskiz.instruments;

import java.nio.charset.StandardCharsets;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Locale;

/** What stand-ins have in common: the common commands, the queue of errors, the shelf and the faults. */
abstract class Instrument {

    private static final int MOST_ERRORS = 20;

    final Shelf shelf = new Shelf();
    private final Deque<String> errors = new ArrayDeque<>();
    private volatile Fault fault = Fault.NONE;

    abstract String identity();

    abstract void reset();

    /** Answers a command of its own; null for none, an exception for one that it does not know or cannot do. */
    abstract byte[] answer(String header, String argument) throws InterruptedException;

    Fault fault() {
        return fault;
    }

    /** Answers one command; null where there is nothing to say. */
    final byte[] handle(String line) throws InterruptedException {
        String command = line.strip();
        if (command.isEmpty()) {
            return null;
        }
        int space = command.indexOf(' ');
        String header = space < 0 ? command : command.substring(0, space);
        String argument = space < 0 ? "" : command.substring(space + 1).strip();
        try {
            return header.startsWith("*") ? common(header) : simulated(header, argument);
        } catch (IllegalArgumentException e) {
            error(e.getMessage());
            return null;
        }
    }

    private byte[] common(String header) throws InterruptedException {
        return switch (header.toUpperCase(Locale.ROOT)) {
            case "*IDN?" -> text(identity());
            case "*OPC?" -> {
                waitUntilDone();
                yield text("1");
            }
            case "*RST" -> {
                reset();
                yield null;
            }
            case "*CLS" -> {
                clearErrors();
                yield null;
            }
            case "*ESR?" -> text(hasErrors() ? "32" : "0");
            case "*STB?" -> text(hasErrors() ? "4" : "0");
            default -> throw new IllegalArgumentException("-113,\"Undefined header; " + header + "\"");
        };
    }

    private byte[] simulated(String header, String argument) throws InterruptedException {
        if (Scpi.is(header, "SYSTem:ERRor?") || Scpi.is(header, "SYSTem:ERRor:NEXT?")) {
            return text(nextError());
        }
        if (Scpi.is(header, "SIMulate:SHELf?")) {
            return text(Shelf.labels());
        }
        if (Scpi.is(header, "SIMulate:CABLe?")) {
            return text("\"" + shelf.label() + "\"");
        }
        if (Scpi.is(header, "SIMulate:CABLe")) {
            if (!shelf.connect(Scpi.unquoted(argument))) {
                throw new IllegalArgumentException("-224,\"Illegal parameter value; no such cable on the shelf\"");
            }
            return null;
        }
        if (Scpi.is(header, "SIMulate:BLINd")) {
            shelf.connectBlindly();
            return null;
        }
        if (Scpi.is(header, "SIMulate:REVeal?")) {
            return text(shelf.reveal());
        }
        if (Scpi.is(header, "SIMulate:FAULt")) {
            fault = Fault.valueOf(argument.toUpperCase(Locale.ROOT));
            return null;
        }
        return answer(header, argument);
    }

    /** Waits for what runs; nothing does, unless the instrument says otherwise. */
    void waitUntilDone() throws InterruptedException {}

    static byte[] text(String text) {
        return (text + "\n").getBytes(StandardCharsets.US_ASCII);
    }

    static IllegalArgumentException undefined(String header) {
        return new IllegalArgumentException("-113,\"Undefined header; " + header + "\"");
    }

    synchronized void error(String message) {
        if (errors.size() < MOST_ERRORS) {
            errors.add(message.startsWith("-") ? message : "-224,\"Illegal parameter value; " + message + "\"");
        }
    }

    private synchronized String nextError() {
        return errors.isEmpty() ? "0,\"No error\"" : errors.poll();
    }

    private synchronized boolean hasErrors() {
        return !errors.isEmpty();
    }

    private synchronized void clearErrors() {
        errors.clear();
    }
}
