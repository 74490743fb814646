package org.eskiz.server.locker;

import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;
import org.eskiz.core.kit.End;
import org.eskiz.server.catalogue.CableType;
import org.eskiz.server.locker.PieceSummary.PieceCondition;

/**
 * A piece, for what is made of pieces.
 *
 * @param near empty where nobody said what it ends in
 * @param far likewise
 * @param retiredOn empty while it is used
 * @param outSince empty while it is in
 * @param condition how it stands today
 * @param massKg empty where its type does not say
 * @param cable what it is, as it was measured or else by its type; empty where neither is known
 */
public record PieceOfLocker(
        UUID id,
        String label,
        double lengthM,
        Optional<End> near,
        Optional<End> far,
        Optional<LocalDate> retiredOn,
        Optional<LocalDate> outSince,
        PieceCondition condition,
        Optional<Double> massKg,
        Optional<CableType> cable) {}
