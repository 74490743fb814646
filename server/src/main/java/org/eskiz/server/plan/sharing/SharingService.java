package org.eskiz.server.plan.sharing;

import java.time.LocalDate;
import java.time.Period;
import java.util.List;
import java.util.UUID;
import org.eskiz.server.operator.AtWork;
import org.eskiz.server.operator.Secrets;
import org.eskiz.server.operator.WorkshopService;
import org.eskiz.server.plan.PlanLookup;
import org.eskiz.server.problem.NotFoundException;
import org.eskiz.server.problem.ValidationErrors;
import org.eskiz.server.web.PublicAddress;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Makes links to plans, and takes them back. */
@Service
class SharingService {

    private static final String PAGE = "/shared";
    private static final Period LONGEST = Period.ofYears(1);

    private final SharedLinks links;
    private final PlanLookup plans;
    private final WorkshopService workshops;
    private final PublicAddress address;

    SharingService(SharedLinks links, PlanLookup plans, WorkshopService workshops, PublicAddress address) {
        this.plans = plans;
        this.links = links;
        this.workshops = workshops;
        this.address = address;
    }

    List<ShareResponse> of(UUID plan) {
        plans.require(plan);
        return links.of(plan, workshops.current());
    }

    @Transactional
    public ShareMadeResponse share(UUID plan, ShareRequest request) {
        ValidationErrors errors = ValidationErrors.in(request);
        if (request.endsOn() != null) {
            LocalDate today = links.today();
            LocalDate last = today.plus(LONGEST);
            if (request.endsOn().isBefore(today) || request.endsOn().isAfter(last)) {
                errors.add("endsOn", "must be from %s to %s, not %s".formatted(today, last, request.endsOn()));
            }
        }
        errors.throwIfAny();
        plans.require(plan);
        UUID id = UUID.randomUUID();
        String secret = Secrets.random();
        links.add(id, plan, workshops.current(), secret, request.endsOn());
        ShareResponse made = links.of(plan, workshops.current()).stream()
                .filter(s -> s.id().equals(id))
                .findFirst()
                .orElseThrow();
        return new ShareMadeResponse(made, address.of(Secrets.link(PAGE, secret)));
    }

    @Transactional
    public void takeBack(UUID plan, UUID share) {
        plans.require(plan);
        if (!links.takeBack(share, plan, workshops.current())) {
            throw new NotFoundException("link", share);
        }
    }

    /** Where the link leads by which somebody came. */
    SharedPlanResponse visited(String secret) {
        UUID plan = AtWork.now()
                .flatMap(AtWork::onlyPlan)
                .orElseThrow(() -> new NotFoundException("plan", "behind this link"));
        plans.require(plan);
        return new SharedPlanResponse(plan, links.endOf(secret).orElseThrow());
    }
}
