package org.eskiz.server.catalogue;

import static java.util.Objects.requireNonNullElse;

import java.util.Comparator;
import java.util.List;
import org.eskiz.core.cable.AttenuationFit;
import org.eskiz.core.cable.AttenuationPoint;
import org.eskiz.core.cable.Cable;

/** From a stored revision to what the rest of the server works with. */
final class RevisionMapper {

    private RevisionMapper() {}

    static CableType read(CableTypeRevisionEntity r) {
        CableType.Facts facts = facts(r);
        return new CableType(
                r.type.key,
                r.type.workshopId == null,
                r.number,
                r.id,
                r.createdAt,
                facts,
                cable(facts.construction(), facts.points()),
                AttenuationFit.of(facts.points()).worstRelativeResidual());
    }

    private static Cable cable(Construction made, List<AttenuationPoint> points) {
        Cable fitted = Cable.ofSheet(made.impedanceOhm(), made.velocityFactor(), points);
        Cable followed = made.followsPoints() ? fitted.following(points) : fitted;
        return made.copperCladSteel() ? followed.ofCopperCladSteel() : followed;
    }

    static CableType.Facts facts(CableTypeRevisionEntity r) {
        return new CableType.Facts(
                r.name,
                r.family,
                r.source,
                r.construction,
                requireNonNullElse(r.mechanics, Mechanics.UNKNOWN),
                r.ratings,
                r.price.hasFigure() ? r.price : null,
                r.note,
                points(r));
    }

    private static List<AttenuationPoint> points(CableTypeRevisionEntity r) {
        return r.points.stream()
                .map(p -> new AttenuationPoint(p.frequencyMHz(), p.attenuationDbPer100m()))
                .sorted(Comparator.comparingDouble(AttenuationPoint::frequencyMHz))
                .toList();
    }
}
