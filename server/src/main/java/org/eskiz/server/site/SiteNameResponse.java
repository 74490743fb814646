package org.eskiz.server.site;

/** A site in the list of them, with how many plans carry its name. */
record SiteNameResponse(String name, long plans) {}
