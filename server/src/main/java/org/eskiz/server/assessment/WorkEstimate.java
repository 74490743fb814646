package org.eskiz.server.assessment;

import static java.util.Objects.requireNonNullElse;

import java.util.List;
import org.eskiz.server.problem.Faults;

/**
 * How much work a request asks for, told before any of it is done. A step is one angle of a load carried once through a run,
 * some twenty nanoseconds; the other figures are how many steps something takes, as they were measured.
 */
final class WorkEstimate {

    /** What one request may ask for: about a second of one core. */
    static final long MOST_STEPS = 40_000_000;

    private static final int ANGLES_OF_AN_SWR = 72;

    /** To work out the two-port of an element. */
    private static final int STEPS_AN_ELEMENT = 20;

    /** To follow one angle to each boundary of a run, for the losses of its elements. */
    private static final int STEPS_A_BOUNDARY = 2;

    /** To find the hottest place and the highest voltage of one line at one angle. */
    private static final int STEPS_A_PEAK = 150;

    /** To draw one line at one angle: 721 points at most. */
    private static final int STEPS_A_DRAWN_LINE = 721 * 6;

    /** A row is worked out as it is said, at either end of its tolerance, and once more for its figures. */
    private static final int TIMES_A_ROW = 4;

    /** Lengths that are tried to find how far a row goes: a ripple, the last period, and between. */
    private static final int LENGTHS_TRIED = 420;

    /** Frequencies that are tried above the highest band. */
    private static final int FREQUENCIES_TRIED = 260;

    private final List<ElementRequest> run;
    private final List<BandRequest> bands;

    private WorkEstimate(List<ElementRequest> run, List<BandRequest> bands) {
        this.run = run;
        this.bands = bands;
    }

    /** Refuses an assessment that asks for too much. */
    static void require(AssessmentRequest request, Faults faults) {
        WorkEstimate of = new WorkEstimate(request.run(), request.bands());
        long steps = of.bands.stream()
                .mapToLong(b -> of.once(b) + of.margins(b) + of.boundaries(b))
                .sum();
        refuse("bands", "bands", of.bands.size(), steps, faults);
    }

    /** Refuses a profile that asks for too much. */
    static void requireProfile(AssessmentRequest request, Faults faults) {
        WorkEstimate of = new WorkEstimate(request.run(), request.bands());
        refuse(
                "run",
                "elements",
                of.run.size(),
                of.bands.stream().mapToLong(of::drawn).sum(),
                faults);
    }

    /** Refuses a comparison of so many rows that asks for too much. */
    static void require(ComparisonRequest request, int rows, Faults faults) {
        WorkEstimate of = new WorkEstimate(request.run(), request.bands());
        long details = requireNonNullElse(request.details(), List.<ComparisonRequest.CellRequest>of()).stream()
                .mapToLong(of::detail)
                .sum();
        refuse("candidates", "rows", rows, rows * of.row(request) + details, faults);
    }

    /** Refuses a question about what would change a comparison: its rows twice, and how far two of them go. */
    static void requireChanges(ComparisonRequest request, int rows, Faults faults) {
        WorkEstimate of = new WorkEstimate(request.run(), request.bands());
        long lengths = 2 * of.bands.stream().mapToLong(of::reach).sum();
        long frequencies =
                FREQUENCIES_TRIED * of.bands.stream().mapToLong(of::once).max().orElse(0);
        refuse("candidates", "rows", rows, 2 * rows * of.row(request) + lengths + frequencies, faults);
    }

    /** Refuses curves of so many rows at so many places. */
    static void requireCurves(ComparisonRequest request, int rows, int points, Faults faults) {
        WorkEstimate of = new WorkEstimate(request.run(), request.bands());
        long once = of.bands.stream().mapToLong(of::once).max().orElse(0);
        refuse("rowIds", "points", points, (long) rows * points * once, faults);
    }

    /** How many mixes of a comparison may be tried within what one request may ask for. */
    static int mixes(ComparisonRequest request) {
        long row = new WorkEstimate(request.run(), request.bands()).row(request);
        return (int) Math.max(1, Math.min(Integer.MAX_VALUE, MOST_STEPS / Math.max(1, row)));
    }

    private long row(ComparisonRequest request) {
        boolean asksMargins = request.requirements() != null
                && request.requirements().stream().anyMatch(r -> r.kind().isMargin());
        return bands.stream()
                .mapToLong(b -> TIMES_A_ROW * once(b)
                        + (asksMargins ? margins(b) : 0)
                        + (Boolean.TRUE.equals(request.reach()) ? reach(b) : 0))
                .sum();
    }

    private long detail(ComparisonRequest.CellRequest cell) {
        BandRequest band = bands.get(cell.band());
        return once(band) + margins(band) + boundaries(band) + (Boolean.TRUE.equals(cell.profile()) ? drawn(band) : 0);
    }

    private long once(BandRequest band) {
        return angles(band) + (long) STEPS_AN_ELEMENT * run.size();
    }

    private long boundaries(BandRequest band) {
        return (long) angles(band) * STEPS_A_BOUNDARY * run.size();
    }

    private long margins(BandRequest band) {
        return boundaries(band) + (long) angles(band) * STEPS_A_PEAK * lines();
    }

    private long drawn(BandRequest band) {
        return margins(band) + (long) angles(band) * STEPS_A_DRAWN_LINE * lines();
    }

    private long reach(BandRequest band) {
        return (long) LENGTHS_TRIED * (angles(band) + (long) STEPS_AN_ELEMENT * 2 * lines());
    }

    private long lines() {
        return run.stream().filter(ElementRequest.Line.class::isInstance).count();
    }

    private static int angles(BandRequest band) {
        return band.load().resistanceOhm() != null ? 1 : ANGLES_OF_AN_SWR;
    }

    private static void refuse(String path, String what, long count, long steps, Faults faults) {
        if (steps > MOST_STEPS) {
            faults.add(
                    path,
                    "this asks for %d million steps of work, and one request may ask for %d: with this run and these bands, at most %d %s instead of %d"
                            .formatted(
                                    steps / 1_000_000,
                                    MOST_STEPS / 1_000_000,
                                    Math.max(1, count * MOST_STEPS / steps),
                                    what,
                                    count));
            faults.refuse();
        }
    }
}
