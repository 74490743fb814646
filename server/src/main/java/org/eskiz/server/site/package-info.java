/**
 * What belongs to a place: all of its runs on one sheet, what is bought and cut for all of them, what lies in its ducts, and what
 * is fed in phase.
 *
 * <p>A site is a name that plans carry. What is kept beside it is a document of its own; a site of which nobody has said anything
 * has an empty one.
 */
@NullMarked
package org.eskiz.server.site;

import org.jspecify.annotations.NullMarked;
