package org.eskiz.server.catalogue;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Clock;
import java.time.Instant;
import java.util.UUID;
import org.eskiz.server.http.Faults;
import org.eskiz.server.http.InvalidRequestException;
import org.eskiz.server.http.NotHereException;
import org.eskiz.server.operator.OperatorService;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Connectors of the operator's own. A decision keeps its figures itself, so a changed connector needs no revisions. */
@Service
class OwnConnectors {

    private static final int PRICE_PLACES = 4;

    private final ConnectorRepository connectors;
    private final OperatorService operators;
    private final Clock clock;

    OwnConnectors(ConnectorRepository connectors, OperatorService operators, Clock clock) {
        this.connectors = connectors;
        this.operators = operators;
        this.clock = clock;
    }

    @Transactional
    Connector create(ConnectorRequest request) {
        check(request);
        ConnectorEntity made = new ConnectorEntity();
        made.id = UUID.randomUUID();
        made.operatorId = operators.current();
        made.key = Keys.free(
                request.name(), "connector", key -> connectors.findByKey(key).isPresent());
        made.position = connectors.lastPosition() + 1;
        say(made, request);
        return connectors.save(made).connector();
    }

    @Transactional
    Connector change(String key, ConnectorRequest request) {
        check(request);
        ConnectorEntity mine = own(key);
        say(mine, request);
        return mine.connector();
    }

    @Transactional
    Connector retire(String key, boolean retired) {
        ConnectorEntity mine = own(key);
        mine.retiredAt = retired ? Instant.now(clock) : null;
        return mine.connector();
    }

    private ConnectorEntity own(String key) {
        ConnectorEntity found = connectors.findByKey(key).orElseThrow(() -> new NotHereException("connector", key));
        if (found.operatorId == null) {
            throw new InvalidRequestException("key", "\"" + key + "\" came with Eskiz and stays as it is");
        }
        return found;
    }

    private static void check(ConnectorRequest request) {
        Faults faults = Faults.in(request);
        if ((request.price() == null) != (request.priceCurrency() == null)) {
            faults.add("priceCurrency", "a price and its currency go together");
        }
        if (request.fitsLeastMm() != null
                && request.fitsMostMm() != null
                && request.fitsLeastMm() > request.fitsMostMm()) {
            faults.add(
                    "fitsMostMm",
                    "must be at least fitsLeastMm %s, not %s".formatted(request.fitsLeastMm(), request.fitsMostMm()));
        }
        faults.refuse();
    }

    private static void say(ConnectorEntity c, ConnectorRequest said) {
        c.name = said.name();
        c.impedanceOhm = said.impedanceOhm();
        c.c1DbPerSqrtMHz = said.lossDb() / Math.sqrt(said.lossAtMHz());
        c.c2DbPerMHz2 = 0;
        c.maxMHz = said.maxMHz();
        c.peakVoltageV = said.peakVoltageV();
        c.watertight = Boolean.TRUE.equals(said.watertight());
        c.fitsLeastMm = said.fitsLeastMm();
        c.fitsMostMm = said.fitsMostMm();
        c.price = said.price() == null
                ? null
                : BigDecimal.valueOf(said.price()).setScale(PRICE_PLACES, RoundingMode.HALF_UP);
        c.priceCurrency = said.priceCurrency();
        c.note = said.note();
    }
}
