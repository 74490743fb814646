package org.eskiz.server;

import java.util.Optional;
import javax.sql.DataSource;
import org.eskiz.server.store.DatabaseAccess;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.MigrationVersion;
import org.flywaydb.core.api.configuration.FluentConfiguration;

/**
 * Brings the schema up, as its owner and before any server starts: {@code Migrations [VERSION]}, to the newest version or
 * to that one. The server itself cannot change the schema.
 */
public final class Migrations {

    private static final String LOCATION = "classpath:db/migration";

    private Migrations() {}

    public static void main(String[] args) {
        DatabaseAccess database = DatabaseAccess.needed();
        migrate(
                Flyway.configure().dataSource(database.url(), database.user(), database.password()),
                args.length == 0 ? Optional.empty() : Optional.of(args[0]));
    }

    /** Brings the schema of a database to the newest version, as whoever the connections belong to. */
    public static void migrate(DataSource owner) {
        migrate(Flyway.configure().dataSource(owner), Optional.empty());
    }

    private static void migrate(FluentConfiguration database, Optional<String> version) {
        version.map(MigrationVersion::fromVersion).ifPresent(database::target);
        database.locations(LOCATION).load().migrate();
    }
}
