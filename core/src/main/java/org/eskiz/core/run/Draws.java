package org.eskiz.core.run;

/**
 * How runs that are alike on paper differ when they are built: one deviation of everything in each draw.
 *
 * @param count of the draws
 * @param loss of each element, as a factor of what is said of it; its draws stand in a row
 * @param length of each element likewise; of no matter but to lines
 * @param warmerC than it is said to be, °C
 */
public record Draws(int count, double[][] loss, double[][] length, double[] warmerC) {}
