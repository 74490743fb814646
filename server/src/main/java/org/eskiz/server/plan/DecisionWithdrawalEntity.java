package org.eskiz.server.plan;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

/** That a decision no longer stands. */
@Entity
@Table(name = "decision_withdrawal")
class DecisionWithdrawalEntity {

    @Id
    UUID decisionId;

    Instant withdrawnAt;

    protected DecisionWithdrawalEntity() {}

    DecisionWithdrawalEntity(UUID decisionId, Instant withdrawnAt) {
        this.decisionId = decisionId;
        this.withdrawnAt = withdrawnAt;
    }
}
