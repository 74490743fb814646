package org.eskiz.server.catalogue;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.io.Serializable;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** What a connector said before it was changed. */
@Entity
@Table(name = "connector_revision")
class ConnectorRevisionEntity {

    @EmbeddedId
    Id id;

    Instant replacedAt;

    @JdbcTypeCode(SqlTypes.JSON)
    ConnectorRequest said;

    /** Which one: its number grows with every change. */
    @Embeddable
    record Id(UUID connectorId, int number) implements Serializable {}

    ConnectorRevisionEntity() {}

    static ConnectorRevisionEntity of(ConnectorEntity connector, Instant now) {
        var revision = new ConnectorRevisionEntity();
        revision.id = new Id(connector.id, connector.version);
        revision.replacedAt = now;
        revision.said = ConnectorRequest.of(connector.connector());
        return revision;
    }

    /** As it was, of a connector as it is. */
    Connector connector(ConnectorEntity now) {
        ConnectorEntity then = OwnConnectorService.entity(said);
        then.id = now.id;
        then.operatorId = now.operatorId;
        then.key = now.key;
        then.version = id.number();
        then.retiredAt = now.retiredAt;
        return then.connector();
    }
}
