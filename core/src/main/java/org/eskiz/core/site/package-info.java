/**
 * Runs that belong together: what is bought and cut for all of them at once, what lies in one duct, and lines that are fed in
 * phase.
 *
 * <p>Lengths in m, money as plain numbers of one currency: who asks keeps currencies apart.
 *
 * <p>Depends on {@link org.eskiz.core.kit}, {@link org.eskiz.core.cable} and {@link org.eskiz.core.unit}.
 */
@NullMarked
package org.eskiz.core.site;

import org.jspecify.annotations.NullMarked;
