package org.eskiz.server.operator.signin;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

@Entity
@Table(name = "operator")
class OperatorEntity {

    @Id
    UUID id;

    String name;
    Instant createdAt;

    /** Its hash; null where they have none yet. */
    @Nullable
    String password;

    /** When they left for good. */
    @Nullable
    Instant closedAt;

    protected OperatorEntity() {}

    static OperatorEntity create(UUID id, String name, Instant now) {
        OperatorEntity operator = new OperatorEntity();
        operator.id = id;
        operator.name = name;
        operator.createdAt = now;
        return operator;
    }
}
