package org.eskiz.benchmarks;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.IntStream;
import org.apache.commons.numbers.complex.Complex;
import org.eskiz.core.bench.BenchTest;
import org.eskiz.core.bench.Cause;
import org.eskiz.core.bench.Lead;
import org.eskiz.core.bench.PowerReading.Repeatability;
import org.eskiz.core.bench.SheetDeviation.Outcome;
import org.eskiz.core.bench.Sweep;
import org.eskiz.core.bench.TestAnalysis;
import org.eskiz.core.bench.TestJoint;
import org.eskiz.core.bench.TestRow;
import org.eskiz.core.bench.TestSubject;
import org.eskiz.core.bench.TestSweeps;
import org.eskiz.core.bench.TypeSheet;
import org.eskiz.core.bench.Wattmeter;
import org.eskiz.core.cable.Attenuation;
import org.eskiz.core.cable.Bump;
import org.eskiz.core.cable.Cable;
import org.eskiz.core.cable.InsertionLoss;
import org.eskiz.core.run.LineConstants;
import org.eskiz.core.run.TwoPort;

/**
 * What the bench says of cables of which everything is known: honest ones, measured well and badly, and ones with a known fault.
 * The same every time.
 *
 * <p>Prints, for each way of measuring, how many of 500 honest cables were called worse or better than their sheet, and of how many
 * it could not tell; and for each fault, of 200 cables, whether its cause was named alone, among rivals, not at all, or wrongly.
 */
public final class BenchStatistics {

    private static final int HONEST = 500;
    private static final int FAULTY = 200;
    private static final double[] BANDS = {3.65, 7.1, 14.2, 28.5, 50.2, 145, 433};
    private static final double BENCH_OHM = 50;
    private static final double BENCH_C = 20;
    private static final TestJoint UHF =
            new TestJoint(new InsertionLoss.MatedPair(0.004, 0, 300), Optional.of(new Bump(32, 40)));

    private static final List<TypeSheet> TYPES = List.of(
            new TypeSheet("thin", Cable.ofCoefficients(50, 0.66, new Attenuation(2.6, 0.012)), 0.1),
            new TypeSheet("usual", Cable.ofCoefficients(50, 0.66, new Attenuation(1.3, 0.011)), 0.1),
            new TypeSheet("medium", Cable.ofCoefficients(50, 0.66, new Attenuation(0.62, 0.005)), 0.05),
            new TypeSheet("low loss", Cable.ofCoefficients(50, 0.85, new Attenuation(0.35, 0.0015)), 0.05));

    private final Random random;

    private BenchStatistics(long seed) {
        random = new Random(seed);
    }

    /** How a cable is measured. */
    private interface Way {
        BenchTest test(BenchStatistics s, Specimen cable);
    }

    /**
     * A cable and what is wrong with it.
     *
     * @param scale of its attenuation over its sheet
     * @param faultDb what its fault adds
     */
    private record Specimen(
            TypeSheet type, double lengthM, double scale, DoubleUnaryOperator faultDb, List<TestJoint> ends, boolean isEntered) {

        Cable real() {
            Attenuation law = type.cable().attenuation();
            return Cable.ofCoefficients(
                    type.cable().impedanceOhm(),
                    type.cable().velocityFactor(),
                    new Attenuation(law.k1() * scale, law.k2() * scale));
        }

        TwoPort network(double f) {
            TwoPort line = LineConstants.of(real(), f, BENCH_C).ofLength(lengthM);
            TwoPort fault = TwoPort.pad(Math.max(0, faultDb.applyAsDouble(f)), BENCH_OHM);
            TwoPort whole = line.then(fault);
            return ends.isEmpty() ? whole : joint(f).then(whole).then(joint(f));
        }

        private TwoPort joint(double f) {
            return TwoPort.pad(UHF.pad().lossDb(f), BENCH_OHM)
                    .then(TwoPort.bump(UHF.bump().orElseThrow(), f));
        }

        TestSubject subject() {
            return new TestSubject(
                    Optional.of(type),
                    OptionalDouble.of(lengthM),
                    BENCH_C,
                    isEntered ? ends : List.of(),
                    Optional.of(UHF));
        }
    }

    private Specimen honest(boolean plugs, boolean entered) {
        return specimen(f -> 0, plugs, entered);
    }

    private Specimen specimen(DoubleUnaryOperator fault, boolean plugs, boolean entered) {
        TypeSheet type = TYPES.get(random.nextInt(TYPES.size()));
        double lengthM = 0.5 * Math.pow(120, random.nextDouble());
        double scale = 1 + type.tolerance() / 2 * Math.max(-2, Math.min(2, random.nextGaussian()));
        return new Specimen(type, lengthM, scale, fault, plugs ? List.of(UHF, UHF) : List.of(), entered);
    }

    private static Way wattmeter(double drift, double step, boolean again) {
        return (s, cable) -> {
            List<TestRow> rows = new ArrayList<>();
            double classError = 0.05 / Math.sqrt(3) * (2 * s.random.nextDouble() - 1) * Math.sqrt(3) * 100;
            for (double f : BANDS) {
                double lossDb = insertionDb(cable.network(f));
                if (lossDb > 12) {
                    continue;
                }
                double made = 95;
                double later = made * (1 + drift * s.random.nextGaussian());
                rows.add(new TestRow.OfPower(
                        OptionalDouble.of(f),
                        OptionalDouble.empty(),
                        s.read(made, classError, step),
                        s.read(later * Math.pow(10, -lossDb / 10), classError, step),
                        again ? s.read(2 * later - made, classError, step) : ""));
            }
            return new BenchTest(cable.subject(), rows, METER, new TestSweeps.None(), List.of());
        };
    }

    private static final Wattmeter METER = new Wattmeter(Repeatability.USUAL, 0.05, new Lead.None());

    private String read(double watts, double classError, double step) {
        double shown = (watts + classError) * (1 + 0.01 * random.nextGaussian());
        double value = Math.max(step, Math.round(shown / step) * step);
        return step < 1 ? String.format(Locale.ROOT, "%.1f", value) : String.format(Locale.ROOT, "%.0f", value);
    }

    private static Way through(double noiseDb) {
        return (s, cable) -> {
            List<Double> f = grid(cable.lengthM());
            List<Sweep.Scattering> points = f.stream()
                    .map(x -> s.noisy(scattering(cable.network(x)), noiseDb))
                    .toList();
            return new BenchTest(
                    cable.subject(),
                    List.of(),
                    METER,
                    new TestSweeps.Through(Optional.of(new Sweep.TwoPort(BENCH_OHM, f, points))),
                    IntStream.range(0, BANDS.length).mapToObj(i -> BANDS[i]).toList());
        };
    }

    private static Way oneEnd(double noiseDb) {
        return (s, cable) -> {
            List<Double> f = grid(cable.lengthM());
            return new BenchTest(
                    cable.subject(),
                    List.of(),
                    METER,
                    new TestSweeps.OneEnd(
                            Optional.of(s.look(cable, f, noiseDb, true)),
                            Optional.of(s.look(cable, f, noiseDb, false)),
                            false),
                    IntStream.range(0, BANDS.length).mapToObj(i -> BANDS[i]).toList());
        };
    }

    private Sweep.OnePort look(Specimen cable, List<Double> f, double noiseDb, boolean isOpen) {
        return new Sweep.OnePort(
                BENCH_OHM,
                f,
                f.stream()
                        .map(x -> {
                            TwoPort t = cable.network(x);
                            Complex z = isOpen ? t.a().divide(t.c()) : t.b().divide(t.d());
                            return noisy(
                                    z.subtract(BENCH_OHM)
                                            .divide(z.add(Complex.ofCartesian(BENCH_OHM, 0))),
                                    noiseDb);
                        })
                        .toList());
    }

    private static List<Double> grid(double lengthM) {
        int points = lengthM > 20 ? 1601 : 401;
        return IntStream.range(0, points)
                .mapToObj(i -> 1 + 499.0 * i / (points - 1))
                .toList();
    }

    private Complex noisy(Complex c, double noiseDb) {
        double amplitude = Math.pow(10, noiseDb / 20) / Math.sqrt(2);
        return c.add(Complex.ofCartesian(amplitude * random.nextGaussian(), amplitude * random.nextGaussian()));
    }

    private Sweep.Scattering noisy(Sweep.Scattering s, double noiseDb) {
        return new Sweep.Scattering(
                noisy(s.s11(), noiseDb), noisy(s.s21(), noiseDb), noisy(s.s12(), noiseDb), noisy(s.s22(), noiseDb));
    }

    private static Sweep.Scattering scattering(TwoPort t) {
        Complex b = t.b().divide(BENCH_OHM);
        Complex c = t.c().multiply(BENCH_OHM);
        Complex all = t.a().add(b).add(c).add(t.d());
        Complex through = Complex.ofCartesian(2, 0).divide(all);
        return new Sweep.Scattering(
                t.a().add(b).subtract(c).subtract(t.d()).divide(all),
                through,
                through,
                b.subtract(t.a()).subtract(c).add(t.d()).divide(all));
    }

    private static double insertionDb(TwoPort t) {
        return -20 * Math.log10(scattering(t).s21().abs());
    }

    private static void honest(String name, Way way, boolean plugs, boolean entered) {
        var s = new BenchStatistics(1);
        int[] counts = new int[Outcome.values().length];
        int none = 0;
        for (int i = 0; i < HONEST; i++) {
            Optional<Outcome> outcome =
                    TestAnalysis.of(way.test(s, s.honest(plugs, entered)), List.of()).outcome();
            if (outcome.isPresent()) {
                counts[outcome.get().ordinal()]++;
            } else {
                none++;
            }
        }
        System.out.printf(
                Locale.ROOT,
                "%-44s worse %5.1f %%  better %5.1f %%  cannot tell %5.1f %%  refused %4.1f %%%n",
                name,
                100.0 * counts[Outcome.WORSE.ordinal()] / HONEST,
                100.0 * counts[Outcome.BETTER_THAN_IT_CAN_BE.ordinal()] / HONEST,
                100.0 * counts[Outcome.CANNOT_TELL.ordinal()] / HONEST,
                100.0 * none / HONEST);
    }

    private static void faulty(String name, Way way, Cause.Kind kind) {
        var s = new BenchStatistics(2);
        int worse = 0;
        int alone = 0;
        int among = 0;
        int nothing = 0;
        int wrongAlone = 0;
        for (int i = 0; i < FAULTY; i++) {
            TestAnalysis a = TestAnalysis.of(way.test(s, s.withFault(kind)), List.of());
            if (!a.outcome().equals(Optional.of(Outcome.WORSE))) {
                continue;
            }
            worse++;
            boolean isThere = a.causes().stream().anyMatch(c -> c.kind() == kind);
            if (a.causes().isEmpty()) {
                nothing++;
            } else if (isThere && a.causes().size() == 1) {
                alone++;
            } else if (isThere) {
                among++;
            } else if (a.causes().size() == 1) {
                wrongAlone++;
            }
        }
        System.out.printf(
                Locale.ROOT,
                "%-28s %-12s found %5.1f %%; of those: alone %5.1f %%, among rivals %5.1f %%, none named %5.1f %%, wrong alone %4.1f %%%n",
                name,
                kind,
                100.0 * worse / FAULTY,
                100.0 * alone / Math.max(1, worse),
                100.0 * among / Math.max(1, worse),
                100.0 * nothing / Math.max(1, worse),
                100.0 * wrongAlone / Math.max(1, worse));
    }

    /** A fault that loses 0.3 to 1 times what the cable does, on the mean of the bands. */
    private Specimen withFault(Cause.Kind kind) {
        Specimen sound = specimen(f -> 0, true, true);
        DoubleUnaryOperator shape =
                switch (kind) {
                    case CONDUCTOR -> Math::sqrt;
                    case DIELECTRIC -> f -> f;
                    case BUMP -> f -> f * f;
                    case PROPORTIONAL -> f -> sound.type().cable().attenuation().dbPer100m(f, BENCH_C);
                    default -> f -> 1;
                };
        double cable = 0;
        double fault = 0;
        for (double f : BANDS) {
            cable += sound.type().cable().attenuation().dbPer100m(f, BENCH_C) * sound.lengthM() / 100;
            fault += shape.applyAsDouble(f);
        }
        double times = (0.3 + 0.7 * random.nextDouble()) * cable / fault;
        return new Specimen(
                sound.type(),
                sound.lengthM(),
                sound.scale(),
                f -> times * shape.applyAsDouble(f),
                sound.ends(),
                true);
    }

    public static void main(String[] args) {
        honest("wattmeter, drift 0.5 %", wattmeter(0.005, 0.1, false), true, true);
        honest("wattmeter, drift 2 %", wattmeter(0.02, 0.1, false), true, true);
        honest("wattmeter, drift 3 %", wattmeter(0.03, 0.1, false), true, true);
        honest("wattmeter, drift 3 %, baseline read again", wattmeter(0.03, 0.1, true), true, true);
        honest("analogue meter, drift 2 %", wattmeter(0.02, 2, false), true, true);
        honest("wattmeter, two plugs not entered", wattmeter(0.02, 0.1, false), true, false);
        for (int noise = -50; noise >= -80; noise -= 10) {
            honest("through, noise " + noise + " dB", through(noise), false, false);
            honest("through, UHF ends entered, noise " + noise + " dB", through(noise), true, true);
            honest("one end, noise " + noise + " dB", oneEnd(noise), false, false);
        }
        honest("through, UHF ends not entered, noise -70 dB", through(-70), true, false);
        for (Cause.Kind kind : List.of(
                Cause.Kind.CONTACT,
                Cause.Kind.PROPORTIONAL,
                Cause.Kind.CONDUCTOR,
                Cause.Kind.DIELECTRIC,
                Cause.Kind.BUMP)) {
            faulty("wattmeter, drift 2 %", wattmeter(0.02, 0.1, false), kind);
            faulty("through, noise -70 dB", through(-70), kind);
        }
    }
}
