/**
 * Conversions that every other subject shares: decibels and physical constants.
 *
 * <p>Inside the core a number is in SI units unless its name says otherwise ({@code frequencyMHz}, {@code lossDb}). A
 * loss in dB is positive when power is lost. Nothing here depends on another package of the core.
 */
@NullMarked
package org.eskiz.core.unit;

import org.jspecify.annotations.NullMarked;
