package org.eskiz.core.bench;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import org.eskiz.core.bench.DistanceToFault.Kind;
import org.eskiz.core.bench.DistanceToFault.Peak;
import org.eskiz.core.unit.Decibels;
import org.hipparchus.stat.descriptive.rank.Median;

/** Finds and names what stands out. */
record PeakFinder(
        List<DistanceToFault.Place> places,
        double[] magnitudes,
        Window window,
        double resolutionM,
        DistanceToFault.Line line) {

    /** Less prominent than this is a ripple of the window, dB. */
    private static final double PROMINENT_DB = 6;

    /** So many times the middle of all magnitudes is more than noise. */
    private static final double ABOVE_NOISE = 4;

    /** A top must stand so far above the ripple of a stronger one. */
    private static final double LOBE_MARGIN_DB = 3;

    List<Peak> found() {
        double noise = ABOVE_NOISE * new Median().evaluate(magnitudes);
        double[] db = places.stream()
                .mapToDouble(p -> Decibels.ofAmplitude(Math.max(p.reflection(), 1e-12)))
                .toArray();
        List<Integer> tops = IntStream.range(0, db.length)
                .filter(k -> isTop(db, k) && magnitudes[k] > noise && prominence(db, k) >= PROMINENT_DB)
                .boxed()
                .sorted(Comparator.comparingDouble(k -> -magnitudes[k]))
                .toList();
        List<Integer> kept = new ArrayList<>();
        for (int k : tops) {
            boolean isSideLobe = kept.stream().anyMatch(s -> isBeside(s, k));
            if (!isSideLobe) {
                kept.add(k);
            }
        }
        return named(kept).stream()
                .sorted(Comparator.comparingDouble(Peak::distanceM))
                .toList();
    }

    /** Whether a weaker top is no more than the ripple of a stronger one, or the same one. */
    private boolean isBeside(int stronger, int weaker) {
        double apartM =
                Math.abs(places.get(stronger).distanceM() - places.get(weaker).distanceM());
        double cells = apartM * window.widening / resolutionM;
        double underDb = Decibels.ofAmplitude(magnitudes[weaker] / magnitudes[stronger]);
        return apartM < resolutionM / 2 || underDb < window.sideLobeDb(cells) + LOBE_MARGIN_DB;
    }

    private List<Peak> named(List<Integer> strongestFirst) {
        List<Peak> peaks = new ArrayList<>();
        for (int k : strongestFirst) {
            double distance = refined(k);
            double reflection = places.get(k).reflection();
            boolean hasEnd = peaks.stream().anyMatch(p -> p.kind() == Kind.END);
            if (!hasEnd
                    && line.lengthM().isPresent()
                    && isNear(distance, line.lengthM().getAsDouble())) {
                peaks.add(new Peak(distance, reflection, Kind.END, OptionalDouble.empty()));
            } else if (isAtAJoint(distance)) {
                peaks.add(new Peak(distance, reflection, Kind.JOINT, OptionalDouble.empty()));
            } else {
                OptionalDouble of = echoOf(distance, peaks);
                peaks.add(new Peak(distance, reflection, of.isPresent() ? Kind.ECHO : Kind.CHANGE, of));
            }
        }
        return peaks;
    }

    private boolean isAtAJoint(double distance) {
        return distance < resolutionM || line.jointsM().stream().anyMatch(j -> isNear(distance, j));
    }

    private boolean isNear(double distance, double other) {
        return Math.abs(distance - other) <= resolutionM;
    }

    /** The stronger peak that this one is a multiple of; those at the near end have no multiples. */
    private OptionalDouble echoOf(double distance, List<Peak> stronger) {
        return stronger.stream()
                .mapToDouble(Peak::distanceM)
                .filter(d -> d > 2 * resolutionM)
                .filter(d -> {
                    double times = distance / d;
                    return Math.rint(times) >= 2 && Math.abs(distance - Math.rint(times) * d) <= resolutionM;
                })
                .findFirst();
    }

    private static boolean isTop(double[] db, int k) {
        return (k == 0 || db[k] > db[k - 1]) && (k == db.length - 1 || db[k] >= db[k + 1]);
    }

    /** How far one must go down from a top before one can go up to a higher one. */
    private static double prominence(double[] db, int k) {
        return db[k] - Math.max(saddle(db, k, -1), saddle(db, k, 1));
    }

    /** The lowest point on the way to a higher top, or to the end; nothing before the first place. */
    private static double saddle(double[] db, int k, int way) {
        double lowest = db[k];
        int i = k + way;
        if (i < 0) {
            return Double.NEGATIVE_INFINITY;
        }
        for (; i >= 0 && i < db.length; i += way) {
            if (db[i] > db[k]) {
                return lowest;
            }
            lowest = Math.min(lowest, db[i]);
        }
        return lowest;
    }

    /** Where a parabola through the top and its neighbours has its crest. */
    private double refined(int k) {
        double here = places.get(k).distanceM();
        if (k == 0 || k == places.size() - 1) {
            return here;
        }
        double a = places.get(k - 1).reflection();
        double b = places.get(k).reflection();
        double c = places.get(k + 1).reflection();
        double bend = a - 2 * b + c;
        double step = here - places.get(k - 1).distanceM();
        return bend < 0 ? here + step * (a - c) / (2 * bend) : here;
    }
}
