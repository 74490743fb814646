package org.eskiz.core.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.function.Predicate;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import org.apache.commons.numbers.complex.Complex;
import org.eskiz.core.bench.DistanceToFault.Kind;
import org.eskiz.core.bench.DistanceToFault.Line;
import org.eskiz.core.bench.DistanceToFault.Peak;
import org.eskiz.core.cable.Attenuation;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Reflections along a line, of the reference sweeps and of lines made up here. */
class DistanceToFaultTest {

    private static final Attenuation LAW = new Attenuation(0.6, 0.005);
    private static final double VF = 0.84;

    @ParameterizedTest
    @EnumSource(Window.class)
    void aKinkAndTheEndAreFoundWithinTheResolutionThatIsStated(Window window) {
        DistanceToFault found = DistanceToFault.of(
                SweepReferenceTest.onePort("kink-foam7-27m4.s1p"),
                window,
                new Line(VF, Optional.of(LAW), OptionalDouble.of(27.4), List.of()));
        assertThat(found.isResampled()).isFalse();
        assertThat(found.farthestM()).isCloseTo(VF * 299.792458 / (2 * 1.12375), within(0.01));
        assertThat(found.peaks()).anySatisfy(p -> {
            assertThat(p.kind()).isEqualTo(Kind.CHANGE);
            assertThat(p.distanceM()).isCloseTo(11.2, within(found.resolutionM()));
        });
        assertThat(found.peaks()).anySatisfy(p -> {
            assertThat(p.kind()).isEqualTo(Kind.END);
            assertThat(p.distanceM()).isCloseTo(27.4, within(found.resolutionM()));
        });
    }

    @Test
    void theOpenAndShortedReferencesEndWhereTheyEnd() {
        for (String file : List.of("open-rg8x-30m5.s1p", "short-rg8x-30m5.s1p")) {
            DistanceToFault found = DistanceToFault.of(
                    SweepReferenceTest.onePort(file),
                    Window.KAISER,
                    new Line(0.8, Optional.empty(), OptionalDouble.of(30.5), List.of()));
            Peak end = found.peaks().stream()
                    .filter(p -> p.kind() == Kind.END)
                    .findFirst()
                    .orElseThrow();
            assertThat(end.distanceM()).isCloseTo(30.5, within(found.resolutionM()));
        }
    }

    @Test
    void aReflectionIsGivenBackWhatTheWayTookFromIt() {
        DistanceToFault found = look(LAW, List.of(new double[] {40, 0.2}), Window.KAISER, true);
        Peak peak = only(found);
        assertThat(peak.distanceM()).isCloseTo(40, within(0.1));
        assertThat(peak.reflection()).isCloseTo(0.2, within(0.01));
        Peak unpaid = only(look(LAW, List.of(new double[] {40, 0.2}), Window.KAISER, false));
        assertThat(unpaid.reflection()).isLessThan(0.12);
        assertThat(peak.returnLossDb()).isCloseTo(14, within(0.5));
    }

    @Test
    void aWindowShowsAWeakReflectionBesideAStrongOne() {
        List<double[]> both = List.of(new double[] {20, 0.3}, new double[] {20.9, 0.004});
        assertThat(distances(look(LAW, both, Window.KAISER, true), p -> true)).hasSize(2);
        assertThat(distances(look(LAW, both, Window.NONE, true), p -> true)).hasSize(1);
    }

    @Test
    void anEchoIsToldFromAFault() {
        DistanceToFault found = amongReflectors(0.036, List.of(37.1));
        assertThat(found.peaks())
                .extracting(Peak::kind)
                .containsExactly(Kind.JOINT, Kind.CHANGE, Kind.ECHO, Kind.JOINT);
        assertThat(found.peaks().get(2).echoOfM()).hasValueCloseTo(15.0, within(0.1));
    }

    @Test
    void whatIsLargerThanTheReflectionsThatWouldMakeItIsNoEcho() {
        assertThat(amongReflectors(0.12, List.of(37.1)).peaks())
                .extracting(Peak::kind)
                .containsExactly(Kind.JOINT, Kind.CHANGE, Kind.CHANGE, Kind.JOINT);
    }

    /** A plug that reflects 0.4, a fault at 15 m that reflects 0.3, and so an echo of 0.3·0.4·0.3 at 30 m. */
    private static DistanceToFault amongReflectors(double atTwice, List<Double> jointsM) {
        return DistanceToFault.of(
                sweep(
                        LAW,
                        List.of(
                                new double[] {0, 0.4},
                                new double[] {15, 0.3},
                                new double[] {30, atTwice},
                                new double[] {37, 0.06}),
                        801,
                        0),
                Window.KAISER,
                new Line(VF, Optional.of(LAW), OptionalDouble.empty(), jointsM));
    }

    @Test
    void behindTheEndNothingChangesAndMirrorImagesAreEchoes() {
        DistanceToFault found = DistanceToFault.of(
                sweep(
                        LAW,
                        List.of(new double[] {12, 0.2}, new double[] {20, 0.9}, new double[] {28, 0.15}, new double[] {
                            33, 0.4
                        }),
                        801,
                        0),
                Window.KAISER,
                new Line(VF, Optional.of(LAW), OptionalDouble.of(20), List.of()));
        assertThat(found.peaks()).extracting(Peak::kind).containsExactly(Kind.CHANGE, Kind.END, Kind.ECHO, Kind.ECHO);
    }

    @Test
    void unevenStepsAreResampledOrRefused() {
        Sweep.OnePort slightly = sweep(LAW, List.of(new double[] {12, 0.2}), 801, 0.2);
        DistanceToFault found = DistanceToFault.of(
                slightly, Window.KAISER, new Line(VF, Optional.of(LAW), OptionalDouble.empty(), List.of()));
        assertThat(found.isResampled()).isTrue();
        assertThat(found.peaks()).anySatisfy(p -> assertThat(p.distanceM()).isCloseTo(12, within(0.2)));

        List<Double> f = new ArrayList<>(slightly.frequenciesMHz());
        List<Complex> s = new ArrayList<>(slightly.reflections());
        f.subList(100, 110).clear();
        s.subList(100, 110).clear();
        assertThatThrownBy(() -> DistanceToFault.of(
                        new Sweep.OnePort(50, f, s),
                        Window.KAISER,
                        new Line(VF, Optional.empty(), OptionalDouble.empty(), List.of())))
                .hasMessageContaining("too uneven");
        assertThatThrownBy(() -> DistanceToFault.of(
                        new Sweep.OnePort(50, f.subList(0, 5), s.subList(0, 5)),
                        Window.KAISER,
                        new Line(VF, Optional.empty(), OptionalDouble.empty(), List.of())))
                .hasMessageContaining("5 points are too few");
    }

    @Test
    void aMatchedLineHasNothingToShow() {
        assertThat(look(LAW, List.of(), Window.KAISER, true).peaks()).isEmpty();
    }

    private static Peak only(DistanceToFault found) {
        assertThat(found.peaks()).hasSize(1);
        return found.peaks().get(0);
    }

    private static List<Double> distances(DistanceToFault found, Predicate<Peak> which) {
        return found.peaks().stream().filter(which).map(Peak::distanceM).toList();
    }

    private static DistanceToFault look(Attenuation law, List<double[]> reflectors, Window window, boolean payBack) {
        return DistanceToFault.of(
                sweep(law, reflectors, 801, 0),
                window,
                new Line(VF, payBack ? Optional.of(law) : Optional.empty(), OptionalDouble.empty(), List.of()));
    }

    /** Weak reflectors at distances, each seen alone, and a little noise. */
    private static Sweep.OnePort sweep(Attenuation law, List<double[]> reflectors, int points, double uneven) {
        Random random = new Random(7);
        List<Double> f = IntStream.range(0, points)
                .mapToObj(i -> 1 + 899.0 * (i + (i == 0 || i == points - 1 ? 0 : uneven * Math.sin(i))) / (points - 1))
                .toList();
        ToDoubleFunction<Double> alpha = mhz -> law.dbPer100m(mhz, 20) / 100 / 8.685889638065035;
        List<Complex> s = f.stream()
                .map(mhz -> reflectors.stream()
                        .map(r -> {
                            double turn = -4 * Math.PI * mhz * 1e6 * r[0] / (VF * 299_792_458);
                            double left = r[1] * Math.exp(-2 * alpha.applyAsDouble(mhz) * r[0]);
                            return Complex.ofCartesian(left * Math.cos(turn), left * Math.sin(turn));
                        })
                        .reduce(
                                Complex.ofCartesian(3e-5 * random.nextGaussian(), 3e-5 * random.nextGaussian()),
                                Complex::add))
                .toList();
        return new Sweep.OnePort(50, f, s);
    }
}
