package org.eskiz.server.operator;

import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface WorkshopRepository extends Repository<WorkshopEntity, UUID> {

    Optional<WorkshopEntity> findById(UUID id);

    WorkshopEntity saveAndFlush(WorkshopEntity workshop);

    @Modifying
    @Query("update WorkshopEntity w set w.demoLoadedAt = :at where w.id = :id and w.demoLoadedAt is null")
    int markDemoLoaded(UUID id, Instant at);
}
