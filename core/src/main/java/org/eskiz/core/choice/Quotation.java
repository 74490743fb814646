package org.eskiz.core.choice;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import org.eskiz.core.cable.Mechanics;

/**
 * What is on offer for the place as a whole: everything about it but what it loses.
 *
 * @param filling the cable in each section
 * @param suitability whether they belong there at all
 * @param cost of all of it; empty when a price is missing or currencies differ
 * @param costInBudget the same where it is in the currency of the budget
 * @param massKg of the replaced sections; empty when not known
 * @param massOnMastKg of what of them hangs on the mast
 * @param connectorsFit whether the connectors fit their diameters and the sockets; empty when not known
 */
record Quotation(
        List<Candidate> filling,
        Suitability suitability,
        Optional<Money> cost,
        Optional<Money> costInBudget,
        OptionalDouble massKg,
        OptionalDouble massOnMastKg,
        Optional<Boolean> connectorsFit) {

    /** The largest among its cables; empty as soon as one is not known. */
    OptionalDouble largest(Function<Mechanics, OptionalDouble> figure) {
        return filling.stream()
                .map(c -> figure.apply(c.mechanics()))
                .reduce((a, b) -> a.isEmpty() || b.isEmpty()
                        ? OptionalDouble.empty()
                        : OptionalDouble.of(Math.max(a.getAsDouble(), b.getAsDouble())))
                .orElse(OptionalDouble.empty());
    }

    /** That of the cable nearest to the antenna: in a mix, the one that moves. */
    OptionalDouble ofTail(Function<Mechanics, OptionalDouble> figure) {
        return figure.apply(tail().mechanics());
    }

    /** Whether all of its cables do: one that does not decides, else one of which it is not known. */
    OptionalDouble all(Function<Mechanics, Optional<Boolean>> property) {
        List<Optional<Boolean>> answers =
                filling.stream().map(c -> property.apply(c.mechanics())).toList();
        return answers.contains(Optional.of(false))
                ? truth(Optional.of(false))
                : truth(answers.contains(Optional.<Boolean>empty()) ? Optional.empty() : Optional.of(true));
    }

    Candidate tail() {
        return filling.get(filling.size() - 1);
    }

    /** 1 for yes, 0 for no. */
    static OptionalDouble truth(Optional<Boolean> yes) {
        return yes.map(y -> OptionalDouble.of(y ? 1 : 0)).orElse(OptionalDouble.empty());
    }
}
