package org.eskiz.server.bench;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.repository.Repository;

interface BenchTestRepository extends Repository<BenchTestEntity, UUID> {

    BenchTestEntity save(BenchTestEntity test);

    void flush();

    Optional<BenchTestEntity> findById(UUID id);

    Optional<BenchTestEntity> findByIdAndOperatorIdAndRemovedAtIsNull(UUID id, UUID operatorId);

    List<BenchTestEntity> findByOperatorIdAndRemovedAtIsNull(UUID operatorId);

    List<BenchTestEntity> findByOperatorIdAndRemovedAtIsNullAndDemoTrue(UUID operatorId);
}
