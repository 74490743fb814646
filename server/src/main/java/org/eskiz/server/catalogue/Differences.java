package org.eskiz.server.catalogue;

import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;

/** In what two revisions say something else; whether a price is a sample is no difference to an operator. */
final class Differences {

    private Differences() {}

    /** Names of the fields, those within a part behind a point: {@code mechanics.jacket}. */
    static List<String> between(Record a, Record b) {
        return between("", a.getClass(), a, b);
    }

    private static List<String> between(String prefix, Class<?> type, Object a, Object b) {
        List<String> names = new ArrayList<>();
        for (RecordComponent part : type.getRecordComponents()) {
            Object x = value(part, a);
            Object y = value(part, b);
            String name = prefix + part.getName();
            if (part.getType().isRecord() && x != null && y != null) {
                names.addAll(between(name + ".", part.getType(), x, y));
            } else if (!Objects.equals(x, y) && !name.equals("price.sample")) {
                names.add(name);
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
