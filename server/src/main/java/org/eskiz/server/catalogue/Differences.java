package org.eskiz.server.catalogue;

import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;

/**
 * In what two revisions say something else, by the names that the fields have on the wire, where groups are flat; whether a
 * price is a sample is no difference to an operator.
 */
final class Differences {

    private Differences() {}

    static List<String> between(Record a, Record b) {
        return between(a.getClass(), a, b);
    }

    private static List<String> between(Class<?> type, Object a, Object b) {
        List<String> names = new ArrayList<>();
        for (RecordComponent part : type.getRecordComponents()) {
            Object x = value(part, a);
            Object y = value(part, b);
            if (part.getType().isRecord() && x != null && y != null) {
                names.addAll(between(part.getType(), x, y));
            } else if (!Objects.equals(x, y) && !part.getName().equals("priceIsSample")) {
                names.add(part.getName());
            }
        }
        return names;
    }

    private static Object value(RecordComponent part, Object of) {
        try {
            return part.getAccessor().invoke(of);
        } catch (IllegalAccessException | InvocationTargetException e) {
            throw new IllegalStateException(e);
        }
    }
}
