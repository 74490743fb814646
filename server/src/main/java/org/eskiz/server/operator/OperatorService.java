package org.eskiz.server.operator;

import java.time.Clock;
import java.time.Instant;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The operator at work. */
@Service
public class OperatorService {

    /** The one operator that the first migration makes. */
    private static final UUID ONLY_OPERATOR = UUID.fromString("00000000-0000-4000-8000-000000000001");

    private final OperatorRepository operators;
    private final Clock clock;

    OperatorService(OperatorRepository operators, Clock clock) {
        this.operators = operators;
        this.clock = clock;
    }

    /** Whose rows are being read and written. */
    public UUID current() {
        return ONLY_OPERATOR;
    }

    /**
     * Claims the loading of the demo, within the caller's transaction.
     *
     * @return whether it was still to be done; true once in the life of a database
     */
    @Transactional
    public boolean claimDemo() {
        return operators.markDemoLoaded(ONLY_OPERATOR, Instant.now(clock)) == 1;
    }
}
