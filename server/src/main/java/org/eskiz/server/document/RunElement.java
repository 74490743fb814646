package org.eskiz.server.document;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import io.swagger.v3.oas.annotations.media.DiscriminatorMapping;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.eskiz.server.catalogue.CableType;
import org.eskiz.server.catalogue.Catalogue;
import org.eskiz.server.catalogue.PieceLookup.FoundPiece;
import org.eskiz.server.problem.PlainText;
import org.eskiz.server.problem.Within;

/** One thing in the run, told apart by its {@code kind}. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
@JsonSubTypes({
    @JsonSubTypes.Type(value = RunElement.Line.class, name = "LINE"),
    @JsonSubTypes.Type(value = RunElement.Joint.class, name = "JOINT"),
    @JsonSubTypes.Type(value = RunElement.Device.class, name = "DEVICE"),
    @JsonSubTypes.Type(value = RunElement.Transformer.class, name = "TRANSFORMER"),
    @JsonSubTypes.Type(value = RunElement.Preamplifier.class, name = "PREAMPLIFIER"),
    @JsonSubTypes.Type(value = RunElement.Fork.class, name = "FORK")
})
@Schema(
        discriminatorProperty = "kind",
        discriminatorMapping = {
            @DiscriminatorMapping(value = "LINE", schema = RunElement.Line.class),
            @DiscriminatorMapping(value = "JOINT", schema = RunElement.Joint.class),
            @DiscriminatorMapping(value = "DEVICE", schema = RunElement.Device.class),
            @DiscriminatorMapping(value = "TRANSFORMER", schema = RunElement.Transformer.class),
            @DiscriminatorMapping(value = "PREAMPLIFIER", schema = RunElement.Preamplifier.class),
            @DiscriminatorMapping(value = "FORK", schema = RunElement.Fork.class)
        })
public sealed interface RunElement {

    /** Echoed in the answer; null for none. */
    String id();

    /** What the operator calls it; null for none. */
    String name();

    /** Whether the operator has it already, so that nothing of it is bought; null for no. */
    Boolean owned();

    /** What it costs as one piece; null where not known, and for what is priced by the metre or as a connector. */
    MoneySpec price();

    /** The branch of a forking run in which it stands; null for what is common to all. */
    String branch();

    /** Whether nothing of it is bought: it is there, or it is a piece of the locker. */
    default boolean isOwned() {
        return Boolean.TRUE.equals(owned());
    }

    /** Whether it is a balanced line; a cable written out is coaxial. */
    default boolean isBalancedIn(Catalogue catalogue) {
        return false;
    }

    /**
     * A length of cable: a key of the catalogue, a piece of the locker, or a cable written out.
     *
     * @param pieceId a piece that the operator owns; what was measured of it stands in place of its type
     * @param lengthM of a piece, what it was when it was put in
     * @param candidate whether a comparison may replace it
     */
    record Line(
            @PlainText(max = 64) String id,
            @PlainText(max = 120) String name,
            @PlainText(max = 64) String cableKey,
            UUID pieceId,
            @Valid CableSpec cable,

            @Within(what = Ranges.LENGTH, min = 0, max = 10_000)
            Double lengthM,

            Boolean candidate,
            Boolean owned,
            @Valid MoneySpec price,
            @PlainText(max = 64) String branch)
            implements RunElement {

        @Override
        public boolean isOwned() {
            return pieceId != null || Boolean.TRUE.equals(owned);
        }

        /** The same, left to the ledger. */
        public Line upForChoice() {
            return new Line(id, name, cableKey, pieceId, cable, lengthM, true, owned, price, branch);
        }

        /** The same place and length with another cable in it, of which nothing is owned yet. */
        public Line with(String otherName, String otherKey, UUID otherPiece, CableSpec otherCable) {
            return new Line(id, otherName, otherKey, otherPiece, otherCable, lengthM, candidate, null, null, branch);
        }

        /** What the catalogue or the locker says of it; empty for a cable written out, or where neither knows it. */
        public Optional<CableType> typeIn(Catalogue catalogue) {
            return pieceId == null
                    ? Optional.ofNullable(cableKey).flatMap(catalogue::cableType)
                    : catalogue.piece(pieceId).map(FoundPiece::cable);
        }

        @Override
        public boolean isBalancedIn(Catalogue catalogue) {
            return typeIn(catalogue)
                    .map(t -> t.facts().construction().balanced())
                    .orElse(false);
        }
    }

    /**
     * One mated pair of connectors: a key of the catalogue, a loss of its own, or both.
     *
     * @param lossDb of its own: heat, in place of what is typical of the connector
     * @param impedanceOhm of its own, in place of the connector's or of the line it stands in
     * @param bump where it is not of constant impedance, in place of the connector's
     * @param barrel whether it is a barrel that joins two plugs; null for no. Its price is that of the barrel
     */
    record Joint(
            @PlainText(max = 64) String id,
            @PlainText(max = 120) String name,
            @PlainText(max = 64) String connectorKey,
            @Within(what = Ranges.LOSS, min = 0, max = 60) Double lossDb,

            @Within(what = Ranges.IMPEDANCE, min = 1, max = 2000)
            Double impedanceOhm,

            @Valid BumpSpec bump,
            Boolean barrel,
            Boolean owned,
            @Valid MoneySpec price,
            @PlainText(max = 64) String branch)
            implements RunElement {

        /** A mated pair as it is typical of its connector, in a branch or in none. */
        public static Joint of(String connectorKey, String branch) {
            return new Joint(null, null, connectorKey, null, null, null, null, null, null, branch);
        }
    }

    /**
     * Anything else that loses a stated amount: an arrestor, a switch, a filter, one port of a splitter.
     *
     * @param form what it is; null for anything else
     * @param lossDb at every frequency; of a splitter what it loses beyond the split
     * @param lossByFrequency the same as a table, in place of {@code lossDb}
     * @param twoPort as it was measured, reflection and all, in place of both
     * @param ways of a splitter: how many ports share the power
     * @param averagePowerW that it bears; null where nobody has said, here and below
     * @param peakVoltageV likewise
     */
    record Device(
            @PlainText(max = 64) String id,
            @PlainText(max = 120) String name,
            DeviceForm form,
            @Within(what = Ranges.LOSS, min = 0, max = 60) Double lossDb,

            @Size(max = LossPointSpec.MOST, message = "must be at most {max} points")
            List<@Valid @NotNull(message = "must be a point, not null") LossPointSpec> lossByFrequency,

            @Valid TwoPortSpec twoPort,

            @Within(what = "number of ways", min = 2, max = 64)
            Integer ways,

            @Within(what = Ranges.IMPEDANCE, min = 1, max = 2000)
            Double impedanceOhm,

            @Within(what = Ranges.AVERAGE_POWER, min = 1e-3, max = 1e7)
            Double averagePowerW,

            @Within(what = Ranges.PEAK_VOLTAGE, min = 1, max = 1e6)
            Double peakVoltageV,

            Boolean owned,
            @Valid MoneySpec price,
            @PlainText(max = 64) String branch)
            implements RunElement {}

    /**
     * An amplifier for what is received; what is sent goes round it.
     *
     * @param noiseFigureDb default 1
     * @param bypassLossDb on transmit, default 0
     * @param largestInputDbm that it bears without distortion; null where nobody has said
     */
    record Preamplifier(
            @PlainText(max = 64) String id,
            @PlainText(max = 120) String name,

            @Within(what = "gain in dB", min = 0, max = 60) Double gainDb,

            @Within(what = "noise figure in dB", min = 0, max = 40)
            Double noiseFigureDb,

            @Within(what = Ranges.LOSS, min = 0, max = 60) Double bypassLossDb,

            @Within(what = "largest input in dBm", min = -100, max = 60)
            Double largestInputDbm,

            Boolean owned,
            @Valid MoneySpec price,
            @PlainText(max = 64) String branch)
            implements RunElement {

        static final double USUAL_NOISE_FIGURE_DB = 1;
    }

    /**
     * Where the run forks: each of its ports leads to a branch, and does not hear the others. With branches before it as well as
     * behind another, it joins two radios on one line.
     *
     * @param form a diplexer by default
     * @param toward on which side of it the branches are; null for where they stand, or toward the antennas
     * @param impedanceOhm of its ports; default the one it stands in
     * @param averagePowerW through any of its ports
     */
    record Fork(
            @PlainText(max = 64) String id,
            @PlainText(max = 120) String name,
            ForkForm form,
            Toward toward,

            @Size(min = 2, max = 8, message = "must be {min} to {max} ports")
            List<@Valid @NotNull(message = "must be a port, not null") PortSpec> ports,

            @Within(what = Ranges.IMPEDANCE, min = 1, max = 2000)
            Double impedanceOhm,

            @Within(what = Ranges.AVERAGE_POWER, min = 1e-3, max = 1e7)
            Double averagePowerW,

            @Within(what = Ranges.PEAK_VOLTAGE, min = 1, max = 1e6)
            Double peakVoltageV,

            Boolean owned,
            @Valid MoneySpec price)
            implements RunElement {

        /** A fork is common to all of its branches. */
        @Override
        public String branch() {
            return null;
        }
    }

    /** What a device is. */
    enum DeviceForm {
        ARRESTOR,
        ATTENUATOR,
        BIAS_TEE,
        DIPLEXER_PORT,
        FILTER,
        SPLITTER,
        SWITCH
    }

    /** On which side of a fork its branches are: several antennas behind it, or several radios before it. */
    enum Toward {
        RADIOS,
        ANTENNAS
    }

    /** How a fork shares the power out: by frequency, or in equal parts. */
    enum ForkForm {
        DIPLEXER,
        SPLITTER
    }

    /**
     * A port of a fork.
     *
     * @param branch that begins there
     * @param name what the operator calls it; null for none
     * @param lossDb of a diplexer to this port, of a splitter beyond the split; default 0
     * @param lossByFrequency the same as a table, in place of it
     */
    record PortSpec(
            @NotNull(message = "must be given") @PlainText(max = 64)
            String branch,

            @PlainText(max = 120) String name,
            @Within(what = Ranges.LOSS, min = 0, max = 60) Double lossDb,

            @Size(max = LossPointSpec.MOST, message = "must be at most {max} points")
            List<@Valid @NotNull(message = "must be a point, not null") LossPointSpec> lossByFrequency) {}

    /** A transformer; its ratio is antenna side over radio side. */
    record Transformer(
            @PlainText(max = 64) String id,
            @PlainText(max = 120) String name,

            @Within(what = "impedance ratio", min = 1e-3, max = 1e3)
            Double impedanceRatio,

            @Within(what = Ranges.LOSS, min = 0, max = 60) Double lossDb,

            @Within(what = Ranges.AVERAGE_POWER, min = 1e-3, max = 1e7)
            Double averagePowerW,

            @Within(what = Ranges.PEAK_VOLTAGE, min = 1, max = 1e6)
            Double peakVoltageV,

            Boolean owned,
            @Valid MoneySpec price,
            @PlainText(max = 64) String branch)
            implements RunElement {}
}
