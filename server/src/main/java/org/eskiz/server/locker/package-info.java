/**
 * The locker: pieces of cable that the operator owns, where they have been, and how they age.
 *
 * <p>A piece is out in one place at a time, and never before it was bought. Every taking out and putting away is a
 * <em>movement</em> of one or many pieces under an id of the client's, so that it can be repeated without harm, amended and
 * taken back. What a piece loses is known by its newest test that counts; the locker gives it to runs in place of its type.
 * Everything that is computed comes from the core's {@code bench}.
 */
package org.eskiz.server.locker;
