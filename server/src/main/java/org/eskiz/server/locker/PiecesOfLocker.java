package org.eskiz.server.locker;

import java.time.Clock;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.eskiz.server.catalogue.PieceLookup.FoundPiece;
import org.eskiz.server.operator.Settings;
import org.eskiz.server.operator.SettingsService;
import org.eskiz.server.operator.WorkshopService;
import org.springframework.stereotype.Service;

/** Pieces of the locker, for what is made of them. */
@Service
public class PiecesOfLocker {

    private final PieceRepository pieces;
    private final PieceHistoryReader histories;
    private final SettingsService settings;
    private final WorkshopService workshops;
    private final Clock clock;

    PiecesOfLocker(
            PieceRepository pieces,
            PieceHistoryReader histories,
            SettingsService settings,
            WorkshopService workshops,
            Clock clock) {
        this.pieces = pieces;
        this.histories = histories;
        this.settings = settings;
        this.workshops = workshops;
        this.clock = clock;
    }

    /** Every piece that is there. */
    public List<PieceOfLocker> all() {
        return read(histories.all());
    }

    /** Those of some that are there. */
    public List<PieceOfLocker> of(Collection<UUID> ids) {
        return read(histories.of(pieces.findByIdInAndWorkshopIdAndDeletedAtIsNull(ids, workshops.current())));
    }

    /** Those of some lengths that are not retired, the shortest first. */
    public List<PieceOfLocker> ofLengths(double leastM, double mostM) {
        return read(histories.of(pieces.ofLengths(workshops.current(), leastM, mostM)));
    }

    private List<PieceOfLocker> read(List<PieceHistory> some) {
        Settings asked = settings.get();
        LocalDate today = LocalDate.now(clock);
        return some.stream().map(h -> piece(h, asked, today)).toList();
    }

    private static PieceOfLocker piece(PieceHistory h, Settings asked, LocalDate today) {
        PieceEntity p = h.piece();
        return new PieceOfLocker(
                p.id,
                p.label,
                p.lengthM,
                p.near(),
                p.far(),
                Optional.ofNullable(p.retiredOn),
                Optional.ofNullable(h.life().outSince()),
                PieceHistory.standing(h.reasons(h.upkeep(asked.upkeep()), today)),
                Optional.ofNullable(PieceMapper.massKg(h)),
                LockerPieces.owned(h, asked.currency()).map(FoundPiece::cable));
    }
}
