package org.eskiz.server.exchange;

import java.util.List;
import java.util.stream.IntStream;
import org.apache.commons.numbers.complex.Complex;
import org.eskiz.core.bench.Sweep;
import org.eskiz.core.bench.Touchstone;
import org.eskiz.core.bench.TouchstoneException;
import org.eskiz.core.run.ScatteringTable;
import org.eskiz.server.exchange.TwoPortFileResponse.TwoPortPointResponse;
import org.eskiz.server.problem.ValidationErrors;
import org.springframework.stereotype.Service;

/** Reads devices out of two-port sweeps; stores nothing. */
@Service
class TwoPortFileService {

    /** As many as an element of a run holds. */
    private static final int MOST_POINTS = 401;

    TwoPortFileResponse read(TwoPortFileRequest request) {
        ValidationErrors errors = ValidationErrors.in(request);
        errors.throwIfAny();
        try {
            return response(twoPort(request.text()));
        } catch (LoadFileException | IllegalArgumentException e) {
            errors.add("text", e.getMessage());
            errors.throwIfAny();
            throw e;
        }
    }

    private static Sweep.TwoPort twoPort(String text) {
        try {
            if (Touchstone.read(text) instanceof Sweep.TwoPort both) {
                return both;
            }
        } catch (TouchstoneException e) {
            throw new LoadFileException(e.getMessage());
        }
        throw new LoadFileException("this is a one-port sweep; a device is a sweep of two ports");
    }

    private static TwoPortFileResponse response(Sweep.TwoPort sweep) {
        int measured = sweep.frequenciesMHz().size();
        int kept = Math.min(measured, MOST_POINTS);
        return new TwoPortFileResponse(
                sweep.referenceOhm(),
                IntStream.range(0, kept)
                        .map(i -> kept == 1 ? 0 : (int) ((long) i * (measured - 1) / (kept - 1)))
                        .mapToObj(i -> point(sweep, i))
                        .toList());
    }

    private static TwoPortPointResponse point(Sweep.TwoPort sweep, int i) {
        double frequencyMHz = sweep.frequenciesMHz().get(i);
        Sweep.Scattering s = sweep.scattering().get(i);
        // a file of one path has nothing of the other: what is passive is the same both ways
        boolean isOnePath = s.s12().norm() == 0 && s.s22().norm() == 0;
        Complex s12 = isOnePath ? s.s21() : s.s12();
        Complex s22 = isOnePath ? s.s11() : s.s22();
        ScatteringTable.Point.of(frequencyMHz, s.s11(), s.s21(), s12, s22);
        return new TwoPortPointResponse(frequencyMHz, pair(s.s11()), pair(s.s21()), pair(s12), pair(s22));
    }

    private static List<Double> pair(Complex s) {
        return List.of(s.real(), s.imag());
    }
}
