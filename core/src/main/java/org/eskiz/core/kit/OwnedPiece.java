package org.eskiz.core.kit;

import java.util.OptionalDouble;
import org.eskiz.core.unit.Require;

/**
 * A piece of cable that lies in the locker.
 *
 * @param id how the caller knows it
 * @param lengthM above 0
 * @param lossDb of the piece without its joints, at least 0
 * @param massKg empty where not known
 * @param near one end
 * @param far the other; a piece may be laid either way round
 */
public record OwnedPiece(String id, double lengthM, double lossDb, OptionalDouble massKg, End near, End far) {

    public OwnedPiece {
        Require.positive("length in m", lengthM);
        Require.notNegative("loss in dB", lossDb);
        massKg.ifPresent(kg -> Require.notNegative("mass in kg", kg));
    }

    /** Whether it makes no difference which of the two is taken. */
    boolean isLike(OwnedPiece other) {
        return lengthM == other.lengthM
                && lossDb == other.lossDb
                && massKg.equals(other.massKg)
                && near.equals(other.near)
                && far.equals(other.far);
    }
}
