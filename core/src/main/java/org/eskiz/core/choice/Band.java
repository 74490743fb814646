package org.eskiz.core.choice;

import java.util.Optional;
import java.util.OptionalDouble;
import org.eskiz.core.receive.Receiver;
import org.eskiz.core.run.Conditions;
import org.eskiz.core.run.Load;
import org.eskiz.core.run.MatchingUnit;
import org.eskiz.core.run.Radio;

/**
 * One band of a plan.
 *
 * @param radio what feeds the run there
 * @param conditions frequency and temperature
 * @param load what is known of the antenna there
 * @param duty average over peak power while transmitting, 0 to 1
 * @param unit what is known of the matching unit, of no matter where there is none
 * @param antennaGainDbi empty where nobody has said
 * @param listening what listens there, and to how much noise; empty where nothing is known of the noise
 */
public record Band(
        Radio radio,
        Conditions conditions,
        Load load,
        double duty,
        MatchingUnit unit,
        OptionalDouble antennaGainDbi,
        Optional<Listening> listening) {

    /** A band on which nobody has said more than what is needed to assess it. */
    public Band(Radio radio, Conditions conditions, Load load) {
        this(radio, conditions, load, 1, MatchingUnit.UNSTATED, OptionalDouble.empty(), Optional.empty());
    }

    Band with(Radio other) {
        return new Band(other, conditions, load, duty, unit, antennaGainDbi, listening);
    }

    /**
     * A receiver in its noise.
     *
     * @param externalFactor noise factor of what comes in from outside, f_a
     */
    public record Listening(Receiver receiver, double externalFactor) {

        /** What a loss of run and matching unit costs in signal over noise, dB. */
        public double penaltyDb(double throughLossDb) {
            return receiver.penaltyDb(externalFactor, throughLossDb);
        }
    }
}
