package org.eskiz.server.operator;

import java.time.Instant;
import java.util.UUID;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface OperatorRepository extends Repository<OperatorEntity, UUID> {

    @Modifying
    @Query("update OperatorEntity o set o.demoLoadedAt = :at where o.id = :id and o.demoLoadedAt is null")
    int markDemoLoaded(UUID id, Instant at);
}
