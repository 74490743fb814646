package org.eskiz.server.problem;

import java.time.DateTimeException;
import java.time.LocalDate;

/** Days that somebody can mean. Years of nine digits can be written, and not be stored. */
public final class Days {

    static final LocalDate FIRST = LocalDate.of(1900, 1, 1);
    static final LocalDate LAST = LocalDate.of(2199, 12, 31);

    private Days() {}

    /**
     * A day, when it is a usual one.
     *
     * @throws DateTimeException when it is not
     */
    public static LocalDate requireUsual(LocalDate day) {
        if (day.isBefore(FIRST) || day.isAfter(LAST)) {
            throw new DateTimeException("must be from %s to %s, not %s".formatted(FIRST, LAST, day));
        }
        return day;
    }
}
