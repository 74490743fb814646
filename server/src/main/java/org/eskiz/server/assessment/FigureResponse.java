package org.eskiz.server.assessment;

import com.fasterxml.jackson.annotation.JsonValue;
import org.eskiz.core.run.Range;

/** A figure that is one number, or a smallest and a largest where the angle of the load is not known. */
final class FigureResponse {

    private final Object written;

    private FigureResponse(Object written) {
        this.written = written;
    }

    static FigureResponse of(Range range, boolean isAngleKnown) {
        return new FigureResponse(
                isAngleKnown
                        ? BandMapper.finite(range.max())
                        : new BoundsResponse(BandMapper.finite(range.min()), BandMapper.finite(range.max())));
    }

    @JsonValue
    Object written() {
        return written;
    }
}
