/**
 * What a cable and a connector do to power by themselves, matched: attenuation against frequency, fitted to data-sheet
 * points, and the insertion loss of a mated pair.
 *
 * <p>Frequencies are in MHz and attenuations in dB per 100 m because data sheets and operators speak so; the names say
 * it. Attenuation is held as two coefficients and never as a table: between two rows of a sheet the law of conductor
 * (square root) and dielectric (linear) loss is a better guess than a straight line, and two numbers can be compared,
 * scaled with temperature and carried in a file.
 *
 * <p>Depends on {@link org.eskiz.core.unit} only.
 */
@NullMarked
package org.eskiz.core.cable;

import org.jspecify.annotations.NullMarked;
