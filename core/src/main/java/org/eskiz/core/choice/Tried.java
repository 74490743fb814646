package org.eskiz.core.choice;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import org.eskiz.core.cable.Ratings;
import org.eskiz.core.run.LineJunction;
import org.eskiz.core.run.Run;

/** A filling in its place, with what is the same on all of its bands. */
final class Tried {

    private final Run run;
    private final List<Ratings> ratings;
    private final Map<String, List<LineJunction.Part>> parts = new HashMap<>();
    private final Function<Run, List<LineJunction.Part>> partsOf;
    private final Optional<Run> unlucky;

    Tried(ReplaceableRun place, List<Candidate> filling) {
        this.run = place.filledWith(filling);
        this.ratings = place.ratings(filling);
        this.partsOf = standing -> place.parts(standing, filling);
        this.unlucky = place.hasTolerance(filling) ? Optional.of(place.atTolerance(filling, 1)) : Optional.empty();
    }

    Run run() {
        return run;
    }

    /** What each element bears. */
    List<Ratings> ratings() {
        return ratings;
    }

    /** Its elements on one branch, as far as they have to belong together. */
    List<LineJunction.Part> parts(String branch) {
        return parts.computeIfAbsent(branch, b -> partsOf.apply(run.on(b)));
    }

    /** The same run where every line loses as much more as it may; empty where none may. */
    Optional<Run> unlucky() {
        return unlucky;
    }
}
