package org.eskiz.server.operator.signin;

import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Locale;
import java.util.Objects;
import org.eskiz.server.operator.Secrets;
import org.eskiz.server.problem.BusyException;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Attempts to sign in, counted in the database before the password is looked at, so that neither many at once nor several
 * servers let more of them through. A name that nobody has is counted like any other.
 */
@Component
class Attempts {

    /** So many are free; then each has to wait twice as long as the one before. */
    private static final int FREE_BY_NAME = 5;

    private static final int FREE_BY_ADDRESS = 50;
    private static final Duration FIRST_WAIT = Duration.ofSeconds(30);
    private static final int MOST_DOUBLINGS = 5;

    /** After so long without one, nothing is held against anybody any more. */
    private static final Duration FORGOTTEN_AFTER = Duration.ofHours(1);

    private final JdbcTemplate sql;
    private final Clock clock;

    Attempts(JdbcTemplate sql, Clock clock) {
        this.sql = sql;
        this.clock = clock;
    }

    /**
     * Counts one.
     *
     * @throws BusyException where too many were made too quickly; that one is not counted
     */
    @Transactional(propagation = Propagation.REQUIRES_NEW)
    public void begin(String name, String address) {
        count(ofName(name), FREE_BY_NAME);
        count(ofAddress(address), FREE_BY_ADDRESS);
    }

    /** The same where nobody says a name. */
    @Transactional(propagation = Propagation.REQUIRES_NEW)
    public void begin(String address) {
        count(ofAddress(address), FREE_BY_ADDRESS);
    }

    @Transactional(propagation = Propagation.REQUIRES_NEW)
    public void succeeded(String address) {
        countLess(address);
    }

    private void countLess(String address) {
        sql.update(
                "update sign_in_attempts set attempts = attempts - 1 where subject = ? and attempts > 1",
                ofAddress(address));
    }

    /** Whoever is in has nothing held against their name. */
    @Transactional(propagation = Propagation.REQUIRES_NEW)
    public void succeeded(String name, String address) {
        sql.update("delete from sign_in_attempts where subject = ?", ofName(name));
        countLess(address);
    }

    private static String ofName(String name) {
        return "name " + Secrets.digest(name.strip().toLowerCase(Locale.ROOT));
    }

    private static String ofAddress(String address) {
        return "from " + address;
    }

    private void count(String subject, int free) {
        Instant now = Instant.now(clock);
        sql.update("""
                insert into sign_in_attempts (subject, attempts, last_at) values (?, 1, ?)
                on conflict (subject) do nothing""", subject, at(Instant.EPOCH));
        var made =
                sql.queryForMap("select attempts, last_at from sign_in_attempts where subject = ? for update", subject);
        Instant last = ((Timestamp) Objects.requireNonNull(made.get("last_at"))).toInstant();
        int attempts = last.isBefore(now.minus(FORGOTTEN_AFTER)) ? 0 : (Integer) made.get("attempts");
        Duration wait = wait(attempts, free).minus(Duration.between(last, now));
        if (wait.compareTo(Duration.ZERO) > 0) {
            throw new BusyException("too many attempts to sign in", (int) wait.toSeconds() + 1);
        }
        sql.update(
                "update sign_in_attempts set attempts = ?, last_at = ? where subject = ?",
                attempts + 1,
                at(now),
                subject);
    }

    private static Duration wait(int attempts, int free) {
        return attempts < free
                ? Duration.ZERO
                : FIRST_WAIT.multipliedBy(1L << Math.min(attempts - free, MOST_DOUBLINGS));
    }

    private static Timestamp at(Instant instant) {
        return Timestamp.from(instant);
    }
}
