/**
 * Plans, their history, and the choices made in them.
 *
 * <p>A plan is a few columns and a document. The document is the operator's own writing: it is checked strictly, stored
 * as it came, and nothing queries inside it; what it refers to is derived at every save. The client makes a plan's id, so
 * that a create repeated after a lost answer does no harm. A save names the version it started from; when that is not the
 * newest any more it is refused together with the current state, and nothing is overwritten silently.
 *
 * <p>Every save is kept as a revision, and a decision is kept with the figures of its day, the version of the core that
 * computed them and the revisions of the cables. Both are only ever added to: a decision is withdrawn, not removed.
 */
package org.eskiz.server.plan;
