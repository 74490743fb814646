package org.eskiz.server.bench;

import java.util.Optional;
import java.util.UUID;
import org.springframework.data.repository.Repository;

interface BenchFileRepository extends Repository<BenchFileEntity, UUID> {

    BenchFileEntity save(BenchFileEntity file);

    boolean existsById(UUID id);

    Optional<BenchFileEntity> findByIdAndOperatorId(UUID id, UUID operatorId);

    Optional<BenchFileEntity> findByOperatorIdAndDigest(UUID operatorId, String digest);
}
