/**
 * Runs made of what one has: kits of owned pieces, sets of lengths that serve several sites, and cuts from reels.
 *
 * <p>Lengths are in m, losses in dB into matched ends, masses in kg. Losses are those on the highest band of a plan: the loss
 * of every cable and of every mated pair grows with frequency, so the highest band is the one that loses most, and the one
 * that decides. What a kit does to a mismatched load on every band is for {@link org.eskiz.core.run} to say.
 *
 * <p>Every search is bounded in steps, not in seconds, so that it answers the same on every machine; it answers the best that
 * it found until then, and says whether that is proven to be the best. Searches are exact branch and bound: nothing is left out but what a bound
 * shows to be no better.
 */
@NullMarked
package org.eskiz.core.kit;

import org.jspecify.annotations.NullMarked;
