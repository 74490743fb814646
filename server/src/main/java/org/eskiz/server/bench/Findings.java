package org.eskiz.server.bench;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.eskiz.core.bench.SweepDoubt;
import org.eskiz.server.bench.BenchAnalysisResponse.BenchFindingResponse;
import org.eskiz.server.bench.BenchAnalysisResponse.Code;

/** What an operator should know about a test, gathered while it is worked out. */
final class Findings {

    final List<BenchFindingResponse> found = new ArrayList<>();

    /**
     * Adds one.
     *
     * @param named names and values by turns
     */
    void add(Code code, String text, Object... named) {
        Map<String, Object> values = new LinkedHashMap<>();
        for (int i = 0; i + 1 < named.length; i += 2) {
            values.put((String) named[i], named[i + 1]);
        }
        found.add(new BenchFindingResponse(code, values, text));
    }

    /** Adds one unless there is one of its kind. */
    void once(Code code, String text, Object... named) {
        if (found.stream().noneMatch(f -> f.code() == code)) {
            add(code, text, named);
        }
    }

    void add(List<SweepDoubt> doubts) {
        doubts.forEach(d -> {
            switch (d.kind()) {
                case GAIN ->
                    once(
                            Code.SWEEP_GAINS,
                            String.format(
                                    Locale.ROOT,
                                    "the sweep shows a loss of %.2f dB, below nothing: calibrate at the ends of the test leads and sweep again",
                                    d.number()),
                            "leastDb",
                            d.number());
                case MORE_OUT_THAN_IN ->
                    once(
                            Code.MORE_OUT_THAN_IN,
                            String.format(
                                    Locale.ROOT,
                                    "%.2f times as much comes out of the ports as goes in: the calibration does not fit",
                                    d.number()),
                            "times",
                            d.number());
                case RIPPLE_EVERYWHERE ->
                    once(
                            Code.RIPPLE_EVERYWHERE,
                            String.format(
                                    Locale.ROOT,
                                    "the loss wavers by %.2f dB over the whole sweep: no calibration, or a loose plug while sweeping",
                                    d.number()),
                            "rippleDb",
                            d.number());
                case MISMATCH_COUNTS ->
                    once(
                            Code.MISMATCH_COUNTS,
                            String.format(
                                    Locale.ROOT,
                                    "plain and matched loss differ by up to %.2f dB, since the line is not matched to the analyser",
                                    d.number()),
                            "differenceDb",
                            d.number());
            }
        });
    }
}
