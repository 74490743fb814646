package org.eskiz.server.catalogue;

import java.util.List;
import java.util.UUID;
import org.springframework.data.repository.Repository;

interface ConnectorRevisionRepository extends Repository<ConnectorRevisionEntity, ConnectorRevisionEntity.Id> {

    ConnectorRevisionEntity save(ConnectorRevisionEntity revision);

    List<ConnectorRevisionEntity> findByIdConnectorIdOrderByIdNumberDesc(UUID connectorId);
}
