/**
 * Open formats in and out. A reader names what it found, where, and what is allowed; nothing is half taken in.
 */
package org.eskiz.server.exchange;
