package org.eskiz.server.bench;

import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface BenchFileRepository extends JpaRepository<BenchFileEntity, UUID> {

    Optional<BenchFileEntity> findByIdAndOperatorId(UUID id, UUID operatorId);

    Optional<BenchFileEntity> findByOperatorIdAndDigest(UUID operatorId, String digest);
}
