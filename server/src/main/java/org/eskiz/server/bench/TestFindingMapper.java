package org.eskiz.server.bench;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import org.eskiz.core.bench.SweepDoubt;
import org.eskiz.core.bench.TestFinding;
import org.eskiz.core.bench.TestFinding.BandNotSwept;
import org.eskiz.core.bench.TestFinding.ConnectorsBelowNothing;
import org.eskiz.core.bench.TestFinding.Doubted;
import org.eskiz.core.bench.TestFinding.Estimate;
import org.eskiz.core.bench.TestFinding.Impossible;
import org.eskiz.core.bench.TestFinding.LeadStayedIn;
import org.eskiz.core.bench.TestFinding.LeadTakenOut;
import org.eskiz.core.bench.TestFinding.LevelsDisagree;
import org.eskiz.core.bench.TestFinding.Missing;
import org.eskiz.core.bench.TestFinding.OtherImpedance;
import org.eskiz.core.bench.TestFinding.OtherVelocity;
import org.eskiz.core.bench.TestFinding.ShortAndLossy;
import org.eskiz.core.bench.TestFinding.ThroughAboveBaseline;
import org.eskiz.server.bench.BenchAnalysisResponse.BenchFindingResponse;
import org.eskiz.server.bench.BenchAnalysisResponse.Code;

/** Findings as codes and values, with a sentence for whoever has none of their own. */
final class TestFindingMapper {

    private TestFindingMapper() {}

    static BenchFindingResponse response(TestFinding finding) {
        if (finding instanceof Missing f) {
            return missing(f.wanted());
        } else if (finding instanceof Impossible f) {
            return finding(Code.IMPOSSIBLE, f.why().getMessage());
        } else if (finding instanceof Doubted f) {
            return doubt(f.doubt());
        } else if (finding instanceof Estimate f) {
            String missing = f.isOpenMissing() ? "open" : "shorted";
            return finding(
                    Code.ESTIMATE,
                    text(
                            "half the return loss of one look, smoothed: an estimate. A second sweep with the far end %s makes it a measurement",
                            missing),
                    "missing",
                    missing);
        } else if (finding instanceof OtherImpedance f) {
            return finding(
                    Code.OTHER_IMPEDANCE,
                    text("it has %.1f Ω, where its type has %s Ω", f.measuredOhm(), f.typeOhm()),
                    "measuredOhm",
                    f.measuredOhm(),
                    "typeOhm",
                    f.typeOhm());
        } else if (finding instanceof OtherVelocity f) {
            return finding(
                    Code.OTHER_VELOCITY,
                    text(
                            "a wave is in it at %.3f of light's speed, where its type has %s: it is another cable, or %.2f m long rather than %s m",
                            f.measured(), f.promised(), f.lengthByTypeM(), f.statedM()),
                    "measured",
                    f.measured(),
                    "promised",
                    f.promised(),
                    "lengthByTypeM",
                    f.lengthByTypeM(),
                    "statedM",
                    f.statedM());
        } else if (finding instanceof BandNotSwept f) {
            return finding(
                    Code.BAND_NOT_SWEPT,
                    text(
                            "the sweep goes from %s to %s MHz, so it says nothing at %s",
                            f.fromMHz(), f.toMHz(), listed(f.bandsMHz())),
                    "frequenciesMHz",
                    f.bandsMHz());
        }
        return ofReadings(finding);
    }

    private static BenchFindingResponse ofReadings(TestFinding finding) {
        if (finding instanceof ThroughAboveBaseline f) {
            return finding(Code.THROUGH_ABOVE_BASELINE, f.why(), "frequencyMHz", f.frequencyMHz());
        } else if (finding instanceof LevelsDisagree f) {
            return finding(
                    Code.LEVELS_DISAGREE,
                    text(
                            "two readings at %s MHz give %.2f and %.2f dB, farther apart than they may be wrong",
                            f.frequencyMHz(), f.oneDb(), f.otherDb()),
                    "frequencyMHz",
                    f.frequencyMHz(),
                    "oneDb",
                    f.oneDb(),
                    "otherDb",
                    f.otherDb());
        } else if (finding instanceof ConnectorsBelowNothing f) {
            return finding(
                    Code.CONNECTORS_BELOW_NOTHING,
                    text(
                            "the connectors would gain %.2f dB at %s MHz: the longer piece loses too little for its length",
                            -f.connectorsDb(), f.frequencyMHz()),
                    "frequencyMHz",
                    f.frequencyMHz(),
                    "connectorsDb",
                    f.connectorsDb());
        } else if (finding instanceof ShortAndLossy f) {
            return finding(
                    Code.SHORT_AND_LOSSY,
                    text(
                            "so short a piece hardly loses anything in the cable: the %.2f dB are in a connector, or in the calibration",
                            f.excessDb()),
                    "excessDb",
                    f.excessDb(),
                    "lengthM",
                    f.lengthM());
        } else if (finding instanceof LeadTakenOut f) {
            return finding(
                    Code.LEAD_TAKEN_OUT,
                    text(
                            "the baseline was read through a lead that was then taken out: what it loses, %.2f dB at %s MHz, is added to the cable",
                            f.leadDb(), f.frequencyMHz()),
                    "leadDb",
                    f.leadDb(),
                    "frequencyMHz",
                    f.frequencyMHz());
        } else if (finding instanceof LeadStayedIn) {
            return finding(
                    Code.LEAD_STAYED_IN,
                    "the lead of the baseline stayed in, so it weakens both readings alike and nothing is added");
        }
        throw new AssertionError("no code for " + finding);
    }

    private static BenchFindingResponse missing(TestFinding.Wanted wanted) {
        return switch (wanted) {
            case THROUGH_SWEEP -> finding(Code.MISSING, "a sweep from one end to the other (.s2p)", "what", "through");
            case ONE_END_SWEEP ->
                finding(
                        Code.MISSING,
                        "a sweep of one end with the far one open, and one with it shorted",
                        "what",
                        "oneEnd");
            case LEAD ->
                finding(
                        Code.MISSING,
                        "what the lead of the baseline loses: its type and length, or dB",
                        "what",
                        "lead");
            case TYPE -> finding(Code.MISSING, "the type, to hold the losses against", "what", "type");
            case LENGTH -> finding(Code.MISSING, "the length, to hold the losses against its type", "what", "length");
        };
    }

    private static BenchFindingResponse doubt(SweepDoubt doubt) {
        double number = doubt.number();
        return switch (doubt.kind()) {
            case GAIN ->
                finding(
                        Code.SWEEP_GAINS,
                        text(
                                "the sweep shows a loss of %.2f dB, below nothing: calibrate at the ends of the test leads and sweep again",
                                number),
                        "leastDb",
                        number);
            case MORE_OUT_THAN_IN ->
                finding(
                        Code.MORE_OUT_THAN_IN,
                        text(
                                "%.2f times as much comes out of the ports as goes in: the calibration does not fit",
                                number),
                        "times",
                        number);
            case RIPPLE_EVERYWHERE ->
                finding(
                        Code.RIPPLE_EVERYWHERE,
                        text(
                                "the loss wavers by %.2f dB over the whole sweep: no calibration, or a loose plug while sweeping",
                                number),
                        "rippleDb",
                        number);
            case MISMATCH_COUNTS ->
                finding(
                        Code.MISMATCH_COUNTS,
                        text(
                                "plain and matched loss differ by up to %.2f dB, since the line is not matched to the analyser",
                                number),
                        "differenceDb",
                        number);
        };
    }

    /**
     * A finding.
     *
     * @param named names and values by turns
     */
    private static BenchFindingResponse finding(Code code, String text, Object... named) {
        Map<String, Object> values = new LinkedHashMap<>();
        for (int i = 0; i + 1 < named.length; i += 2) {
            values.put((String) named[i], named[i + 1]);
        }
        return new BenchFindingResponse(code, values, text);
    }

    private static String text(String pattern, Object... values) {
        return String.format(Locale.ROOT, pattern, values);
    }

    private static String listed(List<Double> frequenciesMHz) {
        return frequenciesMHz.stream().map(f -> f + " MHz").collect(Collectors.joining(", "));
    }
}
