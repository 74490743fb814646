package org.eskiz.server.plan.sharing;

/** @param url is told this once: what is in it is not kept */
record ShareMadeResponse(ShareResponse share, String url) {}
