package org.eskiz.server.operator;

import java.util.Optional;
import java.util.UUID;
import org.springframework.data.repository.Repository;

interface OperatorSettingsRepository extends Repository<OperatorSettingsEntity, UUID> {

    Optional<OperatorSettingsEntity> findById(UUID operatorId);

    OperatorSettingsEntity saveAndFlush(OperatorSettingsEntity settings);
}
