package org.eskiz.server.bench;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaSpecificationExecutor;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface BenchTestRepository extends Repository<BenchTestEntity, UUID>, JpaSpecificationExecutor<BenchTestEntity> {

    void flush();

    Optional<BenchTestEntity> findById(UUID id);

    Optional<BenchTestEntity> findByIdAndWorkshopId(UUID id, UUID workshopId);

    Optional<BenchTestEntity> findByIdAndWorkshopIdAndRemovedAtIsNull(UUID id, UUID workshopId);

    List<BenchTestEntity> findByIdIn(Collection<UUID> ids);

    @Query("""
            select t.id from BenchTestEntity t
            where t.workshopId = :workshop and t.removedAt is null order by t.createdAt, t.id""")
    List<UUID> ids(UUID workshop);

    List<BenchTestEntity> findByWorkshopIdAndRemovedAtIsNullAndDemoTrue(UUID workshopId);
}
