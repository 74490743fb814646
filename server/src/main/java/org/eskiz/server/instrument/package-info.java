/**
 * Instruments at the other end of a socket that speak SCPI. Every question opens a connection of its own and closes it, so
 * that the server keeps no state: what runs, runs in the instrument, and is asked after. All of it is bounded in time and in
 * size, and what is measured is kept as raw data before anything else is made of it.
 */
package org.eskiz.server.instrument;
