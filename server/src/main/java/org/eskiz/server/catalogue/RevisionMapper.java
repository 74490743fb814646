package org.eskiz.server.catalogue;

import java.util.Comparator;
import java.util.List;
import org.eskiz.core.cable.AttenuationFit;
import org.eskiz.core.cable.AttenuationPoint;
import org.eskiz.core.cable.Cable;

/** From a stored revision to what the rest of the server works with. */
final class RevisionMapper {

    /** As the database keeps a price per metre. */
    private static final int PRICE_PLACES = 4;

    private RevisionMapper() {}

    static CableType read(CableTypeRevisionEntity r) {
        CableType.Facts facts = facts(r);
        return new CableType(
                r.type.key,
                r.type.operatorId == null,
                r.number,
                r.id,
                r.createdAt,
                facts,
                Cable.ofSheet(r.impedanceOhm, r.velocityFactor, facts.points()),
                AttenuationFit.of(facts.points()).worstRelativeResidual());
    }

    static CableType.Facts facts(CableTypeRevisionEntity r) {
        return new CableType.Facts(
                r.name,
                r.family,
                r.provenance,
                r.impedanceOhm,
                r.velocityFactor,
                r.balanced,
                mechanics(r),
                new CableType.Ratings(r.peakVoltageV, r.averagePowerW, r.ratedAtMHz, r.ratedAtC),
                price(r),
                new CableType.Source(r.sourceTitle, r.sourceDate, r.mechanicsProvenance, r.ratingsProvenance),
                r.note,
                points(r));
    }

    private static List<AttenuationPoint> points(CableTypeRevisionEntity r) {
        return r.points.stream()
                .map(p -> new AttenuationPoint(p.frequencyMHz(), p.attenuationDbPer100m()))
                .sorted(Comparator.comparingDouble(AttenuationPoint::frequencyMHz))
                .toList();
    }

    private static CableType.Mechanics mechanics(CableTypeRevisionEntity r) {
        return new CableType.Mechanics(
                r.outerDiameterMm,
                r.massGPerM,
                r.bendRadiusOnceMm,
                r.bendRadiusRepeatedMm,
                r.jacket,
                r.centreConductor,
                r.shield,
                r.dielectric,
                r.minInstallC,
                r.minOperatingC,
                r.maxOperatingC,
                r.directBurial,
                r.sunResistant,
                r.flexing);
    }

    private static CableType.Price price(CableTypeRevisionEntity r) {
        return r.pricePerM == null
                ? null
                : new CableType.Price(
                        r.pricePerM.setScale(PRICE_PLACES), r.priceCurrency, r.priceIsSample, r.pricedOn, r.soldInM);
    }
}
