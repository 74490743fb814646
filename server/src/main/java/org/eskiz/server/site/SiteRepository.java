package org.eskiz.server.site;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.repository.Repository;

interface SiteRepository extends Repository<SiteEntity, UUID> {

    SiteEntity save(SiteEntity site);

    void delete(SiteEntity site);

    void flush();

    Optional<SiteEntity> findByWorkshopIdAndName(UUID workshopId, String name);

    List<SiteEntity> findByWorkshopIdOrderByName(UUID workshopId);
}
