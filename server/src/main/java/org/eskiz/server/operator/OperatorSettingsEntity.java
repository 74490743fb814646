package org.eskiz.server.operator;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

@Entity
@Table(name = "operator_settings")
class OperatorSettingsEntity {

    @Id
    UUID operatorId;

    @Version
    Long version;

    @JdbcTypeCode(SqlTypes.JSON)
    String document;

    Instant updatedAt;

    protected OperatorSettingsEntity() {}

    OperatorSettingsEntity(UUID operatorId) {
        this.operatorId = operatorId;
    }
}
