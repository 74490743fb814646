package org.eskiz.server.catalogue;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface ConnectorRepository extends Repository<ConnectorEntity, UUID> {

    ConnectorEntity save(ConnectorEntity connector);

    void flush();

    @Query("select c from ConnectorEntity c where c.workshopId is null or c.workshopId = :workshop order by c.position")
    List<ConnectorEntity> ofWorkshop(UUID workshop);

    Optional<ConnectorEntity> findByKeyAndWorkshopIdIsNull(String key);

    @Query("""
            select c from ConnectorEntity c
            where c.key = :key and (c.workshopId is null or c.workshopId = :workshop)""")
    Optional<ConnectorEntity> named(String key, UUID workshop);

    @Query("select coalesce(max(c.position), 0) from ConnectorEntity c")
    int lastPosition();
}
