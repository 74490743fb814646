package org.eskiz.server.instrument;

import java.net.InetAddress;
import java.net.UnknownHostException;
import java.time.Duration;
import java.util.Arrays;
import java.util.Locale;
import java.util.Objects;
import java.util.function.Function;
import org.eskiz.server.operator.SettingsService;
import org.eskiz.server.problem.ConflictException;
import org.eskiz.server.problem.InvalidRequestException;
import org.eskiz.server.problem.ValidationErrors;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;

/** Who may talk to which instrument: hosts that are allowed, and one tab at a time. */
@Service
class InstrumentSession {

    /** A tab that is gone lets go after this. */
    private static final Duration HELD_FOR = Duration.ofSeconds(45);

    private final SettingsService settings;
    private final OwnAddresses own;
    private final JdbcTemplate sql;

    InstrumentSession(SettingsService settings, OwnAddresses own, JdbcTemplate sql) {
        this.settings = settings;
        this.own = own;
        this.sql = sql;
    }

    /**
     * Talks to an instrument.
     *
     * @param withinMs for the whole conversation
     * @throws ConflictException when somebody else drives it
     */
    <T> T talk(InstrumentRequest to, int withinMs, Function<ScpiConnection, T> conversation) {
        try (ScpiConnection connection = ScpiConnection.open(to.address(), admitted(to), to.port(), withinMs)) {
            return conversation.apply(connection);
        }
    }

    /**
     * Where an instrument is, when this tab may drive it; from now on it does.
     *
     * @throws ConflictException when somebody else drives it
     */
    InetAddress admitted(InstrumentRequest to) {
        ValidationErrors.in(to).throwIfAny();
        InetAddress host = allowed(to);
        hold(to, host);
        return host;
    }

    /** One instrument by one name, however somebody calls its host. */
    static String address(InetAddress host, int port) {
        return host.getHostAddress() + ":" + port;
    }

    /** Lets go of an instrument; one that somebody else holds stays held. */
    void release(InstrumentRequest to) {
        ValidationErrors.in(to).throwIfAny();
        sql.update(
                "delete from instrument_lease where address = ? and holder = ?",
                address(allowed(to), to.port()),
                to.holder());
    }

    /** By the clock of the database, which is one for all servers. */
    private void hold(InstrumentRequest to, InetAddress host) {
        int held = sql.update("""
                insert into instrument_lease (address, holder, until) values (?, ?, now() + make_interval(secs => ?))
                on conflict (address) do update set holder = excluded.holder, until = excluded.until
                where instrument_lease.holder = excluded.holder or instrument_lease.until < now()""", address(host, to.port()), to.holder(), (double) HELD_FOR.toSeconds());
        if (held == 0) {
            throw new ConflictException(
                    String.format(
                            Locale.ROOT,
                            "another tab drives the instrument at %s; it is let go %d s after that tab was last heard of",
                            to.address(),
                            HELD_FOR.toSeconds()),
                    null);
        }
    }

    /** By the address that a name leads to, which is the one that is then spoken to. */
    private InetAddress allowed(InstrumentRequest to) {
        InetAddress address;
        try {
            address = InetAddress.getByName(to.host());
        } catch (UnknownHostException e) {
            throw new InvalidRequestException("host", "there is no host \"" + to.host() + "\"");
        }
        String others = Objects.requireNonNullElse(settings.get().instrumentHosts(), "");
        boolean isNamed = Arrays.asList(others.split("[\\s,;]+")).contains(to.host());
        if (!address.isLoopbackAddress() && !isNamed) {
            throw new InvalidRequestException(
                    "host",
                    "\"%s\" is not this machine; the settings say which other hosts may be reached"
                            .formatted(to.host()));
        }
        if (own.has(address, to.port())) {
            throw new InvalidRequestException(
                    "port", "there is no instrument at port %d: the server itself is there".formatted(to.port()));
        }
        return address;
    }
}
