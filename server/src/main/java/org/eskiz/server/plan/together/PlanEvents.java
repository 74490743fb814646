package org.eskiz.server.plan.together;

import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** What is told to those who have a plan open. */
final class PlanEvents {

    private PlanEvents() {}

    /** @param by null where nobody's name stands on it */
    record Saved(long version, @Nullable String by) {}

    /** A cable was chosen, or a choice withdrawn. */
    record Chosen() {}

    /** @param others one for every other window */
    record Here(List<Person> others) {}

    /**
     * Something may have been missed.
     *
     * @param version which is the newest, where that is known
     */
    record Look(@Nullable Long version) {}

    record Person(UUID id, String name) {}
}
