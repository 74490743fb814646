package org.eskiz.server.operator.signin;

/**
 * A link just made.
 *
 * @param url to be handed over; it is shown this once
 */
record LinkMadeResponse(String url) {}
