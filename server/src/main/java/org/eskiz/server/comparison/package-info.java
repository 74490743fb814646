/**
 * Ledgers: the rows of a comparison, its mixes, curves, what would change it, and the run sheet of a row. Stores nothing.
 *
 * <p>A comparison walks straight: the controller, {@link org.eskiz.server.comparison.ComparisonService}, the document that is
 * checked and mapped, the core, and the response. Rules of the job are in the core; the mappers here only carry.
 */
package org.eskiz.server.comparison;
