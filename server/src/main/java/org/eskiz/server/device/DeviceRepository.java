package org.eskiz.server.device;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.repository.Repository;

interface DeviceRepository extends Repository<DeviceEntity, UUID> {

    DeviceEntity save(DeviceEntity device);

    void flush();

    Optional<DeviceEntity> findByIdAndWorkshopId(UUID id, UUID workshopId);

    long countByWorkshopIdAndDeletedAtIsNull(UUID workshopId);

    List<DeviceEntity> findByWorkshopIdAndDeletedAtIsNullOrderByNameAscIdAsc(UUID workshopId);
}
