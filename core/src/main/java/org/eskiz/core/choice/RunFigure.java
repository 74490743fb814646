package org.eskiz.core.choice;

import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import org.eskiz.core.cable.Mechanics;

/** A figure of the run as a whole that the place or the purse can ask something of. */
public enum RunFigure {
    /** Cable and ends, in the currency of the budget. */
    COST(
            Limit.AT_MOST,
            SpareThreshold.RELATIVE,
            o -> o.costInBudget()
                    .map(c -> OptionalDouble.of(c.amount().doubleValue()))
                    .orElse(OptionalDouble.empty())),
    /** Mass of the cable, kg. */
    MASS(Limit.AT_MOST, SpareThreshold.RELATIVE, Quotation::massKg),
    /** Mass of the cable that hangs on the mast, kg. */
    MASS_ON_MAST(Limit.AT_MOST, SpareThreshold.RELATIVE, Quotation::massOnMastKg),
    /** Outer diameter, mm, against the bore of a duct. */
    DIAMETER(Limit.AT_MOST, SpareThreshold.RELATIVE, o -> o.largest(Mechanics::outerDiameterMm)),
    /** Smallest radius of a bend that stays, mm, against the tightest on the way. */
    BEND_ONCE(Limit.AT_MOST, SpareThreshold.RELATIVE, o -> o.largest(Mechanics::bendRadiusOnceMm)),
    /** Smallest radius of a bend made again and again, mm; in a mix that of the tail. */
    BEND_REPEATED(Limit.AT_MOST, SpareThreshold.RELATIVE, o -> o.ofTail(Mechanics::bendRadiusRepeatedMm)),
    /** Coldest at which it may be unrolled, °C. */
    COLDEST_UNROLLING(Limit.AT_MOST, SpareThreshold.NEVER, o -> o.largest(Mechanics::minInstallC)),
    /** A jacket that bears the sun: yes is 1, no is 0, here and below. */
    SUN(o -> o.all(Mechanics::sunResistant)),
    /** A jacket that bears standing in the wet. */
    WATER(o -> o.all(Mechanics::keepsWaterOut)),
    /** Fit to lie in the ground without a duct. */
    BURIAL(o -> o.all(Mechanics::directBurial)),
    /** Made to be moved again and again; in a mix the tail. */
    REPEATED_FLEXING(o -> Quotation.truth(o.tail().mechanics().flexesRepeatedly())),
    /** Of the impedance that stands there, and coaxial. */
    IMPEDANCE(o -> Quotation.truth(Optional.of(o.suitability() == Suitability.SUITED))),
    /** The connectors at its ends fit its diameter, and those of the run the sockets of radio and antenna. */
    CONNECTORS(o -> Quotation.truth(o.connectorsFit()));

    private final Limit limit;
    private final SpareThreshold littleSpare;
    private final Function<Quotation, OptionalDouble> figure;

    RunFigure(Limit limit, SpareThreshold littleSpare, Function<Quotation, OptionalDouble> figure) {
        this.limit = limit;
        this.littleSpare = littleSpare;
        this.figure = figure;
    }

    RunFigure(Function<Quotation, OptionalDouble> yesOrNo) {
        this(Limit.AT_LEAST, SpareThreshold.NEVER, yesOrNo);
    }

    Limit limit() {
        return limit;
    }

    SpareThreshold littleSpare() {
        return littleSpare;
    }

    /** Whether a longer run has more of it. */
    boolean growsWithLength() {
        return this == COST || this == MASS;
    }

    /** Whether the answer is yes or no. */
    public boolean isYesOrNo() {
        return limit == Limit.AT_LEAST;
    }

    /** What stands against what is asked; empty where it is not known. */
    OptionalDouble reached(Quotation offer) {
        return figure.apply(offer);
    }
}
