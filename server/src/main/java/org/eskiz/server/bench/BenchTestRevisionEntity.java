package org.eskiz.server.bench;

import jakarta.persistence.CollectionTable;
import jakarta.persistence.Column;
import jakarta.persistence.ElementCollection;
import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.Table;
import java.io.Serializable;
import java.time.Instant;
import java.util.HashSet;
import java.util.Set;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** A test as it was noted once; never changed. */
@Entity
@Table(name = "bench_test_revision")
class BenchTestRevisionEntity {

    @EmbeddedId
    Key key;

    @JdbcTypeCode(SqlTypes.JSON)
    String document;

    /** What it came to on the day it was stored. */
    @JdbcTypeCode(SqlTypes.JSON)
    String summary;

    UUID cableTypeId;
    UUID pieceId;
    Instant storedAt;

    @ElementCollection
    @CollectionTable(
            name = "bench_test_file",
            joinColumns = {@JoinColumn(name = "test_id"), @JoinColumn(name = "number")})
    @Column(name = "file_id")
    Set<UUID> files = new HashSet<>();

    protected BenchTestRevisionEntity() {}

    static BenchTestRevisionEntity of(UUID testId, int number, Instant now) {
        BenchTestRevisionEntity revision = new BenchTestRevisionEntity();
        revision.key = new Key(testId, number);
        revision.storedAt = now;
        return revision;
    }

    @Embeddable
    record Key(UUID testId, int number) implements Serializable {}
}
