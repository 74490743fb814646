package org.eskiz.server.bench;

import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface BenchFileRepository extends JpaRepository<BenchFileEntity, UUID> {

    Optional<BenchFileEntity> findByIdAndWorkshopId(UUID id, UUID workshopId);

    Optional<BenchFileEntity> findByWorkshopIdAndDigest(UUID workshopId, String digest);
}
