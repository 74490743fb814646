package org.eskiz.core.choice;

import java.util.Optional;
import java.util.OptionalDouble;
import org.eskiz.core.cable.Cable;

/**
 * A cable that may be chosen.
 *
 * @param id how the caller knows it
 * @param cable what the computation needs of it
 * @param balanced whether it is a balanced line: two conductors alike, not coaxial
 * @param pricePerM empty when not known
 * @param massGPerM grams per metre; empty when not known
 */
public record Candidate(
        String id, Cable cable, boolean balanced, Optional<Money> pricePerM, OptionalDouble massGPerM) {}
