package org.eskiz.core.choice;

import java.util.OptionalDouble;
import org.eskiz.core.run.RunAssessment;

/**
 * What one band of a run comes to, seen in one way: at the mean, at the worst angle of the load, or at the unlucky end of a
 * tolerance.
 *
 * @param totalLossDb from the radio's power to the power at the antenna
 * @param throughLossDb of the run and the matching unit, as noise meets it: no reflection, no foldback; where something listens
 *     behind amplifiers, the loss before the bare receiver that would cost as much
 * @param margins how many times over the parts bear what they get; empty where they were not worked out
 */
record BandOutcome(Band band, double totalLossDb, double throughLossDb, Margins margins) {

    static BandOutcome atTheMean(Band band, RunAssessment a, Margins margins) {
        return new BandOutcome(
                band,
                a.totalLossDb(),
                band.listening().isEmpty()
                        ? a.throughLossDb()
                        : band.listening().get().receiver().equivalentLossDb(a),
                margins);
    }

    BandOutcome atTheWorstAngle(RunAssessment a) {
        return new BandOutcome(
                band,
                a.totalLossAtWorstAngleDb(),
                band.listening().isEmpty()
                        ? a.throughLossAtWorstAngleDb()
                        : band.listening().get().receiver().equivalentLossAtWorstAngleDb(a),
                margins);
    }

    double radioPowerW() {
        return band.radio()
                .powerW()
                .orElseThrow(() -> new IllegalArgumentException(
                        "least power cannot be asked of a receiver: ask for a percentage or for dB"));
    }

    OptionalDouble receivePenaltyDb() {
        return band.listening().isEmpty()
                ? OptionalDouble.empty()
                : OptionalDouble.of(band.listening().get().penaltyDb(throughLossDb));
    }
}
