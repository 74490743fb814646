package org.eskiz.server.instrument;

import java.net.InetAddress;
import java.net.UnknownHostException;
import java.util.List;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.Function;
import org.eskiz.server.problem.UpstreamException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/**
 * A radio that is keyed through an instrument, and let go in every ending. That it may be keyed is kept in the database before
 * it is, so that a server that was killed meanwhile switches it off when it starts again; where its language has a time
 * limit, it is given one too.
 */
@Component
class Transmitter {

    private static final Logger LOG = LoggerFactory.getLogger(Transmitter.class);

    /** Longer than any reading takes; the instrument lets go by itself then, if it can. */
    static final int LONGEST_KEY_S = 20;

    /** Of a problem that somebody has to act upon at once. */
    static final String MAY_BE_KEYED = "TRANSMITTER_MAY_BE_KEYED";

    private static final int SWITCH_OFF_MS = 2000;
    private static final int TRIES = 3;

    private final InstrumentSession session;
    private final JdbcTemplate sql;
    /** Addresses at which this server is reading right now: they are keyed because they are meant to be. */
    private final Set<String> reading = ConcurrentHashMap.newKeySet();

    Transmitter(InstrumentSession session, JdbcTemplate sql) {
        this.session = session;
        this.sql = sql;
    }

    /** A radio that may still be transmitting. */
    record Keyed(String address, String host, int port) {}

    /**
     * Keys the radio, reads, and lets go.
     *
     * @param setUp commands before the key
     * @throws UpstreamException when the reading failed; with {@link #MAY_BE_KEYED} when the radio does not confirm that it is
     *     off
     */
    <T> T whileKeyed(InstrumentRequest to, int withinMs, String[] setUp, Function<ScpiConnection, T> read) {
        InetAddress host = session.admitted(to);
        Keyed radio = new Keyed(InstrumentSession.address(host, to.port()), host.getHostAddress(), to.port());
        AtomicBoolean mayBeKeyed = new AtomicBoolean();
        reading.add(radio.address());
        try (ScpiConnection connection = ScpiConnection.open(to.address(), host, to.port(), withinMs)) {
            limitKeying(connection);
            connection.command(setUp);
            remember(radio);
            mayBeKeyed.set(true);
            connection.command("OUTP ON");
            T answer = read.apply(connection);
            requireOff(connection);
            forget(radio);
            return answer;
        } catch (RuntimeException e) {
            throw mayBeKeyed.get() ? afterSwitchingOff(radio, e) : e;
        } finally {
            reading.remove(radio.address());
        }
    }

    private static void requireOff(ScpiConnection connection) {
        if (!isSwitchedOff(connection)) {
            throw new UpstreamException("the transmitter was told to let go, and does not say that it did");
        }
    }

    private RuntimeException afterSwitchingOff(Keyed radio, RuntimeException failed) {
        if (!isSwitchedOff(radio)) {
            return new UpstreamException(
                    "the transmitter at %s may still be keyed: switch it off by hand, at the radio. What failed: %s"
                            .formatted(radio.address(), failed.getMessage()),
                    MAY_BE_KEYED,
                    failed);
        }
        forget(radio);
        return failed instanceof UpstreamException
                ? new UpstreamException(failed.getMessage() + "; the transmitter is off, and says so", null, failed)
                : failed;
    }

    /** Radios that did not confirm that they are off; none that is keyed for a reading under way. */
    List<Keyed> maybeKeyed() {
        return sql
                .query(
                        "select address, host, port from keyed_transmitter order by address",
                        (row, n) -> new Keyed(row.getString(1), row.getString(2), row.getInt(3)))
                .stream()
                .filter(keyed -> !reading.contains(keyed.address()))
                .toList();
    }

    /** Switches off whatever a server left keyed that did not live to do it; what does not confirm stays remembered. */
    void switchOffWhatWasLeft() {
        for (Keyed keyed : maybeKeyed()) {
            if (isSwitchedOff(keyed)) {
                LOG.warn("the transmitter at {} was left keyed, and is off now", keyed.address());
                forget(keyed);
            } else {
                LOG.error("the transmitter at {} may still be keyed: switch it off by hand", keyed.address());
            }
        }
    }

    private void remember(Keyed keyed) {
        sql.update("""
                insert into keyed_transmitter (address, host, port, keyed_at) values (?, ?, ?, now())
                on conflict (address) do update set keyed_at = excluded.keyed_at""", keyed.address(), keyed.host(), keyed.port());
    }

    private void forget(Keyed keyed) {
        sql.update("delete from keyed_transmitter where address = ?", keyed.address());
    }

    /** Not every instrument has it; one that does not says so, and is keyed without. */
    private static void limitKeying(ScpiConnection connection) {
        connection.tell("*CLS");
        connection.tell("OUTP:TIM " + LONGEST_KEY_S);
        connection.ask("SYST:ERR?");
    }

    /** Over a connection of its own, since the one of the reading may be what failed. */
    private static boolean isSwitchedOff(Keyed keyed) {
        for (int i = 0; i < TRIES; i++) {
            try (ScpiConnection connection = ScpiConnection.open(
                    keyed.address(), InetAddress.getByName(keyed.host()), keyed.port(), SWITCH_OFF_MS)) {
                if (isSwitchedOff(connection)) {
                    return true;
                }
            } catch (UnknownHostException e) {
                return false;
            } catch (UpstreamException e) {
                LOG.debug("not switched off yet: {}", e.getMessage());
            }
        }
        return false;
    }

    private static boolean isSwitchedOff(ScpiConnection connection) {
        connection.tell("OUTP OFF");
        return connection.ask("OUTP?").equals("0");
    }
}
