package org.eskiz.server.locker;

/**
 * How the locker stands as a whole.
 *
 * @param pieces all that are in it, the retired ones too
 * @param failing those that do not do what they should any more
 * @param due those that should be tested
 * @param fine those that do what they should
 * @param retired those that are not used any more
 * @param out those that are out
 * @param longestM length of the longest; 0 for an empty locker
 */
record LockerOverviewResponse(
        long pieces, long failing, long due, long fine, long retired, long out, double longestM) {}
