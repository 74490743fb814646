package org.eskiz.server.plan;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.repository.Repository;

interface PlanRepository extends Repository<PlanEntity, UUID> {

    Optional<PlanEntity> findByIdAndOperatorId(UUID id, UUID operatorId);

    List<PlanEntity> findByOperatorIdAndDeletedAtIsNullOrderBySiteAscNameAscIdAsc(UUID operatorId);
}
