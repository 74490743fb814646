/**
 * The library of the operator's own devices: what stands in runs again and again, with what it loses and bears. What is put into a
 * plan is a copy, so that a plan says all of itself.
 */
@NullMarked
package org.eskiz.server.device;

import org.jspecify.annotations.NullMarked;
