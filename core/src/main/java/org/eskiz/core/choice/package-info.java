/**
 * Choosing a cable: candidates put into one run, judged on every band against what the operator asks, and ordered by
 * the operator's own school.
 *
 * <p>Candidates replace the run's chosen-cable sections (usually the one long piece); the rest of the run stays. Each
 * requirement is judged on the mean figure: {@link org.eskiz.core.choice.Verdict#FAIL} when it is missed, {@link
 * org.eskiz.core.choice.Verdict#MARGINAL} when it is met with little to spare, missed at the worst angle of the load, or
 * rests on an extrapolation, {@link org.eskiz.core.choice.Verdict#PASS} otherwise. Every reason carries its number, so
 * that a screen can say <em>9 W short of 70 W on 2 m</em> without computing anything.
 *
 * <p>An SWR read at the radio was read through the run that is up now: it is carried to the antenna once, through that
 * run, and every candidate is tried on the antenna found there. Money is decimal and never converted.
 *
 * <p>Depends on {@link org.eskiz.core.run} and what stands below it, and on {@link org.eskiz.core.receive} for what a band
 * loses of its signal over the noise.
 */
@NullMarked
package org.eskiz.core.choice;

import org.jspecify.annotations.NullMarked;
