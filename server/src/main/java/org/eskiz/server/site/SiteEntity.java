package org.eskiz.server.site;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.NullUnmarked;

@Entity
@Table(name = "site")
@NullUnmarked
class SiteEntity {

    @Id
    UUID id;

    UUID workshopId;

    @Version
    Long version;

    String name;

    @JdbcTypeCode(SqlTypes.JSON)
    String document;

    Instant changedAt;

    protected SiteEntity() {}

    static SiteEntity create(UUID workshopId, String name, Instant now) {
        SiteEntity site = new SiteEntity();
        site.id = UUID.randomUUID();
        site.workshopId = workshopId;
        site.name = name;
        site.changedAt = now;
        return site;
    }
}
