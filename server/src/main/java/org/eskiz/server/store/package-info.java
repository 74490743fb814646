/** How rows are written by several at once: created once, and changed over the version that was seen. */
package org.eskiz.server.store;
