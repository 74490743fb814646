package org.eskiz.server.instrument;

import java.net.InetAddress;
import java.net.UnknownHostException;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.Objects;
import java.util.function.Function;
import org.eskiz.server.http.ChangedMeanwhileException;
import org.eskiz.server.http.Faults;
import org.eskiz.server.http.InvalidRequestException;
import org.eskiz.server.operator.SettingsService;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;

/** Who may talk to which instrument: hosts that are allowed, and one tab at a time. */
@Service
class InstrumentDoor {

    /** A tab that is gone lets go after this. */
    private static final Duration HELD_FOR = Duration.ofSeconds(45);

    private final SettingsService settings;
    private final JdbcTemplate sql;
    private final Clock clock;

    InstrumentDoor(SettingsService settings, JdbcTemplate sql, Clock clock) {
        this.settings = settings;
        this.sql = sql;
        this.clock = clock;
    }

    /**
     * Talks to an instrument.
     *
     * @param withinMs for the whole conversation
     * @throws ChangedMeanwhileException when somebody else drives it
     */
    <T> T talk(InstrumentRequest to, int withinMs, Function<ScpiConnection, T> conversation) {
        Faults.in(to).refuse();
        InetAddress host = allowed(to.host());
        hold(to);
        try (ScpiConnection connection = ScpiConnection.open(to.address(), host, to.port(), withinMs)) {
            return conversation.apply(connection);
        }
    }

    /** Lets go of an instrument; one that somebody else holds stays held. */
    void release(InstrumentRequest to) {
        Faults.in(to).refuse();
        sql.update("delete from instrument_lease where address = ? and holder = ?", to.address(), to.holder());
    }

    private void hold(InstrumentRequest to) {
        Instant now = Instant.now(clock);
        int held = sql.update("""
                insert into instrument_lease (address, holder, until) values (?, ?, ?)
                on conflict (address) do update set holder = excluded.holder, until = excluded.until
                where instrument_lease.holder = excluded.holder or instrument_lease.until < ?""", to.address(), to.holder(), Timestamp.from(now.plus(HELD_FOR)), Timestamp.from(now));
        if (held == 0) {
            throw new ChangedMeanwhileException(
                    "another tab drives the instrument at %s; it is let go %d s after that tab was last heard of"
                            .formatted(to.address(), HELD_FOR.toSeconds()),
                    null);
        }
    }

    private InetAddress allowed(String host) {
        String others = Objects.requireNonNullElse(settings.get().instrumentHosts(), "");
        boolean isAllowed = Arrays.asList(others.split("[\\s,;]+")).contains(host);
        InetAddress address;
        try {
            address = InetAddress.getByName(host);
        } catch (UnknownHostException e) {
            throw new InvalidRequestException("host", "there is no host \"" + host + "\"");
        }
        if (!address.isLoopbackAddress() && !isAllowed) {
            throw new InvalidRequestException(
                    "host",
                    "\"%s\" is not this machine; the settings say which other hosts may be reached".formatted(host));
        }
        return address;
    }
}
