package org.eskiz.core.kit;

import java.util.Map;
import java.util.Optional;
import org.eskiz.core.unit.Require;

/**
 * A run that pieces shall make.
 *
 * @param lengthM least length, above 0
 * @param preference what is wanted most
 * @param radio what the radio's side offers; empty where nobody said
 * @param antenna what the antenna's side offers; empty where nobody said
 * @param pairLossDb loss of one mated pair by kind of connector
 * @param mostPieces as many as anybody would join
 */
public record KitWanted(
        double lengthM,
        KitPreference preference,
        Optional<End> radio,
        Optional<End> antenna,
        Map<String, Double> pairLossDb,
        int mostPieces) {

    /** Longer chains are no run but a row of joints; and their order takes too long to prove. */
    public static final int USUAL_MOST_PIECES = 12;

    public KitWanted {
        Require.positive("length in m", lengthM);
        pairLossDb = Map.copyOf(pairLossDb);
        if (mostPieces < 1 || mostPieces > USUAL_MOST_PIECES) {
            throw new IllegalArgumentException("pieces must be 1 to " + USUAL_MOST_PIECES + ", not " + mostPieces);
        }
    }

    double lossDb(Coupling coupling) {
        return coupling.mated().stream().mapToDouble(this::pairLossDb).sum();
    }

    private double pairLossDb(String connector) {
        Double loss = pairLossDb.get(connector);
        if (loss == null) {
            throw new IllegalArgumentException("no loss is known of a pair of " + connector);
        }
        return loss;
    }
}
