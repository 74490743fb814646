package org.eskiz.server.catalogue;

import static java.util.Objects.requireNonNullElse;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.eskiz.server.operator.WorkshopService;
import org.eskiz.server.problem.ConflictException;
import org.eskiz.server.problem.InvalidRequestException;
import org.eskiz.server.problem.NotFoundException;
import org.eskiz.server.problem.ValidationErrors;
import org.eskiz.server.store.IdempotentStore;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Connectors of the operator's own; what each said before is kept. */
@Service
class OwnConnectorService {

    private static final int PRICE_PLACES = 4;

    private final ConnectorRepository connectors;
    private final WorkshopService workshops;
    private final IdempotentStore store;
    private final Clock clock;

    OwnConnectorService(ConnectorRepository connectors, WorkshopService workshops, IdempotentStore store, Clock clock) {
        this.connectors = connectors;
        this.workshops = workshops;
        this.store = store;
        this.clock = clock;
    }

    /** Stores a new connector; sent again under a key of the client's, it answers what is stored. */
    Connector createOnce(ConnectorRequest request) {
        checked(request).throwIfAny();
        return store.createOrRepeat(() -> createdAlready(request), () -> insert(request));
    }

    private Optional<Connector> createdAlready(ConnectorRequest request) {
        Optional<Connector> known = request.key() == null
                ? Optional.empty()
                : connectors.named(request.key(), workshops.current()).map(ConnectorEntity::connector);
        if (known.isPresent() && !saysTheSame(known.get(), request)) {
            throw taken(request.key());
        }
        return known;
    }

    private static boolean saysTheSame(Connector known, ConnectorRequest request) {
        return !known.builtIn() && ConnectorRequest.of(known).equals(asStored(request));
    }

    /** Stores a new connector within the caller's transaction. */
    @Transactional
    Connector create(ConnectorRequest request) {
        checked(request).throwIfAny();
        if (request.key() != null
                && connectors.named(request.key(), workshops.current()).isPresent()) {
            throw taken(request.key());
        }
        return insert(request);
    }

    private Connector insert(ConnectorRequest request) {
        ConnectorEntity made = entity(request);
        made.id = UUID.randomUUID();
        made.workshopId = workshops.current();
        made.key = request.key() == null
                ? Keys.free(
                        request.name(),
                        "connector",
                        taken -> connectors.named(taken, workshops.current()).isPresent())
                : request.key();
        made.position = connectors.lastPosition() + 1;
        connectors.save(made);
        connectors.flush();
        return made.connector();
    }

    private static InvalidRequestException taken(String key) {
        return new InvalidRequestException("key", "the key \"" + key + "\" is taken");
    }

    /**
     * Says something else of a connector; saying the same again changes nothing.
     *
     * @throws ConflictException when it was changed since it was looked at
     */
    Connector change(String key, ConnectorRequest request) {
        return store.change(() -> changeOver(key, request), () -> changed(request, own(key)));
    }

    /** The same within the caller's transaction. */
    @Transactional
    Connector changeOver(String key, ConnectorRequest request) {
        checked(request).throwIfAny();
        ConnectorEntity mine = own(key);
        if (request.revision() != null && request.revision() != mine.version) {
            throw changed(request, mine);
        }
        mine.sayInstead(entity(request), Instant.now(clock));
        connectors.flush();
        return mine.connector();
    }

    private static ConflictException changed(ConnectorRequest request, ConnectorEntity mine) {
        return new ConflictException(
                String.format(
                        Locale.ROOT,
                        "the connector was changed meanwhile: you started from revision %s, it is at revision %d now",
                        requireNonNullElse(request.revision(), mine.version - 1),
                        mine.version),
                mine.connector());
    }

    /** Everything a connector ever was, newest first. */
    @Transactional(readOnly = true)
    List<Connector> history(String key) {
        return connectors
                .named(key, workshops.current())
                .orElseThrow(() -> new NotFoundException("connector", key))
                .history();
    }

    @Transactional
    Connector retire(String key, boolean retired) {
        ConnectorEntity mine = own(key);
        mine.retiredAt = retired ? Instant.now(clock) : null;
        connectors.flush();
        return mine.connector();
    }

    UUID id(String key) {
        return own(key).id;
    }

    private ConnectorEntity own(String key) {
        ConnectorEntity found =
                connectors.named(key, workshops.current()).orElseThrow(() -> new NotFoundException("connector", key));
        if (found.workshopId == null) {
            throw new InvalidRequestException("key", "\"" + key + "\" came with Eskiz and stays as it is");
        }
        return found;
    }

    /** The first thing that is wrong with a connector, in a sentence; empty when it can be stored. */
    static Optional<String> faultIn(ConnectorRequest request) {
        try {
            checked(request).throwIfAny();
            return Optional.empty();
        } catch (InvalidRequestException e) {
            return Optional.of(
                    e.errors().get(0).path() + " " + e.errors().get(0).message());
        }
    }

    /** The same, as it reads once it is stored. */
    static ConnectorRequest asStored(ConnectorRequest request) {
        ConnectorEntity entity = entity(request);
        entity.key = request.key();
        return ConnectorRequest.of(entity.connector());
    }

    private static ValidationErrors checked(ConnectorRequest request) {
        ValidationErrors errors = ValidationErrors.in(request);
        if (request.key() != null && !Keys.isKey(request.key())) {
            errors.add("key", "must be lower-case letters, digits and single hyphens, not \"" + request.key() + "\"");
        }
        if ((request.price() == null) != (request.priceCurrency() == null)) {
            errors.add("priceCurrency", "a price and its currency go together");
        }
        if ((request.averagePowerW() == null) != (request.ratedAtMHz() == null)) {
            errors.add("ratedAtMHz", "an average power and the frequency it is stated at go together");
        }
        if ((request.bumpOhm() == null) != (request.bumpMm() == null)) {
            errors.add("bumpMm", "the impedance of a bump and its length go together");
        }
        boolean hasFigure = request.lossDb() != null && request.lossAtMHz() != null;
        if (hasFigure == (request.c1DbPerSqrtMHz() != null)) {
            errors.add("lossDb", "must be given with lossAtMHz, or c1DbPerSqrtMHz in its place, and not both");
        }
        if (request.fitsLeastMm() != null
                && request.fitsMostMm() != null
                && request.fitsLeastMm() > request.fitsMostMm()) {
            errors.add(
                    "fitsMostMm",
                    "must be at least fitsLeastMm %s, not %s".formatted(request.fitsLeastMm(), request.fitsMostMm()));
        }
        return errors;
    }

    static ConnectorEntity entity(ConnectorRequest request) {
        ConnectorEntity c = new ConnectorEntity();
        c.name = request.name();
        c.impedanceOhm = request.impedanceOhm();
        boolean hasLaw = request.c1DbPerSqrtMHz() != null;
        c.c1DbPerSqrtMHz = hasLaw ? request.c1DbPerSqrtMHz() : request.lossDb() / Math.sqrt(request.lossAtMHz());
        c.c2DbPerMHz2 = hasLaw && request.c2DbPerMHz2() != null ? request.c2DbPerMHz2() : 0;
        c.bumpOhm = request.bumpOhm();
        c.bumpMm = request.bumpMm();
        c.maxMHz = request.maxMHz();
        c.peakVoltageV = request.peakVoltageV();
        c.averagePowerW = request.averagePowerW();
        c.ratedAtMHz = request.ratedAtMHz();
        c.watertight = Boolean.TRUE.equals(request.watertight());
        c.fitsLeastMm = request.fitsLeastMm();
        c.fitsMostMm = request.fitsMostMm();
        c.price = request.price() == null
                ? null
                : BigDecimal.valueOf(request.price()).setScale(PRICE_PLACES, RoundingMode.HALF_UP);
        c.priceCurrency = request.priceCurrency();
        c.pricedOn = request.pricedOn();
        c.note = request.note();
        return c;
    }
}
