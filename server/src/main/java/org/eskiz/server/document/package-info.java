/**
 * A plan's document, as it is stored, sent to be assessed, and exchanged in files: the run, what feeds it, the bands, what is
 * asked; checked whole, every error at once, and mapped to the core's values. What a request leaves open is filled in on that
 * way, by the mappers here and in a comparison: a stored plan keeps what was said, and the core knows no defaults.
 */
package org.eskiz.server.document;
