package org.eskiz.server.document;

import java.util.List;
import java.util.Locale;
import org.eskiz.server.problem.ValidationErrors;

/**
 * How much work a request asks for, told before any of it is done. A step is one angle of a load carried once through a run,
 * some twenty nanoseconds; the other figures are how many steps something takes, as they were measured.
 */
public final class WorkEstimate {

    /** What one request may ask for: a second or two of one core. */
    public static final long MOST_STEPS = 60_000_000;

    private static final int ANGLES_OF_AN_SWR = 72;

    /** To work out the two-port of an element. */
    private static final int STEPS_AN_ELEMENT = 20;

    /** To follow one angle to each boundary of a run, for the losses of its elements. */
    private static final int STEPS_A_BOUNDARY = 2;

    /** To find the hottest place and the highest voltage of one line at one angle. */
    private static final int STEPS_A_PEAK = 150;

    /** To see at one angle whether a line may come near to its rating, and to find out where it may. */
    private static final int STEPS_A_STRAIN = 15;

    /** To draw one line at one angle: 721 points at most. */
    private static final int STEPS_A_DRAWN_LINE = 721 * 6;

    /** A row is worked out as it is said, at either end of its tolerance, and once more for its figures. */
    private static final int TIMES_A_ROW = 4;

    /** Lengths that are tried to find how far a row goes: a ripple, the last period, and between. */
    private static final int LENGTHS_TRIED = 420;

    /** Frequencies that are tried above the highest band. */
    private static final int FREQUENCIES_TRIED = 260;

    private final List<RunElement> run;
    private final List<BandSpec> bands;

    private WorkEstimate(List<RunElement> run, List<BandSpec> bands) {
        this.run = run;
        this.bands = bands;
    }

    /** Of a run on some bands that were checked. */
    public static WorkEstimate of(AssessmentSpec assessment) {
        return new WorkEstimate(assessment.run(), assessment.bands());
    }

    /** Refuses an assessment that asks for too much. */
    public void requireAssessment(ValidationErrors errors) {
        long steps = bands.stream()
                .mapToLong(b -> once(b) + margins(b) + boundaries(b))
                .sum();
        require("bands", "bands", bands.size(), steps, errors);
    }

    /** Refuses a profile that asks for too much. */
    public void requireProfile(ValidationErrors errors) {
        require(
                "run",
                "elements",
                run.size(),
                bands.stream().mapToLong(this::drawn).sum(),
                errors);
    }

    /**
     * Steps of one row of a comparison.
     *
     * @param asksMargins whether it is asked how many times over its parts bear what they get; whether they do is judged always
     * @param asksReach whether it is asked how far it goes
     */
    public long row(boolean asksMargins, boolean asksReach) {
        return bands.stream()
                .mapToLong(b ->
                        TIMES_A_ROW * once(b) + (asksMargins ? margins(b) : strain(b)) + (asksReach ? reach(b) : 0))
                .sum();
    }

    /** Steps of the elements of one cell, drawn along the run or not. */
    public long detail(int band, boolean isDrawn) {
        BandSpec at = bands.get(band);
        return once(at) + margins(at) + boundaries(at) + (isDrawn ? drawn(at) : 0);
    }

    /** Steps to find how far a row goes on every band. */
    public long reachOnEveryBand() {
        return bands.stream().mapToLong(this::reach).sum();
    }

    /** Steps to find up to which frequency a row does. */
    public long highestFrequency() {
        return FREQUENCIES_TRIED * onceAtMost();
    }

    /** Steps of one assessment, on the band that takes most. */
    public long onceAtMost() {
        return bands.stream().mapToLong(this::once).max().orElse(0);
    }

    private long once(BandSpec band) {
        return angles(band) + (long) STEPS_AN_ELEMENT * run.size();
    }

    private long boundaries(BandSpec band) {
        return (long) angles(band) * STEPS_A_BOUNDARY * run.size();
    }

    private long margins(BandSpec band) {
        return boundaries(band) + (long) angles(band) * STEPS_A_PEAK * lines();
    }

    private long strain(BandSpec band) {
        return (long) angles(band) * STEPS_A_STRAIN * lines();
    }

    private long drawn(BandSpec band) {
        return margins(band) + (long) angles(band) * STEPS_A_DRAWN_LINE * lines();
    }

    private long reach(BandSpec band) {
        return (long) LENGTHS_TRIED * (angles(band) + (long) STEPS_AN_ELEMENT * 2 * lines());
    }

    private long lines() {
        return run.stream().filter(RunElement.Line.class::isInstance).count();
    }

    private static int angles(BandSpec band) {
        return band.load().resistanceOhm() != null ? 1 : ANGLES_OF_AN_SWR;
    }

    /**
     * Refuses what asks for too much, with what would be allowed.
     *
     * @param path of what there is too much of
     * @param what that is, in a word
     * @param count how many there are
     */
    public static void require(String path, String what, long count, long steps, ValidationErrors errors) {
        if (steps > MOST_STEPS) {
            errors.add(
                    path,
                    String.format(
                            Locale.ROOT,
                            "this asks for %d million steps of work, and one request may ask for %d: with this run and these bands, at most %d %s instead of %d",
                            steps / 1_000_000,
                            MOST_STEPS / 1_000_000,
                            Math.max(1, count * MOST_STEPS / steps),
                            what,
                            count));
            errors.throwIfAny();
        }
    }
}
