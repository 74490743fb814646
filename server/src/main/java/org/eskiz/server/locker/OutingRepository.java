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

    /** What a movement of a workshop began or ended. */
    @Query("""
            select o from OutingEntity o join PieceEntity p on p.id = o.pieceId
            where p.workshopId = :workshop and (o.takenByMovement = :movement or o.putAwayByMovement = :movement)""")
    List<OutingEntity> ofMovement(UUID movement, UUID workshop);

    @Query("""
            select o from OutingEntity o join PieceEntity p on p.id = o.pieceId
            where p.workshopId = :workshop and p.deletedAt is null order by o.takenOn""")
    List<OutingEntity> all(UUID workshop);
}
