package org.eskiz.server.locker;

import jakarta.persistence.LockModeType;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.repository.Repository;

interface PieceRepository extends Repository<PieceEntity, UUID> {

    PieceEntity save(PieceEntity piece);

    void flush();

    Optional<PieceEntity> findById(UUID id);

    Optional<PieceEntity> findByIdAndOperatorId(UUID id, UUID operatorId);

    List<PieceEntity> findByIdInAndOperatorId(Collection<UUID> ids, UUID operatorId);

    List<PieceEntity> findByOperatorIdAndDeletedAtIsNull(UUID operatorId);

    List<PieceEntity> findByIdInAndOperatorIdAndDeletedAtIsNull(Collection<UUID> ids, UUID operatorId);

    /** The same, kept from other writers until the transaction ends. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    List<PieceEntity> findByIdInAndOperatorIdAndDeletedAtIsNullOrderById(Collection<UUID> ids, UUID operatorId);

    Optional<PieceEntity> findFirstByOperatorIdAndLabelIgnoreCaseAndDeletedAtIsNull(UUID operatorId, String label);

    List<PieceEntity> findByOperatorIdAndDeletedAtIsNullAndDemoTrue(UUID operatorId);
}
