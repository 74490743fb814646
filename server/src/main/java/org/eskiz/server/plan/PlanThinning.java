package org.eskiz.server.plan;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** Thins the autosaves of long ago: what is left of each day is what each operator saved last (V16). */
@Component
class PlanThinning {

    private static final Duration KEPT_WHOLE = Duration.ofDays(30);

    /** As many as are taken away within the time that a statement has. */
    private static final int AT_A_TIME = 2000;

    /** Any number, as long as every server of this application takes the same lock. */
    private static final long LOCK = 0x746869_6eL;

    private static final Logger LOG = LoggerFactory.getLogger(PlanThinning.class);

    private final PlanRepository plans;
    private final TransactionTemplate transaction;
    private final Clock clock;

    PlanThinning(PlanRepository plans, TransactionTemplate transaction, Clock clock) {
        this.plans = plans;
        this.transaction = transaction;
        this.clock = clock;
    }

    /** At night, by one of the servers. */
    @Scheduled(cron = "0 41 2 * * *")
    void thin() {
        Instant until = Instant.now(clock).minus(KEPT_WHOLE);
        int gone = 0;
        int now;
        do {
            now = transaction.execute(status -> plans.takeLock(LOCK) ? plans.thin(until, AT_A_TIME) : 0);
            gone += now;
        } while (now == AT_A_TIME);
        if (gone > 0) {
            LOG.info("{} autosaves of before {} were thinned", gone, until);
        }
    }
}
