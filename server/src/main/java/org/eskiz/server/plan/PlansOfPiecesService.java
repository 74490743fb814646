package org.eskiz.server.plan;

import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.eskiz.server.operator.WorkshopService;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Which plans have pieces of the locker in their run. */
@Service
public class PlansOfPiecesService {

    private final PlanRepository plans;
    private final WorkshopService workshops;

    PlansOfPiecesService(PlanRepository plans, WorkshopService workshops) {
        this.plans = plans;
        this.workshops = workshops;
    }

    /** A plan, as far as its name. */
    public record PlanName(UUID id, String site, String name) {}

    /** The pieces that lie in the run of a plan. */
    @Transactional(readOnly = true)
    public List<UUID> piecesOf(UUID plan) {
        return plans.piecesIn(List.of(plan));
    }

    /** By the ids of some pieces; plans in the bin are left out. */
    @Transactional(readOnly = true)
    public Map<UUID, List<PlanName>> of(Collection<UUID> pieces) {
        return plans.withPieces(pieces, workshops.current()).stream()
                .collect(Collectors.groupingBy(
                        row -> (UUID) row[0],
                        Collectors.mapping(
                                row -> new PlanName((UUID) row[1], (String) row[2], (String) row[3]),
                                Collectors.toList())));
    }
}
