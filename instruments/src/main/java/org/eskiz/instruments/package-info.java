/**
 * Stand-ins for instruments that an operator may not have: a network analyser, and a wattmeter with a dummy load and a keyed
 * radio. Each is a program of its own; it speaks SCPI (1999) with the common commands of IEEE 488.2 over a socket, commands and
 * answers as lines of ASCII, data as definite-length blocks. Commands under {@code SIMulate} are those of a stand-in: which
 * piece of the shelf is connected, and which fault is asked for.
 *
 * <p>The physics here is written on its own, not taken from the core, so that a mistake in one is seen by the other.
 */
package org.eskiz.instruments;
