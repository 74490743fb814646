package org.eskiz.server.locker;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface OutingRepository extends Repository<OutingEntity, UUID> {

    OutingEntity save(OutingEntity outing);

    void flush();

    void delete(OutingEntity outing);

    List<OutingEntity> findByPieceIdOrderByTakenOn(UUID pieceId);

    List<OutingEntity> findByPieceIdInOrderByTakenOn(Collection<UUID> pieceIds);

    List<OutingEntity> findByTakenByMovement(UUID movement);

    List<OutingEntity> findByPutAwayByMovement(UUID movement);

    @Query("""
            select o from OutingEntity o join PieceEntity p on p.id = o.pieceId
            where p.operatorId = :operator and p.deletedAt is null order by o.takenOn""")
    List<OutingEntity> all(UUID operator);
}
