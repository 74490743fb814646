/**
 * How requests are read and errors are told, the same for every feature.
 *
 * <p>Reading is strict, because a number that was silently understood otherwise becomes a cable that was silently bought
 * too thin: no unknown or duplicate fields, no {@code "100"} for 100, finite numbers only. Every error is a
 * {@code application/problem+json} whose detail is a plain sentence with the offending value; where fields are at fault,
 * all of them are listed at once. 400 is for what cannot be read, 422 for what was read and cannot be.
 */
package org.eskiz.server.problem;
