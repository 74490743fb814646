package org.eskiz.server.document;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.eskiz.server.problem.Within;

/**
 * What is known of the antenna: an impedance, an SWR at the antenna, or an SWR read at the radio.
 *
 * @param referenceOhm impedance in which the SWR was measured, default the radio's
 * @param through with {@code swrAtRadio}: the elements of the run through which it was read, where that was another run than
 *     this; the antenna does not change because a cable does
 */
public record LoadSpec(
        @Within(what = "resistance in ohm", min = 1e-6, max = 1e6)
        Double resistanceOhm,

        @Within(what = "reactance in ohm", min = -1e6, max = 1e6)
        Double reactanceOhm,

        @Within(what = Ranges.SWR, min = 1, max = 1000) Double swr,
        @Within(what = Ranges.SWR, min = 1, max = 1000) Double swrAtRadio,

        @Within(what = "reference in ohm", min = 1, max = 2000)
        Double referenceOhm,

        @Size(max = AssessmentSpec.MOST_ELEMENTS, message = "must be at most {max} elements")
        List<@Valid @NotNull(message = "must be an element, not null") RunElement> through) {}
