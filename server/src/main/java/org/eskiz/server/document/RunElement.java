package org.eskiz.server.document;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import io.swagger.v3.oas.annotations.media.DiscriminatorMapping;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
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
    @JsonSubTypes.Type(value = RunElement.Transformer.class, name = "TRANSFORMER")
})
@Schema(
        discriminatorProperty = "kind",
        discriminatorMapping = {
            @DiscriminatorMapping(value = "LINE", schema = RunElement.Line.class),
            @DiscriminatorMapping(value = "JOINT", schema = RunElement.Joint.class),
            @DiscriminatorMapping(value = "DEVICE", schema = RunElement.Device.class),
            @DiscriminatorMapping(value = "TRANSFORMER", schema = RunElement.Transformer.class)
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
            @Valid MoneySpec price)
            implements RunElement {

        @Override
        public boolean isOwned() {
            return pieceId != null || Boolean.TRUE.equals(owned);
        }

        /** The same, left to the ledger. */
        public Line upForChoice() {
            return new Line(id, name, cableKey, pieceId, cable, lengthM, true, owned, price);
        }

        /** The same place and length with another cable in it, of which nothing is owned yet. */
        public Line with(String otherName, String otherKey, UUID otherPiece, CableSpec otherCable) {
            return new Line(id, otherName, otherKey, otherPiece, otherCable, lengthM, candidate, null, null);
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
            @Valid MoneySpec price)
            implements RunElement {

        /** A mated pair as it is typical of its connector. */
        public static Joint of(String connectorKey) {
            return new Joint(null, null, connectorKey, null, null, null, null, null, null);
        }
    }

    /**
     * Anything else that loses a stated amount: an arrestor, a switch, a filter.
     *
     * @param averagePowerW that it bears; null where nobody has said, here and below
     * @param peakVoltageV likewise
     */
    record Device(
            @PlainText(max = 64) String id,
            @PlainText(max = 120) String name,
            @Within(what = Ranges.LOSS, min = 0, max = 60) Double lossDb,

            @Within(what = Ranges.IMPEDANCE, min = 1, max = 2000)
            Double impedanceOhm,

            @Within(what = Ranges.AVERAGE_POWER, min = 1e-3, max = 1e7)
            Double averagePowerW,

            @Within(what = Ranges.PEAK_VOLTAGE, min = 1, max = 1e6)
            Double peakVoltageV,

            Boolean owned,
            @Valid MoneySpec price)
            implements RunElement {}

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
            @Valid MoneySpec price)
            implements RunElement {}
}
