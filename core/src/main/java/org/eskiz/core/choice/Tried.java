package org.eskiz.core.choice;

import java.util.List;
import java.util.Optional;
import org.eskiz.core.cable.Ratings;
import org.eskiz.core.run.LineJunction;
import org.eskiz.core.run.Run;

/** A filling in its place, with what is the same on all of its bands. */
final class Tried {

    private final Run run;
    private final List<Ratings> ratings;
    private final List<LineJunction.Part> parts;
    private final Optional<Run> unlucky;

    Tried(ReplaceableRun place, List<Candidate> filling) {
        this.run = place.filledWith(filling);
        this.ratings = place.ratings(filling);
        this.parts = place.parts(run, filling);
        this.unlucky = place.hasTolerance(filling) ? Optional.of(place.atTolerance(filling, 1)) : Optional.empty();
    }

    Run run() {
        return run;
    }

    /** What each element bears. */
    List<Ratings> ratings() {
        return ratings;
    }

    /** Its elements, as far as they have to belong together. */
    List<LineJunction.Part> parts() {
        return parts;
    }

    /** The same run where every line loses as much more as it may; empty where none may. */
    Optional<Run> unlucky() {
        return unlucky;
    }
}
