/**
 * What a cable costs on receive: signal and outside noise are weakened alike, the receiver's own noise and the cable's are
 * not.
 *
 * <p>Noise is counted as a factor of what a matched resistor at 290 K gives. Outside noise is man-made and galactic, after
 * ITU-R P.372; atmospheric noise is left out, so low bands are if anything noisier than here.
 */
@NullMarked
package org.eskiz.core.receive;

import org.jspecify.annotations.NullMarked;
