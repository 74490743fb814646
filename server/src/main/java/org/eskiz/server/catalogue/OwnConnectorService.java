package org.eskiz.server.catalogue;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Clock;
import java.time.Instant;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.eskiz.server.operator.OperatorService;
import org.eskiz.server.problem.ConflictException;
import org.eskiz.server.problem.InvalidRequestException;
import org.eskiz.server.problem.NotFoundException;
import org.eskiz.server.problem.ValidationErrors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Connectors of the operator's own. A decision keeps its figures itself, so what a connector said before is kept only where
 * an import changed it.
 */
@Service
class OwnConnectorService {

    private static final int PRICE_PLACES = 4;

    private final ConnectorRepository connectors;
    private final OperatorService operators;
    private final Clock clock;

    OwnConnectorService(ConnectorRepository connectors, OperatorService operators, Clock clock) {
        this.connectors = connectors;
        this.operators = operators;
        this.clock = clock;
    }

    @Transactional
    Connector create(ConnectorRequest request) {
        ValidationErrors errors = checked(request);
        if (request.name() == null) {
            errors.throwIfAny();
        }
        String key = request.key() == null
                ? Keys.free(
                        request.name(),
                        "connector",
                        taken -> connectors.findByKey(taken).isPresent())
                : request.key();
        if (connectors.findByKey(key).isPresent()) {
            errors.add("key", "the key \"" + key + "\" is taken");
        }
        errors.throwIfAny();
        ConnectorEntity made = entity(request);
        made.id = UUID.randomUUID();
        made.operatorId = operators.current();
        made.key = key;
        made.position = connectors.lastPosition() + 1;
        connectors.save(made);
        connectors.flush();
        return made.connector();
    }

    /**
     * Says something else of a connector; saying the same again changes nothing.
     *
     * @throws ConflictException when it was changed since it was looked at
     */
    @Transactional
    Connector change(String key, ConnectorRequest request) {
        checked(request).throwIfAny();
        ConnectorEntity mine = own(key);
        if (request.revision() != null && request.revision() != mine.version) {
            throw new ConflictException(
                    String.format(
                            Locale.ROOT,
                            "the connector was changed meanwhile: you started from revision %d, it is at revision %d now",
                            request.revision(),
                            mine.version),
                    mine.connector());
        }
        mine.say(entity(request));
        connectors.flush();
        return mine.connector();
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
        ConnectorEntity found = connectors.findByKey(key).orElseThrow(() -> new NotFoundException("connector", key));
        if (found.operatorId == null) {
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
