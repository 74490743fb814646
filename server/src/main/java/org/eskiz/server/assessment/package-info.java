/**
 * Assessing a run, fitting a data sheet and comparing cables, without storing anything.
 *
 * <p>Requests are records of the wire; they are checked whole, every fault at once, and then read into the core's types.
 * Nothing is computed here: whatever is a figure comes from the core. A plan's document carries an assessment request
 * verbatim, so these request records are public.
 */
package org.eskiz.server.assessment;
