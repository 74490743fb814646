package org.eskiz.server.catalogue;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface CableTypeRevisionRepository extends Repository<CableTypeRevisionEntity, UUID> {

    CableTypeRevisionEntity save(CableTypeRevisionEntity revision);

    /** Ids of the newest revisions, in the order of the catalogue. */
    @Query("""
            select r.id from CableTypeRevisionEntity r join r.type t
            where (t.workshopId is null or t.workshopId = :workshop)
              and r.number = (select max(n.number) from CableTypeRevisionEntity n where n.type = t)
            order by t.position, t.key""")
    List<UUID> newestIds(UUID workshop);

    @Query("""
            select distinct r from CableTypeRevisionEntity r join fetch r.type join fetch r.points
            where r.id in :ids""")
    List<CableTypeRevisionEntity> withPoints(Collection<UUID> ids);

    @Query("""
            select distinct r from CableTypeRevisionEntity r join fetch r.type t join fetch r.points
            where t.key = :key and (t.workshopId is null or t.workshopId = :workshop)
            order by r.number desc""")
    List<CableTypeRevisionEntity> history(String key, UUID workshop);

    Optional<CableTypeRevisionEntity> findFirstByTypeOrderByNumberDesc(CableTypeEntity type);

    Optional<CableTypeRevisionEntity> findByTypeAndNumber(CableTypeEntity type, int number);
}
