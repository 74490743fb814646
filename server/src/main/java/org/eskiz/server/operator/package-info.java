/**
 * Who works here. There is one operator until sign-in exists; everything that is made carries their id all the same, so
 * that nothing has to be guessed later about whose it was.
 */
package org.eskiz.server.operator;
