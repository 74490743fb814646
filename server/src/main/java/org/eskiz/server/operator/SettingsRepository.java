package org.eskiz.server.operator;

import java.util.Optional;
import java.util.UUID;
import org.springframework.data.repository.Repository;

interface SettingsRepository extends Repository<SettingsEntity, UUID> {

    Optional<SettingsEntity> findById(UUID operatorId);

    SettingsEntity saveAndFlush(SettingsEntity settings);
}
