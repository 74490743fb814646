package org.eskiz.server.exchange;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.IntStream;
import org.eskiz.core.bench.Sweep;
import org.eskiz.core.bench.Touchstone;
import org.eskiz.core.bench.TouchstoneException;
import org.eskiz.core.run.ImpossibleLoadException;
import org.eskiz.core.run.Load;
import org.eskiz.core.run.LoadTable;
import org.eskiz.server.problem.ValidationErrors;
import org.springframework.stereotype.Service;

/** Reads antennas out of files; stores nothing. */
@Service
class LoadFileService {

    private static final double DEFAULT_REFERENCE_OHM = 50;

    /** What a file says of the antenna. */
    LoadFileResponse read(LoadFileRequest request) {
        ValidationErrors errors = ValidationErrors.in(request);
        errors.throwIfAny();
        try {
            return answer(table(request), request.frequenciesMHz());
        } catch (LoadFileException e) {
            errors.add("text", e.getMessage());
            errors.throwIfAny();
            throw e;
        }
    }

    private static LoadTable table(LoadFileRequest request) {
        double reference = request.referenceOhm() == null ? DEFAULT_REFERENCE_OHM : request.referenceOhm();
        return request.fileName().toLowerCase(Locale.ROOT).endsWith(".s1p")
                ? onePort(request.text())
                : LoadTableReader.read(request.text(), reference);
    }

    static LoadTable onePort(String text) {
        Sweep sweep;
        try {
            sweep = Touchstone.read(text);
        } catch (TouchstoneException e) {
            throw new LoadFileException(e.getMessage());
        }
        if (!(sweep instanceof Sweep.OnePort one)) {
            throw new LoadFileException("this is a two-port sweep; an antenna is a sweep of one port");
        }
        return LoadTable.ofReflections(
                IntStream.range(0, one.reflections().size())
                        .mapToObj(i -> new LoadTable.ReflectionRow(
                                one.frequenciesMHz().get(i),
                                one.reflections().get(i).real(),
                                one.reflections().get(i).imag()))
                        .toList(),
                one.referenceOhm());
    }

    private static LoadFileResponse answer(LoadTable table, List<Double> frequencies) {
        return new LoadFileResponse(
                table.size(),
                table.lowestMHz(),
                table.highestMHz(),
                frequencies.stream().map(f -> at(table, f)).toList());
    }

    private static LoadFileResponse.ReadLoadResponse at(LoadTable table, double frequencyMHz) {
        try {
            Optional<Load> load = table.at(frequencyMHz);
            return load.map(l -> known(frequencyMHz, l))
                    .orElseGet(() -> unknown(
                            frequencyMHz,
                            "the file covers %s to %s MHz, not %s MHz"
                                    .formatted(table.lowestMHz(), table.highestMHz(), frequencyMHz)));
        } catch (ImpossibleLoadException e) {
            return unknown(frequencyMHz, e.getMessage());
        }
    }

    private static LoadFileResponse.ReadLoadResponse known(double frequencyMHz, Load load) {
        if (load instanceof Load.Impedance z) {
            return new LoadFileResponse.ReadLoadResponse(
                    frequencyMHz, z.resistanceOhm(), z.reactanceOhm(), null, null, null);
        }
        var swr = (Load.SwrAtAntenna) load;
        return new LoadFileResponse.ReadLoadResponse(
                frequencyMHz, null, null, swr.swr(), swr.referenceOhm().orElse(DEFAULT_REFERENCE_OHM), null);
    }

    private static LoadFileResponse.ReadLoadResponse unknown(double frequencyMHz, String whyNot) {
        return new LoadFileResponse.ReadLoadResponse(frequencyMHz, null, null, null, null, whyNot);
    }
}
