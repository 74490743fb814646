package org.eskiz.server.bench;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.eskiz.core.bench.SweepDoubt;
import org.eskiz.core.bench.TestFinding;
import org.eskiz.core.bench.TestFinding.BandNotSwept;
import org.eskiz.core.bench.TestFinding.ChangeInside;
import org.eskiz.core.bench.TestFinding.ConnectorsBelowNothing;
import org.eskiz.core.bench.TestFinding.Doubted;
import org.eskiz.core.bench.TestFinding.Estimate;
import org.eskiz.core.bench.TestFinding.Impossible;
import org.eskiz.core.bench.TestFinding.JointsRipple;
import org.eskiz.core.bench.TestFinding.LeadStayedIn;
import org.eskiz.core.bench.TestFinding.LeadTakenOut;
import org.eskiz.core.bench.TestFinding.LengthMayWrap;
import org.eskiz.core.bench.TestFinding.LevelsDisagree;
import org.eskiz.core.bench.TestFinding.Missing;
import org.eskiz.core.bench.TestFinding.NoVelocity;
import org.eskiz.core.bench.TestFinding.OnePath;
import org.eskiz.core.bench.TestFinding.OtherImpedance;
import org.eskiz.core.bench.TestFinding.OtherVelocity;
import org.eskiz.core.bench.TestFinding.ShortAndLossy;
import org.eskiz.core.bench.TestFinding.ThroughAboveBaseline;
import org.eskiz.core.bench.TestFinding.WouldTell;
import org.eskiz.core.bench.Touchstone;
import org.eskiz.server.bench.BenchAnalysisResponse.BenchFindingResponse;
import org.eskiz.server.bench.BenchAnalysisResponse.Code;

/** Findings as codes and values; sentences for people are made in the front end. */
final class TestFindingMapper {

    private TestFindingMapper() {}

    static BenchFindingResponse response(TestFinding finding) {
        if (finding instanceof Missing f) {
            return missing(f.wanted());
        } else if (finding instanceof Impossible f) {
            return finding(Code.IMPOSSIBLE, "why", f.why().getMessage());
        } else if (finding instanceof Doubted f) {
            return doubt(f.doubt());
        } else if (finding instanceof Estimate f) {
            String missing = f.isOpenMissing() ? "open" : "shorted";
            return finding(Code.ESTIMATE, "missing", missing);
        } else if (finding instanceof OtherImpedance f) {
            return finding(Code.OTHER_IMPEDANCE, "measuredOhm", f.measuredOhm(), "typeOhm", f.typeOhm());
        } else if (finding instanceof OtherVelocity f) {
            return finding(
                    Code.OTHER_VELOCITY,
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
                    Code.BAND_NOT_SWEPT, "frequenciesMHz", f.bandsMHz(), "fromMHz", f.fromMHz(), "toMHz", f.toMHz());
        }
        return ofLine(finding);
    }

    private static BenchFindingResponse ofLine(TestFinding finding) {
        if (finding instanceof OnePath) {
            return finding(Code.ONE_PATH);
        } else if (finding instanceof ChangeInside f) {
            return finding(Code.CHANGE_INSIDE, "distanceM", f.distanceM(), "returnLossDb", f.returnLossDb());
        } else if (finding instanceof JointsRipple f) {
            return finding(Code.JOINTS_RIPPLE, "heightDb", f.heightDb(), "apartMHz", f.apartMHz());
        } else if (finding instanceof NoVelocity f) {
            return finding(Code.NO_VELOCITY, "measured", f.measured(), "uncertainty", f.uncertainty());
        } else if (finding instanceof LengthMayWrap f) {
            return finding(Code.LENGTH_MAY_WRAP, "longestM", f.longestM());
        } else if (finding instanceof WouldTell f) {
            return finding(Code.WOULD_TELL, "remedy", f.remedy(), "frequencyMHz", f.frequencyMHz());
        }
        return ofReadings(finding);
    }

    /** What was done to files, and what is to be known of them. */
    static List<BenchFindingResponse> ofFiles(Collection<Touchstone.Reading> sweeps) {
        List<BenchFindingResponse> found = new ArrayList<>();
        if (sweeps.stream().anyMatch(Touchstone.Reading::isUncalibrated)) {
            found.add(finding(Code.NOT_CALIBRATED));
        }
        if (sweeps.stream().anyMatch(Touchstone.Reading::hadZero)) {
            found.add(finding(Code.ZERO_LEFT_OUT));
        }
        if (sweeps.stream().anyMatch(Touchstone.Reading::wasSorted)) {
            found.add(finding(Code.SORTED));
        }
        return found;
    }

    private static BenchFindingResponse ofReadings(TestFinding finding) {
        if (finding instanceof ThroughAboveBaseline f) {
            return finding(Code.THROUGH_ABOVE_BASELINE, "frequencyMHz", f.frequencyMHz());
        } else if (finding instanceof LevelsDisagree f) {
            return finding(
                    Code.LEVELS_DISAGREE, "frequencyMHz", f.frequencyMHz(), "oneDb", f.oneDb(), "otherDb", f.otherDb());
        } else if (finding instanceof ConnectorsBelowNothing f) {
            return finding(
                    Code.CONNECTORS_BELOW_NOTHING, "frequencyMHz", f.frequencyMHz(), "connectorsDb", f.connectorsDb());
        } else if (finding instanceof ShortAndLossy f) {
            return finding(Code.SHORT_AND_LOSSY, "excessDb", f.excessDb(), "lengthM", f.lengthM());
        } else if (finding instanceof LeadTakenOut f) {
            return finding(Code.LEAD_TAKEN_OUT, "leadDb", f.leadDb(), "frequencyMHz", f.frequencyMHz());
        } else if (finding instanceof LeadStayedIn) {
            return finding(Code.LEAD_STAYED_IN);
        }
        throw new AssertionError("no code for " + finding);
    }

    private static BenchFindingResponse missing(TestFinding.Wanted wanted) {
        return switch (wanted) {
            case THROUGH_SWEEP -> finding(Code.MISSING, "what", "through");
            case ONE_END_SWEEP -> finding(Code.MISSING, "what", "oneEnd");
            case LEAD -> finding(Code.MISSING, "what", "lead");
            case TYPE -> finding(Code.MISSING, "what", "type");
            case LENGTH -> finding(Code.MISSING, "what", "length");
        };
    }

    private static BenchFindingResponse doubt(SweepDoubt doubt) {
        double number = doubt.number();
        return switch (doubt.kind()) {
            case GAIN -> finding(Code.SWEEP_GAINS, "leastDb", number);
            case MORE_OUT_THAN_IN -> finding(Code.MORE_OUT_THAN_IN, "times", number);
            case RIPPLE_EVERYWHERE -> finding(Code.RIPPLE_EVERYWHERE, "rippleDb", number);
            case MISMATCH_COUNTS -> finding(Code.MISMATCH_COUNTS, "differenceDb", number);
        };
    }

    /**
     * A finding.
     *
     * @param named names and values by turns
     */
    private static BenchFindingResponse finding(Code code, Object... named) {
        Map<String, Object> values = new LinkedHashMap<>();
        for (int i = 0; i + 1 < named.length; i += 2) {
            values.put((String) named[i], named[i + 1]);
        }
        return new BenchFindingResponse(code, values);
    }
}
