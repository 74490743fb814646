package org.eskiz.core.kit;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.ToDoubleFunction;

/**
 * The best run that pieces make, by branch and bound over the sets of pieces; the order within a set is {@link Arrangement}'s.
 *
 * <p>A set is weighed by one number: what is wanted most, in whole units (a mated pair, a gram, a centimetre), times 1000, plus
 * its loss in dB. No run loses 1000 dB, so the loss decides only between equals.
 */
public final class KitSearch {

    /** Larger than any loss in dB. */
    private static final double ONE_UNIT = 1000;

    /** Lengths that add up to what is wanted but for rounding do reach it. */
    private static final double ROUNDING_M = 1e-9;

    private static final double CM_PER_M = 100;
    private static final double G_PER_KG = 1000;

    /** After so many steps, well under a second, a search answers the best that it found, on every machine the same. */
    public static final long MOST_STEPS = 500_000;

    private final KitWanted wanted;
    private final List<OwnedPiece> pieces;
    private final Arrangement arrangement;
    private final int[] kinds;
    private final double cheapestCoupling;
    private final double[] leastWeightPerM;
    private final double[] longestM;
    private final double[] leftM;
    private final long mostSteps;

    private final int[] chosen;
    private final int[] chosenKinds;
    private double bestWeight = Double.POSITIVE_INFINITY;
    private List<OwnedPiece> best = List.of();
    private long looked;
    private boolean stopped;

    /**
     * What a search came to.
     *
     * @param kit the best that was found; empty where nothing is long enough
     * @param isProven whether nothing better can be made of these pieces
     * @param shortByM by how much the longest run that can be made is too short; 0 where one is long enough
     * @param setsTried how many sets of pieces were weighed
     */
    public record Result(Optional<Kit> kit, boolean isProven, double shortByM, long setsTried) {}

    /**
     * Searches.
     *
     * @param pieces that may be used, each once
     * @param mostSteps after which the best that was found is answered; usually {@link #MOST_STEPS}
     * @throws IllegalArgumentException where least mass is wanted and the mass of a piece is not known
     */
    public static Result search(List<OwnedPiece> pieces, KitWanted wanted, long mostSteps) {
        if (wanted.preference() == KitPreference.LEAST_MASS) {
            pieces.stream().filter(p -> p.massKg().isEmpty()).findFirst().ifPresent(p -> {
                throw new IllegalArgumentException("the mass of piece " + p.id() + " is not known");
            });
        }
        double reachM = pieces.stream()
                .map(OwnedPiece::lengthM)
                .sorted(Comparator.reverseOrder())
                .limit(wanted.mostPieces())
                .mapToDouble(Double::doubleValue)
                .sum();
        if (reachM < wanted.lengthM() - ROUNDING_M) {
            return new Result(Optional.empty(), true, wanted.lengthM() - reachM, 0);
        }
        return new KitSearch(pieces, wanted, mostSteps).run();
    }

    private KitSearch(List<OwnedPiece> pieces, KitWanted wanted, long mostSteps) {
        this.wanted = wanted;
        this.mostSteps = mostSteps;
        this.pieces =
                pieces.stream().sorted(mostPromisingFirst(wanted.preference())).toList();
        this.arrangement = new Arrangement(wanted.radio(), wanted.antenna(), this::weight);
        this.kinds = this.pieces.stream().mapToInt(arrangement::kindOf).toArray();
        this.cheapestCoupling = arrangement.cheapestCoupling();
        int n = this.pieces.size();
        this.leastWeightPerM = new double[n + 1];
        this.longestM = new double[n + 1];
        this.leftM = new double[n + 1];
        leastWeightPerM[n] = Double.POSITIVE_INFINITY;
        for (int i = n - 1; i >= 0; i--) {
            OwnedPiece p = this.pieces.get(i);
            leastWeightPerM[i] = Math.min(leastWeightPerM[i + 1], weight(p) / p.lengthM());
            longestM[i] = Math.max(longestM[i + 1], p.lengthM());
            leftM[i] = leftM[i + 1] + p.lengthM();
        }
        this.chosen = new int[wanted.mostPieces()];
        this.chosenKinds = new int[wanted.mostPieces()];
    }

    private static Comparator<OwnedPiece> mostPromisingFirst(KitPreference preference) {
        Comparator<OwnedPiece> longest =
                Comparator.comparingDouble(OwnedPiece::lengthM).reversed();
        return switch (preference) {
            case LEAST_LOSS -> perMetre(OwnedPiece::lossDb).thenComparing(longest);
            case LEAST_MASS -> perMetre(p -> p.massKg().orElseThrow()).thenComparing(longest);
            case FEWEST_JOINTS, LEAST_LEFT_OVER -> longest.thenComparing(OwnedPiece::lossDb);
        };
    }

    private static Comparator<OwnedPiece> perMetre(ToDoubleFunction<OwnedPiece> figure) {
        return Comparator.comparingDouble(p -> figure.applyAsDouble(p) / p.lengthM());
    }

    private double weight(OwnedPiece piece) {
        return wanted.preference() == KitPreference.LEAST_MASS
                ? Math.round(piece.massKg().orElseThrow() * G_PER_KG) * ONE_UNIT + piece.lossDb()
                : piece.lossDb();
    }

    private double weight(Coupling coupling) {
        double pairs = wanted.preference() == KitPreference.FEWEST_JOINTS
                ? coupling.mated().size()
                : 0;
        return pairs * ONE_UNIT + wanted.lossDb(coupling);
    }

    private double weightOfLeftOver(double lengthM) {
        return wanted.preference() == KitPreference.LEAST_LEFT_OVER
                ? Math.ceil((lengthM - wanted.lengthM()) * CM_PER_M - ROUNDING_M) * ONE_UNIT
                : 0;
    }

    private Result run() {
        extend(0, 0, 0, 0);
        return new Result(
                best.isEmpty() ? Optional.empty() : Optional.of(kit(arrangement.laid(best))), !stopped, 0, looked);
    }

    /**
     * Tries every piece from {@code from} on as the next one of the set.
     *
     * @param taken how many pieces are in the set
     * @param lengthM of them together
     * @param weight of them together, without joints
     */
    private void extend(int from, int taken, double lengthM, double weight) {
        if (lengthM >= wanted.lengthM() - ROUNDING_M) {
            weigh(taken, lengthM, weight);
            return;
        }
        for (int i = from; i < pieces.size() && !stopped; i++) {
            double missingM = wanted.lengthM() - lengthM;
            if (taken == wanted.mostPieces()
                    || cannotReach(i, taken, missingM)
                    || isNoBetter(i, taken, missingM, weight)) {
                return;
            }
            if (i > from && pieces.get(i).isLike(pieces.get(i - 1))) {
                continue;
            }
            chosen[taken] = i;
            chosenKinds[taken] = kinds[i];
            extend(i + 1, taken + 1, lengthM + pieces.get(i).lengthM(), weight + weight(pieces.get(i)));
            if (!stopped) {
                looked++;
                stopped = looked >= mostSteps;
            }
        }
    }

    private boolean cannotReach(int from, int taken, double missingM) {
        double mostM = Math.min(leftM[from], (wanted.mostPieces() - taken) * longestM[from]);
        return mostM < missingM - ROUNDING_M;
    }

    /** Whether even the best of what is left could not beat what was found. */
    private boolean isNoBetter(int from, int taken, double missingM, double weight) {
        double morePieces = Math.ceil((missingM - ROUNDING_M) / longestM[from]);
        double joints = Math.max(0, taken + morePieces - 1) * cheapestCoupling;
        return weight + missingM * leastWeightPerM[from] + joints >= bestWeight;
    }

    private void weigh(int taken, double lengthM, double weight) {
        double withoutJoints = weight + weightOfLeftOver(lengthM);
        if (withoutJoints + (taken - 1) * cheapestCoupling >= bestWeight) {
            return;
        }
        double whole = withoutJoints + arrangement.leastCost(chosenKinds, taken);
        if (whole < bestWeight) {
            bestWeight = whole;
            List<OwnedPiece> set = new ArrayList<>();
            for (int i = 0; i < taken; i++) {
                set.add(pieces.get(chosen[i]));
            }
            best = set;
        }
    }

    private Kit kit(List<Kit.Laid> laid) {
        Optional<Coupling> atRadio =
                wanted.radio().map(r -> Coupling.of(r, laid.get(0).toRadio()));
        Optional<Coupling> atAntenna =
                wanted.antenna().map(a -> Coupling.of(laid.get(laid.size() - 1).toAntenna(), a));
        List<Coupling> between = new ArrayList<>();
        for (int i = 1; i < laid.size(); i++) {
            between.add(Coupling.of(laid.get(i - 1).toAntenna(), laid.get(i).toRadio()));
        }
        double lengthM = laid.stream().mapToDouble(l -> l.piece().lengthM()).sum();
        var unweighed = new Kit(
                laid, atRadio, between, atAntenna, lengthM, Math.max(0, lengthM - wanted.lengthM()), 0, massKg(laid));
        double lossDb = laid.stream().mapToDouble(l -> l.piece().lossDb()).sum()
                + unweighed.couplings().stream().mapToDouble(wanted::lossDb).sum();
        return new Kit(laid, atRadio, between, atAntenna, lengthM, unweighed.leftOverM(), lossDb, unweighed.massKg());
    }

    private static OptionalDouble massKg(List<Kit.Laid> laid) {
        double kg = 0;
        for (Kit.Laid l : laid) {
            if (l.piece().massKg().isEmpty()) {
                return OptionalDouble.empty();
            }
            kg += l.piece().massKg().getAsDouble();
        }
        return OptionalDouble.of(kg);
    }
}
