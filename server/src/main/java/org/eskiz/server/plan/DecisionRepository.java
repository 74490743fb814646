package org.eskiz.server.plan;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface DecisionRepository extends Repository<DecisionEntity, UUID> {

    List<DecisionEntity> findByPlanIdOrderByDecidedAtDescIdAsc(UUID planId);

    List<DecisionEntity> findByPlanIdInOrderByDecidedAtDescIdAsc(Collection<UUID> planIds);

    Optional<DecisionEntity> findByIdAndPlanId(UUID id, UUID planId);

    @Query("""
            select d from DecisionEntity d
            where d.workshopId = :workshop
              and not exists (select w from DecisionWithdrawalEntity w where w.decisionId = d.id)
            order by d.decidedAt""")
    List<DecisionEntity> standing(UUID workshop);

    /** Those of some plans that stand, the earliest first. */
    @Query("""
            select d from DecisionEntity d
            where d.planId in :plans
              and not exists (select w from DecisionWithdrawalEntity w where w.decisionId = d.id)
            order by d.decidedAt""")
    List<DecisionEntity> standingIn(Collection<UUID> plans);

    @Query("select w from DecisionWithdrawalEntity w where w.decisionId in :ids")
    List<DecisionWithdrawalEntity> withdrawals(List<UUID> ids);
}
