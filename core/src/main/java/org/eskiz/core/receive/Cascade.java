package org.eskiz.core.receive;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import org.eskiz.core.run.Element;
import org.eskiz.core.run.Matching;
import org.eskiz.core.run.Radio;
import org.eskiz.core.run.Run;
import org.eskiz.core.run.RunAssessment;
import org.eskiz.core.unit.Decibels;

/**
 * The stages that a signal passes from the antenna to the receiver, by the formula for stages in cascade: {@code f = f1 + (f2 −
 * 1)/g1 + (f3 − 1)/(g1·g2) + …} (Microwave Engineering, 4th edition, equation 10.22; Friis 1944). A passive stage of loss l at
 * 290 K counts f = l and g = 1/l.
 */
public final class Cascade {

    private Cascade() {}

    /** One stage. */
    public sealed interface Stage {

        /** The noise factor in front of it, from that behind it. */
        double before(double factorBehind);

        /**
         * Something passive at 290 K.
         *
         * @param lossDb as it stands in the run, mismatch included
         */
        record Passive(double lossDb) implements Stage {

            @Override
            public double before(double factorBehind) {
                return Decibels.ratio(lossDb) * factorBehind;
            }
        }

        /** An amplifier. */
        record Amplifier(double gainDb, double noiseFigureDb) implements Stage {

            @Override
            public double before(double factorBehind) {
                return Decibels.ratio(noiseFigureDb) + (factorBehind - 1) / Decibels.ratio(gainDb);
            }
        }
    }

    /**
     * Noise factor of everything behind the antenna.
     *
     * @param fromAntenna the stages in order
     * @param receiverFactor of what stands behind them
     */
    public static double noiseFactor(List<Stage> fromAntenna, double receiverFactor) {
        double factor = receiverFactor;
        for (int i = fromAntenna.size() - 1; i >= 0; i--) {
            factor = fromAntenna.get(i).before(factor);
        }
        return factor;
    }

    /**
     * The loss that, in front of the bare receiver, would cost as much as a run with its unit and its amplifiers does; without an
     * amplifier that is what they lose. It makes figures of all runs comparable.
     *
     * @return dB; negative where an amplifier brings more than the run takes
     */
    static double equivalentLossDb(RunAssessment a, Receiver receiver) {
        return a.run().isAmplifying()
                ? equivalentDb(
                        a,
                        a.elements().stream()
                                .mapToDouble(RunAssessment.ElementLoss::lossDb)
                                .toArray(),
                        receiver)
                : a.throughLossDb();
    }

    /** The same at the angle of the load that is worst. */
    static double equivalentLossAtWorstAngleDb(RunAssessment a, Receiver receiver) {
        return a.run().isAmplifying()
                ? a.elementLossesAtEachAngleDb().stream()
                        .mapToDouble(losses -> equivalentDb(a, losses, receiver))
                        .max()
                        .orElseThrow()
                : a.throughLossAtWorstAngleDb();
    }

    private static double equivalentDb(RunAssessment a, double[] lossesDb, Receiver receiver) {
        return Decibels.ofPower(factorBehindAntenna(a.run(), a.radio(), lossesDb, receiver) / receiver.noiseFactor());
    }

    /**
     * Of runs that are drawn again and again.
     *
     * @param leftOfEach what is left of the power behind each element: a row an element, a column a draw
     */
    static double[] equivalentLeft(Run run, Radio radio, double[][] leftOfEach, Receiver receiver) {
        int draws = leftOfEach[0].length;
        return IntStream.range(0, draws)
                .mapToDouble(k -> {
                    double[] lossesDb = Arrays.stream(leftOfEach)
                            .mapToDouble(left -> -Decibels.ofPower(left[k]))
                            .toArray();
                    return receiver.noiseFactor() / factorBehindAntenna(run, radio, lossesDb, receiver);
                })
                .toArray();
    }

    private static double factorBehindAntenna(Run run, Radio radio, double[] lossesDb, Receiver receiver) {
        List<Stage> fromAntenna = new ArrayList<>();
        var unit = new Stage.Passive(radio.unitLossDb());
        if (radio.matching() == Matching.AT_ANTENNA) {
            fromAntenna.add(unit);
        }
        for (int i = lossesDb.length - 1; i >= 0; i--) {
            fromAntenna.add(stage(run.elements().get(i), lossesDb[i]));
        }
        if (radio.matching() == Matching.AT_RADIO) {
            fromAntenna.add(unit);
        }
        return noiseFactor(fromAntenna, receiver.noiseFactor());
    }

    /** What an element is on receive. */
    static Stage stage(Element element, double lossDb) {
        return element instanceof Element.Preamplifier p
                ? new Stage.Amplifier(p.gainDb(), p.noiseFigureDb())
                : new Stage.Passive(lossDb);
    }

    /**
     * What reaches the first amplifier that says what it bears, of a transmitter near by.
     *
     * @param neighbourDbm at the antenna's terminals
     * @return dBm at its input less the largest that it bears; empty where no amplifier says
     */
    public static OptionalDouble overloadDb(RunAssessment a, double neighbourDbm) {
        double levelDbm = neighbourDbm - (a.radio().matching() == Matching.AT_ANTENNA ? a.matchingLossDb() : 0);
        List<RunAssessment.ElementLoss> losses = a.elements();
        double worst = Double.NEGATIVE_INFINITY;
        for (int i = losses.size() - 1; i >= 0; i--) {
            if (a.run().elements().get(i) instanceof Element.Preamplifier p) {
                if (p.largestInputDbm().isPresent()) {
                    worst = Math.max(worst, levelDbm - p.largestInputDbm().getAsDouble());
                }
                levelDbm += p.gainDb();
            } else {
                levelDbm -= losses.get(i).lossDb();
            }
        }
        return Double.isInfinite(worst) ? OptionalDouble.empty() : OptionalDouble.of(worst);
    }
}
