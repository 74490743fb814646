/** Backups that were made by earlier versions; those of today are PostgreSQL's own, and read by its own programs. */
package org.eskiz.server.backup;
