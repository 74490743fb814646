/**
 * A plan's document, as it is stored, sent to be assessed, and exchanged in files: the run, what feeds it, the bands, what is
 * asked; checked whole, every error at once, and mapped to the core's values. Defaults of the interface are filled in by the
 * mapper and nowhere else.
 */
package org.eskiz.server.document;
