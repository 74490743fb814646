package org.eskiz.server.locker;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.repository.Repository;

interface PieceChangeRepository extends Repository<PieceChangeEntity, UUID> {

    PieceChangeEntity save(PieceChangeEntity change);

    void flush();

    void delete(PieceChangeEntity change);

    Optional<PieceChangeEntity> findById(UUID id);

    List<PieceChangeEntity> findByPieceIdOrderByChangedOnAscStoredAtAsc(UUID pieceId);

    List<PieceChangeEntity> findByPieceIdInOrderByChangedOnAscStoredAtAsc(Collection<UUID> pieceIds);
}
