/**
 * The bench: tests of real cables. What was read is stored as it was typed, with what it came to on that day; a test is never
 * altered, only corrected by a new revision. Everything that is computed comes from the core's {@code bench}.
 */
package org.eskiz.server.bench;
