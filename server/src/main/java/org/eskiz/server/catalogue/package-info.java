/**
 * Cable types and connectors: what is known of each, where it comes from, and every revision of it.
 *
 * <p>A type is known by a key that never changes; what it is taken to be is an immutable revision, so that a decision of
 * last year can still show the figures it rested on. Built-in types come with the application as plain CSV and are
 * appended as new revisions when those files change. Figures are typical values and prices are samples; they say so.
 *
 * <p>The attenuation law of a revision is fitted by the core when it is first asked for, and kept by the revision's id:
 * a revision cannot change, so neither can its fit.
 */
package org.eskiz.server.catalogue;
