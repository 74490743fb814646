/**
 * What a real cable measures: readings with their uncertainty, sweeps, the comparison with what its type promises, the likely
 * cause of a difference, and how a piece ages.
 *
 * <p>Conventions: a loss is positive in dB; frequencies are in MHz and rise along a sweep; scattering parameters are in one
 * real reference resistance. A one-port sweep looks into the near end; of a two-port sweep port 1 is the near end.
 *
 * <p>Three ways of measuring give the same thing in the end, a {@link org.eskiz.core.bench.LossPoint} for each frequency with
 * the interval it may lie in; {@link org.eskiz.core.bench.SheetDeviation} judges those and knows nothing of how they were
 * come by.
 *
 * <p>Depends on {@link org.eskiz.core.cable} and {@link org.eskiz.core.unit}.
 */
@NullMarked
package org.eskiz.core.bench;

import org.jspecify.annotations.NullMarked;
