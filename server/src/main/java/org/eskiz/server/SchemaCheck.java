package org.eskiz.server;

import org.flywaydb.core.api.MigrationInfo;
import org.flywaydb.core.api.MigrationInfoService;
import org.flywaydb.core.api.MigrationVersion;
import org.springframework.boot.flyway.autoconfigure.FlywayMigrationStrategy;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** A server starts on the schema that it knows, and on no other: it neither changes one nor works on a newer one. */
@Configuration(proxyBeanMethods = false)
class SchemaCheck {

    @Bean
    FlywayMigrationStrategy checkOnly() {
        return flyway -> require(flyway.info());
    }

    static void require(MigrationInfoService schema) {
        MigrationVersion newest = newestKnown(schema);
        MigrationVersion found = schema.current() == null
                ? MigrationVersion.EMPTY
                : schema.current().getVersion();
        if (found.compareTo(newest) > 0) {
            throw new IllegalStateException(
                    "the database is of version %s and was made by a newer Eskiz; this one knows versions up to %s: start the newer one"
                            .formatted(found, newest));
        }
        if (found.compareTo(newest) < 0) {
            throw new IllegalStateException(
                    "the database is of version %s, this Eskiz needs version %s: ./eskiz migrate brings it up"
                            .formatted(found, newest));
        }
    }

    private static MigrationVersion newestKnown(MigrationInfoService schema) {
        MigrationVersion newest = MigrationVersion.EMPTY;
        for (MigrationInfo migration : schema.all()) {
            if (migration.getPhysicalLocation() != null
                    && !migration.getPhysicalLocation().isEmpty()
                    && migration.getVersion().compareTo(newest) > 0) {
                newest = migration.getVersion();
            }
        }
        return newest;
    }
}
