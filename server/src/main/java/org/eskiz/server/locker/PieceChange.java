package org.eskiz.server.locker;

/** What is done to a piece, other than taking it out. */
public enum PieceChange {
    /** Mended without becoming shorter. */
    REPAIR,
    /** An end was cut off and a new one fitted: the piece is shorter. */
    NEW_END,
    /** It is not used any more. */
    RETIRED,
    /** It is used again. */
    BACK_IN_SERVICE
}
