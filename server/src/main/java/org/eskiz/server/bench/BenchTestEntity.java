package org.eskiz.server.bench;

import jakarta.persistence.CollectionTable;
import jakarta.persistence.Column;
import jakarta.persistence.ElementCollection;
import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.HashSet;
import java.util.Set;
import java.util.UUID;
import org.hibernate.annotations.Fetch;
import org.hibernate.annotations.FetchMode;

@Entity
@Table(name = "bench_test")
class BenchTestEntity {

    @Id
    UUID id;

    UUID operatorId;
    boolean demo;
    Instant createdAt;

    /** When it went with the demo; null for a test that is there. */
    Instant removedAt;

    /** Types that were made of it. */
    @ElementCollection(fetch = FetchType.EAGER)
    @Fetch(FetchMode.SUBSELECT)
    @CollectionTable(name = "bench_made_type", joinColumns = @JoinColumn(name = "test_id"))
    @Column(name = "cable_type_id")
    Set<UUID> madeTypes = new HashSet<>();

    protected BenchTestEntity() {}

    static BenchTestEntity create(UUID id, UUID operatorId, boolean demo, Instant now) {
        BenchTestEntity test = new BenchTestEntity();
        test.id = id;
        test.operatorId = operatorId;
        test.demo = demo;
        test.createdAt = now;
        return test;
    }
}
