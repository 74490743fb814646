package org.eskiz.core.cable;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.stream.IntStream;

/** What may be wrong with rows that somebody read off a data sheet: the usual slips, each with its number. */
public final class SheetCheck {

    /** Loss of real cables grows with the power of frequency between these, conductor and dielectric together. */
    private static final double STEEPEST = 1.2;

    /** A row farther off the fitted law than this is worth a look. */
    private static final double FAR_OFF = 0.08;

    /** Feet in a metre: what a per-100-ft table taken as per 100 m is too small by. */
    private static final double FEET_PER_METRE = 1 / 0.3048;

    /** The diameter counts the jacket, so that a good cable still stands well above its floor. */
    private static final double NEAR_THE_FLOOR = 1.05;

    private SheetCheck() {}

    /** The usual slips. */
    public enum Slip {
        /** Loss falls where frequency rises; the number is the loss in dB per 100 m of the row before. */
        FALLING,
        /** The law fitted to the other rows misses this one; the number is the relative residual. */
        FAR_OFF_THE_FIT,
        /** Loss grows faster than frequency, as it does when the columns are swapped; the number is the power of it. */
        COLUMNS_SWAPPED,
        /** Less loss than copper allows at this size; the number is the least in dB per 100 m. */
        TOO_GOOD_TO_BE_TRUE,
        /** The same, and plausible as soon as it is taken per 100 ft; the number is the least in dB per 100 m. */
        PER_100_FT
    }

    /**
     * One slip.
     *
     * @param row index of the row it is about; empty for the sheet as a whole
     */
    public record Finding(Slip slip, OptionalInt row, double number) {}

    /**
     * Looks through the rows of a sheet.
     *
     * @param points at least one, in the order of the sheet
     * @param floorK1 from {@link CopperFloor}; empty where impedance or size is not known
     */
    public static List<Finding> of(List<AttenuationPoint> points, OptionalDouble floorK1) {
        List<Finding> findings = new ArrayList<>();
        steepness(points)
                .ifPresent(power -> findings.add(new Finding(Slip.COLUMNS_SWAPPED, OptionalInt.empty(), power)));
        if (!findings.isEmpty()) {
            return findings;
        }
        findings.addAll(falling(points));
        findings.addAll(farOff(points));
        floorK1.ifPresent(k1 -> findings.addAll(belowTheFloor(points, k1)));
        return findings;
    }

    /** By which power of frequency the loss grows, where it is more than any cable's does. */
    private static OptionalDouble steepness(List<AttenuationPoint> points) {
        AttenuationPoint low = points.stream()
                .min(Comparator.comparingDouble(AttenuationPoint::frequencyMHz))
                .orElseThrow();
        AttenuationPoint high = points.stream()
                .max(Comparator.comparingDouble(AttenuationPoint::frequencyMHz))
                .orElseThrow();
        double power = Math.log(high.attenuationDbPer100m() / low.attenuationDbPer100m())
                / Math.log(high.frequencyMHz() / low.frequencyMHz());
        return power > STEEPEST ? OptionalDouble.of(power) : OptionalDouble.empty();
    }

    private static List<Finding> falling(List<AttenuationPoint> points) {
        List<Integer> byFrequency = IntStream.range(0, points.size())
                .boxed()
                .sorted(Comparator.comparingDouble(i -> points.get(i).frequencyMHz()))
                .toList();
        List<Finding> findings = new ArrayList<>();
        for (int i = 1; i < byFrequency.size(); i++) {
            AttenuationPoint before = points.get(byFrequency.get(i - 1));
            AttenuationPoint here = points.get(byFrequency.get(i));
            if (here.attenuationDbPer100m() < before.attenuationDbPer100m()) {
                findings.add(
                        new Finding(Slip.FALLING, OptionalInt.of(byFrequency.get(i)), before.attenuationDbPer100m()));
            }
        }
        return findings;
    }

    /**
     * Rows that the law of the rest misses. One wrong row pulls the law of all rows to itself, so that the good ones seem
     * to lie off; hence the rows whose absence helps most are taken out first, up to a third of them. Where that does not
     * help, the rows follow no law, and all that the law of all rows misses are named.
     */
    private static List<Finding> farOff(List<AttenuationPoint> points) {
        List<AttenuationPoint> rest = new ArrayList<>(points);
        while (isMissed(rest) && 3 * (points.size() - rest.size() + 1) <= points.size()) {
            rest.remove(worstFor(rest));
        }
        Attenuation law = AttenuationFit.of(isMissed(rest) ? points : rest).attenuation();
        return IntStream.range(0, points.size())
                .filter(i -> Math.abs(residual(law, points.get(i))) > FAR_OFF)
                .mapToObj(i -> new Finding(Slip.FAR_OFF_THE_FIT, OptionalInt.of(i), residual(law, points.get(i))))
                .toList();
    }

    private static boolean isMissed(List<AttenuationPoint> points) {
        return AttenuationFit.of(points).worstRelativeResidual() > FAR_OFF;
    }

    /** The row without which the others lie nearest to their law. */
    private static int worstFor(List<AttenuationPoint> points) {
        return IntStream.range(0, points.size())
                .boxed()
                .min(Comparator.comparingDouble(i -> {
                    List<AttenuationPoint> others = new ArrayList<>(points);
                    others.remove((int) i);
                    return AttenuationFit.of(others).worstRelativeResidual();
                }))
                .orElseThrow();
    }

    private static double residual(Attenuation law, AttenuationPoint point) {
        return law.dbPer100m(point.frequencyMHz(), Attenuation.SHEET_TEMPERATURE_C) / point.attenuationDbPer100m() - 1;
    }

    private static List<Finding> belowTheFloor(List<AttenuationPoint> points, double floorK1) {
        List<Finding> below = IntStream.range(0, points.size())
                .filter(i -> points.get(i).attenuationDbPer100m() < floor(points.get(i), floorK1))
                .mapToObj(i -> new Finding(Slip.TOO_GOOD_TO_BE_TRUE, OptionalInt.of(i), floor(points.get(i), floorK1)))
                .toList();
        boolean isFeet = 2 * below.size() >= points.size()
                && points.stream()
                        .allMatch(p -> p.attenuationDbPer100m() * FEET_PER_METRE > NEAR_THE_FLOOR * floor(p, floorK1));
        return isFeet
                ? List.of(new Finding(
                        Slip.PER_100_FT, OptionalInt.empty(), below.get(0).number()))
                : below;
    }

    /** Whether any row loses less than copper allows. */
    public static boolean isBelowTheFloor(List<AttenuationPoint> points, double floorK1) {
        return points.stream().anyMatch(p -> p.attenuationDbPer100m() < floor(p, floorK1));
    }

    private static double floor(AttenuationPoint point, double floorK1) {
        return floorK1 * Math.sqrt(point.frequencyMHz());
    }
}
