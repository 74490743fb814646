package org.eskiz.server.bench;

import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface BenchFileRepository extends JpaRepository<BenchFileEntity, UUID> {

    /** How many bytes of sweeps somebody brought in. */
    @Query(nativeQuery = true, value = "select coalesce(sum(bytes), 0) from bench_file where made_by = :operator")
    long bytesOf(UUID operator);

    Optional<BenchFileEntity> findByIdAndWorkshopId(UUID id, UUID workshopId);

    Optional<BenchFileEntity> findByWorkshopIdAndDigest(UUID workshopId, String digest);
}
