package org.eskiz.server.locker.kit;

import java.util.OptionalDouble;
import org.eskiz.core.kit.OwnedPiece;
import org.eskiz.server.catalogue.CableType;
import org.eskiz.server.locker.PieceOfLocker;

/** Pieces as the core counts them in kits. */
final class PieceInKit {

    private PieceInKit() {}

    /**
     * One whose ends are known.
     *
     * @param cable what it is
     */
    static OwnedPiece of(PieceOfLocker piece, CableType cable, double frequencyMHz, double ambientC) {
        return new OwnedPiece(
                piece.id().toString(),
                piece.lengthM(),
                cable.fittedCable().attenuation().dbPer100m(frequencyMHz, ambientC) * piece.lengthM() / 100,
                piece.massKg().map(OptionalDouble::of).orElse(OptionalDouble.empty()),
                piece.near().orElseThrow(),
                piece.far().orElseThrow());
    }

    static boolean areEndsKnown(PieceOfLocker piece) {
        return piece.near().isPresent() && piece.far().isPresent();
    }
}
