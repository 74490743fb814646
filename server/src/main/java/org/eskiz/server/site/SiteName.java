package org.eskiz.server.site;

import org.eskiz.server.problem.PlainText;
import org.eskiz.server.problem.ValidationErrors;

/** The name of a site as it stands in an address, where anything may be typed. */
public record SiteName(@PlainText(max = 120, blank = false) String site) {

    /** The same, once it is one that a plan could carry. */
    public static String checked(String site) {
        ValidationErrors.in(new SiteName(site)).throwIfAny();
        return site;
    }
}
