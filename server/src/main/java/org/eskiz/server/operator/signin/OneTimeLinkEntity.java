package org.eskiz.server.operator.signin;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.eskiz.server.operator.Role;
import org.jspecify.annotations.Nullable;

@Entity
@Table(name = "one_time_link")
class OneTimeLinkEntity {

    @Id
    UUID id;

    String digest;
    UUID workshopId;

    @Enumerated(EnumType.STRING)
    Role role;

    /** Whose it is; null for somebody who is not here yet. */
    @Nullable
    UUID operatorId;

    @Nullable
    UUID madeBy;

    Instant madeAt;
    Instant endsAt;

    @Nullable
    Instant usedAt;

    protected OneTimeLinkEntity() {}

    OneTimeLinkEntity(UUID id) {
        this.id = id;
    }
}
