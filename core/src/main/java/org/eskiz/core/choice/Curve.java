package org.eskiz.core.choice;

import java.util.List;
import java.util.Optional;
import org.eskiz.core.run.RunAssessment;

/**
 * One way to fill the place, again and again while frequency or length changes.
 *
 * @param points one for each frequency or length, in order; empty where more is lost than can be assessed
 */
public record Curve(List<Optional<RunAssessment>> points) {

    public Curve {
        points = List.copyOf(points);
    }
}
