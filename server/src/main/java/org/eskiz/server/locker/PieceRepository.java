package org.eskiz.server.locker;

import jakarta.persistence.LockModeType;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface PieceRepository extends Repository<PieceEntity, UUID> {

    PieceEntity save(PieceEntity piece);

    void flush();

    Optional<PieceEntity> findById(UUID id);

    Optional<PieceEntity> findByIdAndWorkshopId(UUID id, UUID workshopId);

    List<PieceEntity> findByIdInAndWorkshopId(Collection<UUID> ids, UUID workshopId);

    List<PieceEntity> findByWorkshopIdAndDeletedAtIsNull(UUID workshopId);

    /** Of some lengths, those that are not retired, the shortest first. */
    @Query("""
            select p from PieceEntity p
            where p.workshopId = :workshop and p.deletedAt is null and p.retiredOn is null
              and p.lengthM between :leastM and :mostM
            order by p.lengthM, p.id""")
    List<PieceEntity> ofLengths(UUID workshop, double leastM, double mostM);

    List<PieceEntity> findByIdInAndWorkshopIdAndDeletedAtIsNull(Collection<UUID> ids, UUID workshopId);

    /** The same, kept from other writers until the transaction ends. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    List<PieceEntity> findByIdInAndWorkshopIdAndDeletedAtIsNullOrderById(Collection<UUID> ids, UUID workshopId);

    Optional<PieceEntity> findFirstByWorkshopIdAndLabelIgnoreCaseAndDeletedAtIsNull(UUID workshopId, String label);

    List<PieceEntity> findByWorkshopIdAndDeletedAtIsNullAndDemoTrue(UUID workshopId);
}
