/**
 * Kits: pieces of the locker that go into one bag, and runs that can be made of what is owned.
 *
 * <p>A piece may belong to several kits; it is out with one at a time, like any piece. Pieces are read from the locker as {@link
 * org.eskiz.server.locker.PieceOfLocker}; the locker knows of kits only what they are called.
 */
package org.eskiz.server.locker.kit;
