package org.eskiz.core.choice;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;

/** What has to be bought of a cable so that every cut comes out of it in one piece. */
final class Cuts {

    /** A hair of a length, so that 30 m do not take two lengths of 15 and one of rounding. */
    private static final double HAIR = 1e-9;

    private Cuts() {}

    /**
     * How much is bought.
     *
     * @param cutsM what is cut
     * @param soldInM whole lengths it is sold in; empty for by the metre
     */
    static double boughtM(List<Double> cutsM, OptionalDouble soldInM) {
        return soldInM.isEmpty()
                ? cutsM.stream().mapToDouble(m -> m).sum()
                : soldInM.getAsDouble() * lengths(cutsM, soldInM.getAsDouble());
    }

    /** The longest cut goes first, into the first length that has room; a cut longer than a length takes whole ones and a rest. */
    private static int lengths(List<Double> cutsM, double lengthM) {
        int whole = 0;
        List<Double> rests = new ArrayList<>();
        for (double cut : cutsM) {
            int full = (int) Math.floor(cut / lengthM + HAIR);
            whole += full;
            rests.add(cut - full * lengthM);
        }
        List<Double> left = new ArrayList<>();
        rests.stream()
                .filter(m -> m > HAIR * lengthM)
                .sorted(Comparator.reverseOrder())
                .forEach(m -> {
                    for (int i = 0; i < left.size(); i++) {
                        if (left.get(i) >= m - HAIR * lengthM) {
                            left.set(i, left.get(i) - m);
                            return;
                        }
                    }
                    left.add(lengthM - m);
                });
        return whole + left.size();
    }
}
