package org.eskiz.server.locker.kit;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.eskiz.server.locker.PieceRequest;
import org.eskiz.server.locker.PieceSummary;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Kits on their way into and out of files, within the caller's transaction. */
@Service
public class KitTransfer {

    private final KitService kits;

    KitTransfer(KitService kits) {
        this.kits = kits;
    }

    /** Every kit that has a piece left. */
    @Transactional(readOnly = true)
    public List<KitRequest> all() {
        return kits.list().stream()
                .map(KitTransfer::request)
                .filter(k -> !k.pieces().isEmpty())
                .toList();
    }

    /** Every kit by its id. */
    @Transactional(readOnly = true)
    public Map<UUID, KitRequest> byId() {
        return kits.list().stream().collect(Collectors.toMap(KitResponse::id, KitTransfer::request));
    }

    private static KitRequest request(KitResponse k) {
        return new KitRequest(
                k.id(),
                null,
                k.name(),
                k.note(),
                k.pieces().stream()
                        .map(p -> new KitRequest.PackedRequest(p.pieceId(), p.turned(), p.spare()))
                        .toList(),
                k.adapters().stream()
                        .map(a -> new KitRequest.AdapterRequest(end(a.near()), end(a.far())))
                        .toList());
    }

    private static PieceRequest.EndRequest end(PieceSummary.EndResponse end) {
        return new PieceRequest.EndRequest(end.connectorKey(), end.gender());
    }

    @Transactional
    public void add(KitRequest kit) {
        kits.create(kit);
    }

    @Transactional
    public void replace(KitRequest kit) {
        long version = kits.list().stream()
                .filter(k -> k.id().equals(kit.id()))
                .findFirst()
                .orElseThrow()
                .version();
        kits.save(kit.id(), new KitRequest(null, version, kit.name(), kit.note(), kit.pieces(), kit.adapters()));
    }
}
