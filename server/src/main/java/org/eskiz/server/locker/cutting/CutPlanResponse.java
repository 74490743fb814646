package org.eskiz.server.locker.cutting;

import java.util.List;

/**
 * What to cut from which reel.
 *
 * @param uncut what no reel is long enough for, or had room for
 * @param proven whether nothing less is wasted by any other plan
 * @param neededM all cuts together, allowances included
 * @param boughtM what is bought anew
 * @param leftM what is left on the reels begun
 * @param longestRestM the longest single rest
 */
record CutPlanResponse(
        List<BegunReelResponse> reels,
        List<CutResponse> uncut,
        boolean proven,
        double neededM,
        double boughtM,
        double leftM,
        double longestRestM) {

    /** A reel that something is cut from. */
    record BegunReelResponse(String name, double lengthM, boolean bought, List<CutResponse> cuts, double leftM) {}

    /** A cut, allowances included. */
    record CutResponse(String name, double lengthM) {}
}
