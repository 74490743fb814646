package org.eskiz.server.locker.kit;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface KitRepository extends Repository<KitEntity, UUID> {

    KitEntity save(KitEntity kit);

    void flush();

    Optional<KitEntity> findById(UUID id);

    Optional<KitEntity> findByIdAndWorkshopId(UUID id, UUID workshopId);

    @Query("""
            select distinct k from KitEntity k left join fetch k.pieces
            where k.workshopId = :workshop and k.deletedAt is null order by k.name""")
    List<KitEntity> all(UUID workshop);
}
