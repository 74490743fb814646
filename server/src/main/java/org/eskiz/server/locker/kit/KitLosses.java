package org.eskiz.server.locker.kit;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.eskiz.core.cable.Attenuation;
import org.eskiz.core.kit.Kit;
import org.eskiz.core.kit.OwnedPiece;
import org.eskiz.server.catalogue.Catalogue;
import org.eskiz.server.catalogue.CatalogueService;
import org.eskiz.server.catalogue.Connector;
import org.eskiz.server.catalogue.CurvesRequest;
import org.eskiz.server.locker.PieceOfLocker;
import org.eskiz.server.locker.PiecesOfLocker;
import org.eskiz.server.operator.WorkshopService;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What kits lose, each laid out from its first piece to its last. */
@Service
class KitLosses {

    private final KitRepository kits;
    private final PiecesOfLocker pieces;
    private final CatalogueService catalogues;
    private final WorkshopService workshops;

    KitLosses(KitRepository kits, PiecesOfLocker pieces, CatalogueService catalogues, WorkshopService workshops) {
        this.kits = kits;
        this.pieces = pieces;
        this.catalogues = catalogues;
        this.workshops = workshops;
    }

    /** Of every kit that is kept, at a frequency and 20 °C. */
    @Transactional(readOnly = true)
    List<KitLossResponse> at(double frequencyMHz) {
        new CurvesRequest.AtFrequency(frequencyMHz).require();
        List<KitEntity> all = kits.all(workshops.current());
        Map<UUID, OwnedPiece> known = known(all, frequencyMHz);
        Map<String, Double> pairs = pairs(catalogues.current(), frequencyMHz);
        return all.stream()
                .map(k -> new KitLossResponse(
                        k.id,
                        laid(k, known).map(l -> Kit.seriesLossDb(l, pairs::get)).orElse(null)))
                .toList();
    }

    /** Those of which enough is known: what they lose, and what both ends are. */
    private Map<UUID, OwnedPiece> known(List<KitEntity> packedIn, double frequencyMHz) {
        List<UUID> packed = packedIn.stream()
                .flatMap(k -> k.pieces.stream())
                .map(KitEntity.Packed::pieceId)
                .distinct()
                .toList();
        Map<UUID, OwnedPiece> known = new HashMap<>();
        for (PieceOfLocker p : pieces.of(packed)) {
            if (PieceInKit.areEndsKnown(p)) {
                p.cable()
                        .ifPresent(cable -> known.put(
                                p.id(), PieceInKit.of(p, cable, frequencyMHz, Attenuation.SHEET_TEMPERATURE_C)));
            }
        }
        return known;
    }

    private static Map<String, Double> pairs(Catalogue catalogue, double frequencyMHz) {
        return catalogue.connectors().stream()
                .collect(Collectors.toMap(Connector::key, c -> c.loss().lossDb(frequencyMHz)));
    }

    /** Without its spares; empty where something of it is gone or not known. */
    private static Optional<List<Kit.Laid>> laid(KitEntity kit, Map<UUID, OwnedPiece> pieces) {
        List<Kit.Laid> laid = new ArrayList<>();
        for (KitEntity.Packed packed : kit.pieces) {
            if (!packed.spare()) {
                OwnedPiece piece = pieces.get(packed.pieceId());
                if (piece == null) {
                    return Optional.empty();
                }
                laid.add(new Kit.Laid(piece, packed.turned()));
            }
        }
        return Optional.of(laid);
    }
}
