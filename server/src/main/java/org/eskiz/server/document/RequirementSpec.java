package org.eskiz.server.document;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.Function;
import java.util.stream.Stream;
import org.eskiz.core.choice.BandFigure;
import org.eskiz.core.choice.Requirement;
import org.eskiz.core.choice.RunFigure;
import org.eskiz.server.problem.CurrencyCode;
import org.eskiz.server.problem.PlainText;
import org.eskiz.server.problem.Within;

/**
 * What is asked: one kind, and the number that belongs to it.
 *
 * @param bandId the only band it is asked of, by its id; null for every band
 * @param off whether it is put aside for now
 * @param powerW for {@code LEAST_POWER}
 * @param lossDb for {@code MOST_LOSS}: total loss
 * @param percent for {@code LEAST_PERCENT}: of the radio's power
 * @param sUnits for {@code MOST_S_UNITS}: below lossless, 6 dB each
 * @param penaltyDb for {@code MOST_RECEIVE_PENALTY}: in signal over noise
 * @param margin for {@code LEAST_POWER_MARGIN} and {@code LEAST_VOLTAGE_MARGIN}: rating over what it gets
 * @param cost for {@code BUDGET}: cable and ends of every run
 * @param currency of the cost; null for that of the prices
 * @param massKg for {@code MOST_MASS} and {@code MOST_MASS_ON_MAST}
 * @param mastM for {@code MOST_MASS_ON_MAST} besides: how much of the run hangs there, counted from the antenna
 * @param radioSocketKey for {@code CONNECTORS} besides: the connector that the radio takes; null where not said
 * @param antennaSocketKey the connector that the antenna takes
 * @param boreMm for {@code DUCT_BORE}
 * @param radiusMm for {@code BEND_ONCE} and {@code BEND_REPEATED}: the tightest bend on the way
 * @param temperatureC for {@code COLDEST_UNROLLING}
 */
public record RequirementSpec(
        @Schema(requiredMode = Schema.RequiredMode.REQUIRED) Kind kind,
        @PlainText(max = 64) String bandId,
        Boolean off,

        @Within(what = "least power in W", min = 1e-6, max = 1e5)
        Double powerW,

        @Within(what = "most loss in dB", min = 0, max = 300)
        Double lossDb,

        @Within(what = "least percent", min = 1e-6, max = 100)
        Double percent,

        @Within(what = "most S-units", min = 0, max = 50) Double sUnits,

        @Within(what = "most receive penalty in dB", min = 0, max = 300)
        Double penaltyDb,

        @Within(what = "least margin", min = 0.1, max = 1000)
        Double margin,

        @Within(what = "budget", min = 0, max = 1e9) Double cost,
        @CurrencyCode String currency,

        @Within(what = "most mass in kg", min = 1e-3, max = 1e5)
        Double massKg,

        @Within(what = "length on the mast in m", min = 0, max = 10_000)
        Double mastM,

        @PlainText(max = 64) String radioSocketKey,
        @PlainText(max = 64) String antennaSocketKey,

        @Within(what = "bore of the duct in mm", min = 0.1, max = 10_000)
        Double boreMm,

        @Within(what = "radius of the bend in mm", min = 0.1, max = 1e5)
        Double radiusMm,

        @Within(what = "coldest temperature in °C", min = -60, max = 120)
        Double temperatureC) {

    /** As many requirements as anybody reads. */
    public static final int MOST = 32;

    /** Whether it is asked now, or written down but switched off. */
    public boolean stands() {
        return !Boolean.TRUE.equals(off);
    }

    /** What the core makes of it. */
    public Requirement requirement(OptionalInt band) {
        double asked = kind.number == null ? kind.askedWithout : kind.number.value.apply(this);
        return kind.ofBand == null
                ? new Requirement.OfRun(kind.ofRun, asked)
                : new Requirement.OnBand(kind.ofBand, asked, band);
    }

    /** A field that holds the number of some kind. */
    public enum Number {
        POWER_W("powerW", RequirementSpec::powerW),
        LOSS_DB("lossDb", RequirementSpec::lossDb),
        PERCENT("percent", RequirementSpec::percent),
        S_UNITS("sUnits", RequirementSpec::sUnits),
        PENALTY_DB("penaltyDb", RequirementSpec::penaltyDb),
        MARGIN("margin", RequirementSpec::margin),
        COST("cost", RequirementSpec::cost),
        MASS_KG("massKg", RequirementSpec::massKg),
        BORE_MM("boreMm", RequirementSpec::boreMm),
        RADIUS_MM("radiusMm", RequirementSpec::radiusMm),
        TEMPERATURE_C("temperatureC", RequirementSpec::temperatureC);

        public final String field;
        public final Function<RequirementSpec, Double> value;

        Number(String field, Function<RequirementSpec, Double> value) {
            this.field = field;
            this.value = value;
        }
    }

    /** The terms in which something can be asked. */
    public enum Kind {
        LEAST_POWER(BandFigure.POWER, Number.POWER_W),
        MOST_LOSS(BandFigure.LOSS, Number.LOSS_DB),
        LEAST_PERCENT(BandFigure.PERCENT, Number.PERCENT),
        MOST_S_UNITS(BandFigure.S_UNITS, Number.S_UNITS),
        /** No more loss than the antenna's gain gives back. */
        WITHIN_GAIN(BandFigure.LOSS_OVER_GAIN, null),
        MOST_RECEIVE_PENALTY(BandFigure.RECEIVE_PENALTY, Number.PENALTY_DB),
        LEAST_POWER_MARGIN(BandFigure.POWER_MARGIN, Number.MARGIN),
        LEAST_VOLTAGE_MARGIN(BandFigure.VOLTAGE_MARGIN, Number.MARGIN),
        BUDGET(RunFigure.COST, Number.COST),
        MOST_MASS(RunFigure.MASS, Number.MASS_KG),
        MOST_MASS_ON_MAST(RunFigure.MASS_ON_MAST, Number.MASS_KG),
        DUCT_BORE(RunFigure.DIAMETER, Number.BORE_MM),
        BEND_ONCE(RunFigure.BEND_ONCE, Number.RADIUS_MM),
        BEND_REPEATED(RunFigure.BEND_REPEATED, Number.RADIUS_MM),
        COLDEST_UNROLLING(RunFigure.COLDEST_UNROLLING, Number.TEMPERATURE_C),
        SUN(RunFigure.SUN, null),
        WATER(RunFigure.WATER, null),
        BURIAL(RunFigure.BURIAL, null),
        REPEATED_FLEXING(RunFigure.REPEATED_FLEXING, null),
        IMPEDANCE(RunFigure.IMPEDANCE, null),
        CONNECTORS(RunFigure.CONNECTORS, null);

        public final BandFigure ofBand;
        public final RunFigure ofRun;
        public final Number number;
        /** What stands for a number where there is none: 0 dB over the gain, or a plain yes. */
        public final double askedWithout;

        Kind(BandFigure ofBand, Number number) {
            this.ofBand = ofBand;
            this.ofRun = null;
            this.number = number;
            this.askedWithout = 0;
        }

        Kind(RunFigure ofRun, Number number) {
            this.ofBand = null;
            this.ofRun = ofRun;
            this.number = number;
            this.askedWithout = 1;
        }

        /** Whether it speaks of what arrives on a band, not of the run as a whole. */
        public boolean isOfBands() {
            return ofBand != null;
        }

        /** Whether it makes sense of a transmitter only. */
        public boolean isOfWatts() {
            return ofBand == BandFigure.POWER
                    || ofBand == BandFigure.POWER_MARGIN
                    || ofBand == BandFigure.VOLTAGE_MARGIN;
        }

        /** Whether it asks how much the run bears. */
        public boolean isMargin() {
            return ofBand != null && ofBand.isMargin();
        }

        /** Whether the answer is yes or no. */
        public boolean isYesOrNo() {
            return ofRun != null && ofRun.isYesOrNo();
        }
    }

    /** The fields that hold a number. */
    public Stream<String> numbersGiven() {
        return Stream.of(Number.values())
                .filter(n -> Optional.ofNullable(n.value.apply(this)).isPresent())
                .map(n -> n.field);
    }
}
