package org.eskiz.server.bench;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** What an instrument wrote; never changed. */
@Entity
@Table(name = "bench_file")
class BenchFileEntity {

    @Id
    UUID id;

    UUID workshopId;
    String fileName;

    @JdbcTypeCode(SqlTypes.CHAR)
    @Column(length = 64)
    String digest;

    String content;
    Instant storedAt;

    protected BenchFileEntity() {}

    static BenchFileEntity of(UUID id, UUID workshopId, BenchFileRequest request, String digest, Instant now) {
        BenchFileEntity file = new BenchFileEntity();
        file.id = id;
        file.workshopId = workshopId;
        file.fileName = request.fileName();
        file.digest = digest;
        file.content = request.text();
        file.storedAt = now;
        return file;
    }
}
