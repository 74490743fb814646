/**
 * How near to an antenna the power density still exceeds a limit: a caution with its assumptions, never a verdict. Local
 * rules and a qualified person decide.
 */
@NullMarked
package org.eskiz.core.exposure;

import org.jspecify.annotations.NullMarked;
