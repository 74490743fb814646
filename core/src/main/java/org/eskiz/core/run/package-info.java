/**
 * A run from the radio to the antenna, solved as one chain of two-ports.
 *
 * <p>Conventions: elements stand in order from the radio to the antenna; a two-port is its ABCD matrix with the radio
 * side first; V and I are r.m.s. phasors, I flowing toward the antenna; the real power at a boundary is Re(V·I*). An
 * assessment starts from the load and goes back to the radio, because only the load fixes the ratio of V and I.
 *
 * <p>An SWR tells the size of a reflection and not its angle. Such a load is taken at 72 angles, every 5°, and figures
 * are means over them; the range between the best and the worst angle is kept beside the mean. Circles of the same
 * radius would be shorter to compute with, but only for one uniform line: a joint in the middle or a line of another
 * impedance moves the circle's centre.
 *
 * <p>Loss has four places that are never added up unseen: what each element would lose matched, what the standing wave
 * adds, what the matching unit takes, and what never left the radio (reflection and foldback).
 *
 * <p>Depends on {@link org.eskiz.core.cable} and {@link org.eskiz.core.unit}.
 */
@NullMarked
package org.eskiz.core.run;

import org.jspecify.annotations.NullMarked;
