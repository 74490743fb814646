package org.eskiz.core.bench;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
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

    /** So many dB more than the reflections on its way make of it, and it is no echo. */
    private static final double MORE_THAN_MADE_DB = 3;

    /** A wave that went to and fro more often than this is lost in the noise. */
    private static final int MOST_ROUNDS = 4;

    /** What an analyser sends back of what comes back to it. */
    private static final double ANALYSER_REFLECTION = 0.03;

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
        Optional<Integer> end = line.lengthM().isEmpty()
                ? Optional.empty()
                : strongestFirst.stream()
                        .filter(k -> isNear(refined(k), line.lengthM().getAsDouble()))
                        .findFirst();
        List<Peak> peaks = new ArrayList<>();
        end.ifPresent(k -> peaks.add(peak(k, Kind.END, OptionalDouble.empty())));
        for (int k : strongestFirst) {
            if (!end.equals(Optional.of(k))) {
                peaks.add(named(k, peaks));
            }
        }
        return peaks;
    }

    private Peak named(int k, List<Peak> stronger) {
        double distance = refined(k);
        if (isAtAJoint(distance)) {
            return peak(k, Kind.JOINT, OptionalDouble.empty());
        }
        OptionalDouble of = echoOf(distance, places.get(k).reflection(), stronger);
        OptionalDouble beyond = beyondEnd(distance, stronger);
        if (of.isPresent() || beyond.isPresent()) {
            return peak(k, Kind.ECHO, of.isPresent() ? of : beyond);
        }
        return peak(k, Kind.CHANGE, OptionalDouble.empty());
    }

    private Peak peak(int k, Kind kind, OptionalDouble echoOf) {
        return new Peak(refined(k), places.get(k).reflection(), kind, echoOf);
    }

    /** Behind the end there is no cable that could change. */
    private OptionalDouble beyondEnd(double distance, List<Peak> peaks) {
        return peaks.stream()
                .filter(p -> p.kind() == Kind.END && distance > p.distanceM() + resolutionM)
                .mapToDouble(Peak::distanceM)
                .findFirst();
    }

    private boolean isAtAJoint(double distance) {
        return distance < resolutionM || line.jointsM().stream().anyMatch(j -> isNear(distance, j));
    }

    private boolean isNear(double distance, double other) {
        return Math.abs(distance - other) <= resolutionM;
    }

    /**
     * The peak that this one is an echo of: a wave that went to and fro between two reflections once more, or twice. It is no
     * larger than the product of the reflections on its way; what is larger is a change of its own.
     */
    private OptionalDouble echoOf(double distance, double reflection, List<Peak> stronger) {
        for (Peak far : stronger) {
            List<Peak> nearer = new ArrayList<>();
            nearer.add(nearEnd());
            stronger.stream()
                    .filter(p -> p.distanceM() > resolutionM && p.distanceM() < far.distanceM() - resolutionM)
                    .forEach(nearer::add);
            for (Peak near : nearer) {
                if (isEcho(distance, reflection, near, far)) {
                    return OptionalDouble.of(far.distanceM());
                }
            }
        }
        return OptionalDouble.empty();
    }

    private boolean isEcho(double distance, double reflection, Peak near, Peak far) {
        double once = far.distanceM() - near.distanceM();
        double times = (distance - far.distanceM()) / once;
        long rounds = Math.round(times);
        double made = far.reflection() * Math.pow(near.reflection() * far.reflection(), rounds);
        return rounds >= 1
                && rounds <= MOST_ROUNDS
                && once > 2 * resolutionM
                && Math.abs(times - rounds) * once <= resolutionM
                && Decibels.ofAmplitude(reflection / made) <= MORE_THAN_MADE_DB;
    }

    /** What comes back to the near end is sent out again by the plug there, and by an analyser that is matched no better. */
    private Peak nearEnd() {
        double seen = places.stream()
                .filter(p -> p.distanceM() < resolutionM)
                .mapToDouble(DistanceToFault.Place::reflection)
                .max()
                .orElse(0);
        return new Peak(0, Math.max(ANALYSER_REFLECTION, seen), Kind.JOINT, OptionalDouble.empty());
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
