package org.eskiz.server.plan.together;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.postgresql.PGConnection;
import org.postgresql.PGNotification;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.jdbc.autoconfigure.DataSourceProperties;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Component;

/** Hears from the database what any server did to a plan, on a connection that does nothing else. */
@Component
class PlanNotices implements SmartLifecycle {

    private static final String SAVED = "eskiz_plan_saved";
    private static final String CHOSEN = "eskiz_plan_chosen";
    private static final String VISITED = "eskiz_plan_visited";

    private static final Duration LISTEN = Duration.ofSeconds(5);
    private static final Duration AGAIN_AFTER = Duration.ofSeconds(1);

    private static final Logger LOG = LoggerFactory.getLogger(PlanNotices.class);

    private final PlanStreams streams;
    private final DataSourceProperties database;
    private volatile @Nullable Thread listening;

    PlanNotices(PlanStreams streams, DataSourceProperties database) {
        this.streams = streams;
        this.database = database;
    }

    private void listen() {
        boolean wasDeaf = false;
        while (isStillListening()) {
            try (Connection connection = DriverManager.getConnection(
                    database.determineUrl(), database.determineUsername(), database.determinePassword())) {
                begin(connection);
                if (wasDeaf) {
                    streams.tellToLook();
                }
                hear(connection);
            } catch (SQLException away) {
                if (!isStillListening()) {
                    return;
                }
                LOG.info("saves at other servers are not heard of: {}", away.getMessage());
                wasDeaf = true;
                pause();
            }
        }
    }

    private boolean isStillListening() {
        return listening == Thread.currentThread();
    }

    private static void begin(Connection connection) throws SQLException {
        try (Statement statement = connection.createStatement()) {
            statement.execute("listen " + SAVED);
            statement.execute("listen " + CHOSEN);
            statement.execute("listen " + VISITED);
        }
    }

    private void hear(Connection connection) throws SQLException {
        PGConnection listener = connection.unwrap(PGConnection.class);
        while (isStillListening()) {
            PGNotification[] heard = listener.getNotifications((int) LISTEN.toMillis());
            if (heard == null || heard.length == 0) {
                requireAlive(connection);
                continue;
            }
            for (PGNotification one : heard) {
                tell(one);
            }
        }
    }

    /** A connection that was cut somewhere along the way says nothing, either. */
    private static void requireAlive(Connection connection) throws SQLException {
        if (!connection.isValid((int) LISTEN.toSeconds())) {
            throw new SQLException("the connection was lost");
        }
    }

    private void tell(PGNotification heard) {
        try {
            String[] words = heard.getParameter().split(" ");
            UUID plan = UUID.fromString(words[0]);
            switch (heard.getName()) {
                case SAVED ->
                    streams.tellSaved(
                            plan, Long.parseLong(words[1]), words.length > 2 ? UUID.fromString(words[2]) : null);
                case CHOSEN -> streams.tellChosen(plan);
                default -> streams.tellWhoIsHere(plan);
            }
        } catch (RuntimeException e) {
            LOG.warn("what was said of a plan was not understood or not told", e);
        }
    }

    private static void pause() {
        try {
            Thread.sleep(AGAIN_AFTER.toMillis());
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    @Override
    public void start() {
        Thread thread = new Thread(this::listen, "plan-notices");
        thread.setDaemon(true);
        listening = thread;
        thread.start();
    }

    @Override
    public void stop() {
        Thread thread = listening;
        listening = null;
        if (thread != null) {
            thread.interrupt();
        }
    }

    @Override
    public boolean isRunning() {
        return listening != null;
    }
}
