package org.eskiz.server.locker;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.UUID;
import org.eskiz.server.operator.DemoPart;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** The locker of the demo: its pieces, and three years of what was done with them. */
@Component
@Order(0)
class LockerDemo implements DemoPart {

    private final PieceService pieces;
    private final MovementService movements;
    private final JsonMapper json;

    LockerDemo(PieceService pieces, MovementService movements, JsonMapper json) {
        this.pieces = pieces;
        this.movements = movements;
        this.json = json;
    }

    /** As the file has it: movements and changes in the order in which they were noted. */
    record Locker(List<PieceRequest> pieces, List<Moved> movements, List<Changed> changes) {

        record Moved(UUID id, MovementRequest movement) {}

        record Changed(UUID pieceId, PieceChangeRequest change) {}
    }

    @Override
    public void load() {
        try (InputStream in = LockerDemo.class.getResourceAsStream("/demo/locker.json")) {
            Locker locker = json.readValue(in, Locker.class);
            locker.pieces().forEach(pieces::createDemo);
            locker.movements().forEach(m -> movements.move(m.id(), m.movement()));
            locker.changes().forEach(c -> pieces.change(c.pieceId(), c.change()));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Override
    public void remove() {
        pieces.removeDemo();
    }
}
