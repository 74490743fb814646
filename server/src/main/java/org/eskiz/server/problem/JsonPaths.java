package org.eskiz.server.problem;

import java.util.regex.Pattern;
import tools.jackson.core.JacksonException;

/** Where in a request Jackson stumbled, and what it says, in the words of the interface. */
final class JsonPaths {

    private static final Pattern JAVA_TYPE = Pattern.compile("`?(?:java|org)\\.[\\w.]*[.$](\\w+)(?:\\[\\])?`?");

    private JsonPaths() {}

    /** {@code run[2].lengthM}; empty for the body as a whole. */
    static String of(JacksonException e) {
        StringBuilder path = new StringBuilder();
        for (JacksonException.Reference step : e.getPath()) {
            if (step.getPropertyName() == null) {
                path.append('[').append(step.getIndex()).append(']');
            } else {
                path.append(path.isEmpty() ? "" : ".").append(step.getPropertyName());
            }
        }
        return path.toString();
    }

    /** Jackson's sentence with class names cut down to their last part. */
    static String withoutJavaNames(String message) {
        return JAVA_TYPE.matcher(message).replaceAll("$1");
    }
}
