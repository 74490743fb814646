package org.eskiz.server.operator.signin;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.io.Serializable;
import java.time.Instant;
import java.util.UUID;
import org.eskiz.server.operator.Role;

@Entity
@Table(name = "membership")
@IdClass(MembershipEntity.Key.class)
class MembershipEntity {

    @Id
    UUID workshopId;

    @Id
    UUID operatorId;

    @Enumerated(EnumType.STRING)
    Role role;

    Instant since;

    protected MembershipEntity() {}

    static MembershipEntity create(UUID workshopId, UUID operatorId, Role role, Instant now) {
        MembershipEntity membership = new MembershipEntity();
        membership.workshopId = workshopId;
        membership.operatorId = operatorId;
        membership.role = role;
        membership.since = now;
        return membership;
    }

    record Key(UUID workshopId, UUID operatorId) implements Serializable {}
}
