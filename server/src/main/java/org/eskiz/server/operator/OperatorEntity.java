package org.eskiz.server.operator;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

@Entity
@Table(name = "operator")
class OperatorEntity {

    @Id
    private UUID id;

    private String name;
    private Instant createdAt;
    private Instant demoLoadedAt;

    protected OperatorEntity() {}
}
