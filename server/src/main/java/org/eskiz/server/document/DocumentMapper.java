package org.eskiz.server.document;

import static java.util.Objects.requireNonNullElse;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import org.eskiz.core.cable.Attenuation;
import org.eskiz.core.cable.AttenuationPoint;
import org.eskiz.core.cable.Bump;
import org.eskiz.core.cable.Cable;
import org.eskiz.core.cable.InsertionLoss;
import org.eskiz.core.choice.Band;
import org.eskiz.core.run.Conditions;
import org.eskiz.core.run.Element;
import org.eskiz.core.run.Load;
import org.eskiz.core.run.Matching;
import org.eskiz.core.run.MatchingUnit;
import org.eskiz.core.run.Radio;
import org.eskiz.core.run.Run;
import org.eskiz.server.catalogue.Catalogue;
import org.eskiz.server.catalogue.Connector;

/** From a checked request to the core's types; what a request leaves open is filled in on this way, not in the core. */
public final class DocumentMapper {

    private static final double DEFAULT_IMPEDANCE_OHM = 50;
    private static final double DEFAULT_AMBIENT_C = 20;
    private static final double DEFAULT_DUTY = 1;
    private static final int FEWEST_WAYS = 2;
    private static final RadioSpec UNSTATED_RADIO = new RadioSpec(null, null, null, null, null, null, null, null, null);

    private final Catalogue catalogue;

    public DocumentMapper(Catalogue catalogue) {
        this.catalogue = catalogue;
    }

    public Run run(AssessmentSpec request) {
        return run(request.run(), new Terms(request.flatJointLossDb(), request.isWet()));
    }

    /** Elements of a dry day, their joints as is typical of them. */
    public Run run(List<RunElement> elements) {
        return run(elements, new Terms(null, false));
    }

    /** On which every element of a run is taken. */
    private record Terms(Double flatJointLossDb, boolean isWet) {}

    private Run run(List<RunElement> elements, Terms terms) {
        List<Element> inOrder = elements.stream().map(e -> element(e, terms)).toList();
        return elements.stream().noneMatch(RunElement.Fork.class::isInstance)
                ? new Run(inOrder)
                : new Run(
                        inOrder, elements.stream().map(e -> branch(e.branch())).toList());
    }

    private static String branch(String named) {
        return requireNonNullElse(named, Run.COMMON);
    }

    public List<Band> bands(AssessmentSpec request) {
        RadioSpec radio = requireNonNullElse(request.radio(), UNSTATED_RADIO);
        double ambientC = requireNonNullElse(request.ambientC(), DEFAULT_AMBIENT_C);
        var surroundings = new Surroundings(request.receiver(), request.exposure());
        return request.bands().stream()
                .map(b -> new Band(
                        radio(radio, b),
                        new Conditions(b.frequencyMHz(), ambientC, branch(b.branch())),
                        // nobody knows the weather of the day of a reading
                        load(b.load(), new Terms(request.flatJointLossDb(), false)),
                        duty(radio, b),
                        unit(radio),
                        optional(b.antennaGainDbi()),
                        surroundings.listening(b.frequencyMHz())))
                .toList();
    }

    private static Radio radio(RadioSpec radio, BandSpec band) {
        return new Radio(
                optional(or(band.powerW(), radio.powerW())),
                requireNonNullElse(radio.impedanceOhm(), DEFAULT_IMPEDANCE_OHM),
                requireNonNullElse(or(band.matching(), radio.matching()), Matching.AT_RADIO),
                requireNonNullElse(or(band.matchingLossDb(), radio.matchingLossDb()), 0.0),
                requireNonNullElse(or(band.foldback(), radio.foldback()), false));
    }

    /** What is known of the matching unit besides its loss. */
    public static MatchingUnit unit(RadioSpec radio) {
        RadioSpec stated = requireNonNullElse(radio, UNSTATED_RADIO);
        return new MatchingUnit(
                requireNonNullElse(stated.matchesUpToSwr(), MatchingUnit.ASSUMED_UP_TO_SWR),
                stated.matchesUpToSwr() != null,
                Boolean.TRUE.equals(stated.matchingIsBalanced()),
                optional(stated.matchingAveragePowerW()));
    }

    /** Average over peak power on a band. */
    public static double duty(RadioSpec radio, BandSpec band) {
        RadioSpec stated = requireNonNullElse(radio, UNSTATED_RADIO);
        return requireNonNullElse(or(band.duty(), stated.duty()), DEFAULT_DUTY);
    }

    private Load load(LoadSpec load, Terms terms) {
        if (load.swr() != null) {
            return new Load.SwrAtAntenna(load.swr(), optional(load.referenceOhm()));
        }
        if (load.swrAtRadio() != null) {
            Optional<Run> through = Optional.ofNullable(load.through()).map(t -> run(t, terms));
            return new Load.SwrAtRadio(load.swrAtRadio(), optional(load.referenceOhm()), through);
        }
        return new Load.Impedance(load.resistanceOhm(), load.reactanceOhm());
    }

    private Element element(RunElement element, Terms terms) {
        if (element instanceof RunElement.Line line) {
            return new Element.Line(cable(line, terms.isWet()), line.lengthM());
        }
        if (element instanceof RunElement.Joint joint) {
            return joint(joint, terms.flatJointLossDb());
        }
        if (element instanceof RunElement.Device device) {
            return device(device);
        }
        if (element instanceof RunElement.Preamplifier p) {
            return new Element.Preamplifier(
                    p.gainDb(),
                    requireNonNullElse(p.noiseFigureDb(), RunElement.Preamplifier.USUAL_NOISE_FIGURE_DB),
                    requireNonNullElse(p.bypassLossDb(), 0.0),
                    optional(p.largestInputDbm()));
        }
        if (element instanceof RunElement.Fork fork) {
            return fork(fork);
        }
        var transformer = (RunElement.Transformer) element;
        return new Element.Transformer(transformer.impedanceRatio(), flat(transformer.lossDb()));
    }

    private static Element device(RunElement.Device device) {
        if (device.twoPort() != null) {
            return new Element.Measured(ScatteringMapper.table(device.twoPort()));
        }
        InsertionLoss loss = loss(device.lossDb(), device.lossByFrequency());
        return new Element.Pad(
                device.form() == RunElement.DeviceForm.SPLITTER
                        ? new InsertionLoss.Split(requireNonNullElse(device.ways(), FEWEST_WAYS), loss)
                        : loss,
                optional(device.impedanceOhm()));
    }

    private static Element fork(RunElement.Fork fork) {
        return new Element.Fork(fork.ports().stream()
                .collect(Collectors.toMap(
                        RunElement.PortSpec::branch,
                        port -> new Element.Pad(port(fork, port), optional(fork.impedanceOhm())))));
    }

    private static InsertionLoss port(RunElement.Fork fork, RunElement.PortSpec port) {
        InsertionLoss loss = loss(port.lossDb(), port.lossByFrequency());
        return fork.form() == RunElement.ForkForm.SPLITTER
                ? new InsertionLoss.Split(fork.ports().size(), loss)
                : loss;
    }

    private static InsertionLoss loss(Double lossDb, List<LossPointSpec> byFrequency) {
        return byFrequency == null || byFrequency.isEmpty()
                ? flat(lossDb)
                : new InsertionLoss.Table(byFrequency.stream()
                        .map(p -> new InsertionLoss.Table.Point(p.frequencyMHz(), p.lossDb()))
                        .toList());
    }

    /**
     * The schools of joint loss: a figure of its own, a flat one for every joint, or what is typical of the connector. They say
     * what becomes heat; what a connector reflects is its own, whatever the school.
     */
    private Element joint(RunElement.Joint joint, Double flatJointLossDb) {
        Optional<Bump> own = Optional.ofNullable(joint.bump()).map(b -> new Bump(b.impedanceOhm(), b.lengthMm()));
        if (joint.connectorKey() == null) {
            return new Element.Pad(flat(joint.lossDb()), optional(joint.impedanceOhm()), own);
        }
        Connector c = catalogue.connector(joint.connectorKey()).orElseThrow();
        Double stated = or(joint.lossDb(), flatJointLossDb);
        return new Element.Pad(
                stated == null ? c.loss() : flat(stated),
                optional(or(joint.impedanceOhm(), c.impedanceOhm())),
                own.or(c::bump));
    }

    private Cable cable(RunElement.Line line, boolean isWet) {
        return line.cable() == null ? line.typeIn(catalogue).orElseThrow().cableOn(isWet) : cable(line.cable());
    }

    public static Cable cable(CableSpec written) {
        var attenuation = written.attenuation();
        return attenuation.points() == null
                ? Cable.ofCoefficients(
                        written.impedanceOhm(),
                        written.velocityFactor(),
                        new Attenuation(attenuation.k1(), attenuation.k2()))
                : Cable.ofSheet(written.impedanceOhm(), written.velocityFactor(), points(attenuation.points()));
    }

    public static List<AttenuationPoint> points(List<CableSpec.PointRequest> points) {
        return points.stream()
                .map(p -> new AttenuationPoint(p.frequencyMHz(), p.attenuationDbPer100m()))
                .toList();
    }

    private static InsertionLoss flat(Double lossDb) {
        return new InsertionLoss.Flat(requireNonNullElse(lossDb, 0.0));
    }

    private static <T> T or(T own, T otherwise) {
        return own == null ? otherwise : own;
    }

    private static OptionalDouble optional(Double value) {
        return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
    }
}
