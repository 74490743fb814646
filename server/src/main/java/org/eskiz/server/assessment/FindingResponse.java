package org.eskiz.server.assessment;

import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * Something an operator should know about a figure.
 *
 * @param code what it is; sentences for people are made from it in the front end
 * @param severity how much it matters
 * @param elementId element it concerns; null for none or for one without an id
 * @param bandId band it concerns; null likewise
 * @param values the numbers and names in it, in base units
 */
public record FindingResponse(
        String code,
        Severity severity,
        @Nullable String elementId,
        @Nullable String bandId,
        Map<String, Object> values) {

    public enum Severity {
        INFO,
        CAUTION
    }
}
