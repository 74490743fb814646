package org.eskiz.server.plan;

import org.eskiz.server.operator.AtWork;
import org.eskiz.server.problem.NotAllowedException;
import org.eskiz.server.web.PublicAddress;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** How many plans one of many operators may have. Who is alone may have as many as they like. */
@Component
class PlanQuota {

    private final PlanRepository plans;
    private final PublicAddress address;
    private final int most;

    PlanQuota(PlanRepository plans, PublicAddress address, @Value("${eskiz.quota.plans}") int most) {
        this.plans = plans;
        this.address = address;
        this.most = most;
    }

    void requireRoomForOne() {
        if (address.isOpen()
                && AtWork.now()
                        .filter(who -> plans.madeBy(who.operator()) >= most)
                        .isPresent()) {
            throw new NotAllowedException(
                    "you have made %d plans, as many as one operator may have here; put some into the bin first"
                            .formatted(most));
        }
    }
}
