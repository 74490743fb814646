package org.eskiz.server.plan;

import java.util.UUID;
import org.eskiz.server.problem.NotFoundException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Whether a plan is there, for what hangs on plans. */
@Service
public class PlanLookup {

    private final PlanService plans;

    PlanLookup(PlanService plans) {
        this.plans = plans;
    }

    /**
     * The version at which a plan of the present workshop stands.
     *
     * @throws NotFoundException where there is none, or it is in the bin
     */
    @Transactional(readOnly = true)
    public long versionOf(UUID plan) {
        return plans.existing(plan).version;
    }

    /** @throws NotFoundException as above */
    @Transactional(readOnly = true)
    public void require(UUID plan) {
        plans.existing(plan);
    }
}
