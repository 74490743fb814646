package org.eskiz.server.catalogue;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface ConnectorRepository extends Repository<ConnectorEntity, UUID> {

    ConnectorEntity save(ConnectorEntity connector);

    void flush();

    List<ConnectorEntity> findAllByOrderByPosition();

    Optional<ConnectorEntity> findByKey(String key);

    @Query("select coalesce(max(c.position), 0) from ConnectorEntity c")
    int lastPosition();
}
