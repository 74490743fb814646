/**
 * Lengths: which few of them would serve several sites, and what to cut from which reel with least waste. Nothing is stored;
 * all that is computed comes from the core's {@code kit}.
 */
package org.eskiz.server.locker.cutting;
