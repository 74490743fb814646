package org.eskiz.instruments;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Collectors;

/** The pieces that a stand-in can measure, and the one that is connected. */
final class Shelf {

    /** What a blind test shows in place of a label. */
    private static final String BLIND = "blind";

    static final List<Piece> PIECES = List.of(
            new Piece("Good 20", "a good 20 m of 10 mm foam cable", 20, 0.3957, 0.00139, 0.85, 0, 0, 0),
            new Piece(
                    "Aged 25",
                    "25 m of 5 mm cable whose shield has aged: a fifth more than its sheet",
                    25,
                    1.85,
                    0.0132,
                    0.66,
                    0,
                    0,
                    0),
            new Piece("Wet 18", "18 m of 10 mm cable with water in it", 18, 0.62, 0.036, 0.66, 0, 0, 0),
            new Piece("Kinked 27", "27 m of 7 mm foam cable, kinked at 11 m", 27, 0.5957, 0.0046, 0.84, 0, 2.2, 11),
            new Piece(
                    "Bad plug 12",
                    "12 m of 5 mm cable with a bad contact in the far plug",
                    12,
                    1.5397,
                    0.011033,
                    0.66,
                    7,
                    0,
                    11.95),
            new Piece(
                    "Foam 30 by its label",
                    "30 m of 5 mm cable with solid dielectric: not what its label says",
                    30,
                    1.5397,
                    0.011033,
                    0.66,
                    0,
                    0,
                    0));

    private final Random random = new Random();
    private Piece connected = PIECES.get(0);
    private boolean isBlind;

    synchronized Piece connected() {
        return connected;
    }

    synchronized String label() {
        return isBlind ? BLIND : connected.name();
    }

    synchronized boolean connect(String name) {
        Optional<Piece> found =
                PIECES.stream().filter(p -> p.name().equals(name)).findFirst();
        found.ifPresent(p -> {
            connected = p;
            isBlind = false;
        });
        return found.isPresent();
    }

    /** Connects a piece that nobody knows. */
    synchronized void connectBlindly() {
        connected = PIECES.get(random.nextInt(PIECES.size()));
        isBlind = true;
    }

    /** What the connected piece really is; from now on it is no secret. */
    synchronized String reveal() {
        isBlind = false;
        return "\"%s\",\"%s\"".formatted(connected.name(), connected.truth());
    }

    static String labels() {
        return PIECES.stream().map(p -> "\"" + p.name() + "\"").collect(Collectors.joining(","));
    }
}
