package org.eskiz.server.locker;

import java.math.BigDecimal;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.eskiz.core.cable.Attenuation;
import org.eskiz.core.cable.Cable;
import org.eskiz.server.catalogue.CableType;
import org.eskiz.server.catalogue.Construction;
import org.eskiz.server.catalogue.Mechanics;
import org.eskiz.server.catalogue.PieceLookup;
import org.eskiz.server.catalogue.PieceLookup.FoundPiece;
import org.eskiz.server.catalogue.Price;
import org.eskiz.server.catalogue.Provenance;
import org.eskiz.server.catalogue.Ratings;
import org.eskiz.server.catalogue.Source;
import org.eskiz.server.operator.AtWork;
import org.eskiz.server.operator.SettingsService;
import org.eskiz.server.plan.PlansOfPiecesService;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Gives pieces to runs: what was measured of a piece stands in place of what its type says. */
@Component
class LockerPieces implements PieceLookup {

    /** Of a piece whose type nobody knows: that of most coaxial cable. */
    private static final double USUAL_OHM = 50;

    private static final double USUAL_VELOCITY_FACTOR = 0.66;

    private final PieceRepository pieces;
    private final PieceHistoryReader histories;
    private final PlansOfPiecesService plans;
    private final SettingsService settings;

    LockerPieces(
            PieceRepository pieces,
            PieceHistoryReader histories,
            PlansOfPiecesService plans,
            SettingsService settings) {
        this.plans = plans;
        this.pieces = pieces;
        this.histories = histories;
        this.settings = settings;
    }

    @Override
    @Transactional(readOnly = true)
    public Map<UUID, FoundPiece> find(Collection<UUID> wanted, UUID workshop) {
        String currency = settings.get().currency();
        return histories.of(pieces.findByIdInAndWorkshopId(atHand(wanted), workshop)).stream()
                .flatMap(h -> owned(h, currency).stream())
                .collect(Collectors.toMap(FoundPiece::id, Function.identity()));
    }

    /** Whoever came by a link to a plan sees the pieces that lie in it. */
    private Collection<UUID> atHand(Collection<UUID> wanted) {
        return AtWork.now()
                .flatMap(AtWork::onlyPlan)
                .<Collection<UUID>>map(plan -> {
                    Set<UUID> inIt = new HashSet<>(plans.piecesOf(plan));
                    inIt.retainAll(wanted);
                    return inIt;
                })
                .orElse(wanted);
    }

    /**
     * A piece taken as a cable of its own.
     *
     * @param currency in which it costs nothing, since the operator has it
     * @return empty where it was never measured and its type is not known either
     */
    static Optional<FoundPiece> owned(PieceHistory h, String currency) {
        Optional<Attenuation> measured = h.measuredLaw();
        Optional<CableType> type = h.type();
        if (measured.isEmpty() && type.isEmpty()) {
            return Optional.empty();
        }
        PieceEntity p = h.piece();
        CableType.Facts known = type.map(CableType::facts).orElse(NOTHING_KNOWN);
        Cable cable = measured.map(law -> new Cable(
                        known.construction().impedanceOhm(),
                        known.construction().velocityFactor(),
                        law,
                        type.flatMap(t -> t.fittedCable().sheet()),
                        known.construction().copperCladSteel()))
                .orElseGet(() -> type.orElseThrow().fittedCable());
        var facts = new CableType.Facts(
                p.label,
                known.family(),
                measured.isPresent() ? measuredFrom(known.source(), h.measuredTolerance()) : known.source(),
                known.construction(),
                known.mechanics(),
                known.ratings(),
                new Price(BigDecimal.ZERO, currency, false, null, null),
                p.note,
                known.points());
        var asCable = new CableType(
                FoundPiece.key(p.id),
                false,
                1,
                p.id,
                p.createdAt,
                facts,
                cable,
                type.map(CableType::worstRelativeResidual).orElse(0.0));
        return Optional.of(new FoundPiece(p.id, p.label, p.lengthM, asCable));
    }

    /** Its attenuation was measured; what is known of the rest is known from where it was. */
    private static Source measuredFrom(Source type, OptionalDouble tolerance) {
        return new Source(
                Provenance.MEASURED,
                type.sourceTitle(),
                type.sourceDate(),
                type.ofMechanics(),
                type.ofRatings(),
                tolerance.isEmpty() ? null : Double.valueOf(100 * tolerance.getAsDouble()));
    }

    private static final CableType.Facts NOTHING_KNOWN = new CableType.Facts(
            "",
            "unknown",
            Source.of(Provenance.MEASURED),
            Construction.UNKNOWN.measuredAs(USUAL_OHM, USUAL_VELOCITY_FACTOR),
            Mechanics.UNKNOWN,
            Ratings.UNKNOWN,
            null,
            null,
            List.of());
}
