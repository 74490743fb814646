package org.eskiz.server.catalogue;

import static java.util.Objects.requireNonNullElse;

import java.util.List;
import org.eskiz.core.cable.Attenuation;
import org.eskiz.core.cable.AveragePower;
import org.eskiz.server.problem.ValidationErrors;
import org.springframework.stereotype.Service;

/** What types lose and bear over frequency. */
@Service
class CurveService {

    private static final double DEFAULT_LENGTH_M = 100;

    private final CatalogueService catalogues;

    CurveService(CatalogueService catalogues) {
        this.catalogues = catalogues;
    }

    /** Of every type at one frequency. */
    List<CurvesResponse.CableLossResponse> losses(double atMHz) {
        new CurvesRequest.AtFrequency(atMHz).require();
        return catalogues.current().cableTypes().stream()
                .map(t -> new CurvesResponse.CableLossResponse(
                        t.key(),
                        t.fittedCable().attenuation().dbPer100m(atMHz, Attenuation.SHEET_TEMPERATURE_C),
                        t.fittedCable().isExtrapolatedAt(atMHz)))
                .toList();
    }

    CurvesResponse draw(CurvesRequest request) {
        ValidationErrors errors = ValidationErrors.in(request);
        errors.throwIfAny();
        Catalogue catalogue = catalogues.current();
        for (int i = 0; i < request.keys().size(); i++) {
            if (catalogue.cableType(request.keys().get(i)).isEmpty()) {
                errors.add(
                        "keys[" + i + "]",
                        "there is no cable type \"" + request.keys().get(i) + "\"");
            }
        }
        errors.throwIfAny();
        return new CurvesResponse(request.keys().stream()
                .map(key -> curve(catalogue.cableType(key).orElseThrow(), request))
                .toList());
    }

    private static CurvesResponse.CableCurveResponse curve(CableType type, CurvesRequest request) {
        double ambientC = requireNonNullElse(request.ambientC(), Attenuation.SHEET_TEMPERATURE_C);
        double lengthM = requireNonNullElse(request.lengthM(), DEFAULT_LENGTH_M);
        return new CurvesResponse.CableCurveResponse(
                type.key(),
                request.frequenciesMHz().stream()
                        .map(mhz -> point(type, mhz, ambientC, lengthM))
                        .toList());
    }

    private static CurvesResponse.CablePointResponse point(
            CableType type, double mhz, double ambientC, double lengthM) {
        Attenuation law = type.fittedCable().attenuation();
        double perHundred = law.dbPer100m(mhz, ambientC);
        Double floorK1 = CableTypeResponse.floorK1(type.facts());
        return new CurvesResponse.CablePointResponse(
                perHundred,
                perHundred * lengthM / 100,
                floorK1 == null ? null : floorK1 * Math.sqrt(mhz),
                bears(type.facts(), law, mhz, ambientC),
                type.fittedCable().isExtrapolatedAt(mhz));
    }

    private static Double bears(CableType.Facts facts, Attenuation law, double mhz, double ambientC) {
        Ratings r = facts.ratings();
        Double mostC = facts.mechanics().maxOperatingC();
        return r.averagePowerW() == null || mostC == null
                ? null
                : Double.valueOf(new AveragePower(r.averagePowerW(), r.ratedAtMHz(), r.ratedAtC(), mostC)
                        .at(law, mhz, ambientC));
    }
}
