package org.eskiz.server.operator.signin;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Duration;
import java.time.Instant;
import java.util.Objects;
import java.util.UUID;
import org.eskiz.server.operator.AtWork;
import org.eskiz.server.operator.Secrets;
import org.eskiz.server.store.DatabaseAccess;

/**
 * Makes the link by which the first keeper comes in, or back in: {@code KeeperLink}, on the server, by whoever may read its
 * settings. Prints the path that goes behind the address.
 */
public final class KeeperLink {

    private static final Duration WITHIN = Duration.ofDays(1);

    private KeeperLink() {}

    public static void main(String[] args) throws SQLException {
        DatabaseAccess access = DatabaseAccess.needed();
        try (Connection database = DriverManager.getConnection(access.url(), access.user(), access.password())) {
            System.out.println(make(database, Instant.now().plus(clockOffset())));
        }
    }

    /** Tests live in another time, as the server that will read the link does. */
    private static Duration clockOffset() {
        return Duration.parse(Objects.requireNonNullElse(System.getenv("ESKIZ_CLOCK_OFFSET"), "PT0S"));
    }

    /** @return the path */
    static String make(Connection database, Instant now) throws SQLException {
        String secret = Secrets.random();
        try (PreparedStatement insert = database.prepareStatement("""
                insert into one_time_link (id, digest, workshop_id, role, operator_id, made_at, ends_at)
                values (?, ?, ?, 'KEEPER', ?, ?, ?)""")) {
            insert.setObject(1, UUID.randomUUID());
            insert.setString(2, Secrets.digest(secret));
            insert.setObject(3, AtWork.ALONE.workshop());
            insert.setObject(4, AtWork.ALONE.operator());
            insert.setTimestamp(5, Timestamp.from(now));
            insert.setTimestamp(6, Timestamp.from(now.plus(WITHIN)));
            insert.executeUpdate();
        }
        return Secrets.link(ComeInService.PAGE, secret);
    }
}
