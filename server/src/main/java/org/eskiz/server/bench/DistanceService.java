package org.eskiz.server.bench;

import static java.util.Objects.requireNonNullElse;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.eskiz.core.bench.DistanceToFault;
import org.eskiz.core.bench.Sweep;
import org.eskiz.core.bench.SweepException;
import org.eskiz.core.bench.Window;
import org.eskiz.server.bench.DistanceResponse.ReflectionPeakResponse;
import org.eskiz.server.bench.DistanceResponse.ReflectionPlaceResponse;
import org.eskiz.server.catalogue.CableType;
import org.eskiz.server.catalogue.CatalogueService;
import org.eskiz.server.problem.InvalidRequestException;
import org.eskiz.server.problem.ValidationErrors;
import org.springframework.stereotype.Service;

/** Looks along lines. */
@Service
class DistanceService {

    private static final int MOST_DRAWN = 900;

    /** A line of known length is drawn so far beyond its end. */
    private static final double BEYOND_THE_END = 1.3;

    private final SweepFileService files;
    private final CatalogueService catalogues;

    DistanceService(SweepFileService files, CatalogueService catalogues) {
        this.files = files;
        this.catalogues = catalogues;
    }

    DistanceResponse look(DistanceRequest request) {
        ValidationErrors errors = ValidationErrors.in(request);
        errors.throwIfAny();
        Optional<CableType> type = request.cableKey() == null
                ? Optional.empty()
                : catalogues.current().cableType(request.cableKey());
        if (request.cableKey() != null && type.isEmpty()) {
            errors.add("cableKey", "there is no cable type \"" + request.cableKey() + "\"");
        } else if (type.isEmpty() && request.velocityFactor() == null) {
            errors.add("velocityFactor", "must be given, or a type that has one: without it a delay is no distance");
        }
        errors.throwIfAny();
        double velocity = request.velocityFactor() == null
                ? type.orElseThrow().fittedCable().velocityFactor()
                : request.velocityFactor();
        var line = new DistanceToFault.Line(
                velocity,
                type.map(t -> t.fittedCable().attenuation()),
                request.lengthM() == null ? OptionalDouble.empty() : OptionalDouble.of(request.lengthM()),
                requireNonNullElse(request.jointsM(), List.of()));
        try {
            return response(
                    DistanceToFault.of(
                            nearEnd(files.sweep(request.fileId())),
                            requireNonNullElse(request.window(), Window.KAISER),
                            line),
                    request.lengthM(),
                    velocity);
        } catch (SweepException e) {
            throw new InvalidRequestException("fileId", e.getMessage());
        }
    }

    private static Sweep.OnePort nearEnd(Sweep sweep) {
        if (sweep instanceof Sweep.OnePort one) {
            return one;
        }
        return ((Sweep.TwoPort) sweep).nearEnd();
    }

    private static DistanceResponse response(DistanceToFault found, Double lengthM, double velocity) {
        double farthest = lengthM == null ? found.farthestM() : lengthM * BEYOND_THE_END;
        List<DistanceToFault.Place> drawn =
                found.places().stream().filter(p -> p.distanceM() <= farthest).toList();
        return new DistanceResponse(
                highest(drawn).stream()
                        .map(p -> new ReflectionPlaceResponse(p.distanceM(), p.reflection()))
                        .toList(),
                found.peaks().stream()
                        .map(p -> new ReflectionPeakResponse(
                                p.distanceM(),
                                p.reflection(),
                                p.returnLossDb(),
                                p.kind(),
                                p.echoOfM().isPresent() ? p.echoOfM().getAsDouble() : null))
                        .toList(),
                velocity,
                found.resolutionM(),
                found.farthestM(),
                found.isResampled());
    }

    /** Of every few places the one that reflects most, so that no peak is lost by drawing fewer. */
    private static List<DistanceToFault.Place> highest(List<DistanceToFault.Place> all) {
        int each = Math.max(1, (all.size() + MOST_DRAWN - 1) / MOST_DRAWN);
        List<DistanceToFault.Place> kept = new ArrayList<>();
        for (int from = 0; from < all.size(); from += each) {
            DistanceToFault.Place most = all.get(from);
            for (int i = from; i < Math.min(all.size(), from + each); i++) {
                if (all.get(i).reflection() > most.reflection()) {
                    most = all.get(i);
                }
            }
            kept.add(most);
        }
        return kept;
    }
}
