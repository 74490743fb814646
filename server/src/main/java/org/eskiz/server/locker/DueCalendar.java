package org.eskiz.server.locker;

import biweekly.Biweekly;
import biweekly.ICalendar;
import biweekly.component.VEvent;
import biweekly.property.DateStart;
import java.time.Instant;
import java.time.ZoneId;
import java.util.Date;
import java.util.stream.Stream;
import org.eskiz.core.bench.TestAgain;

/** The days on which pieces are to be tested again, as iCalendar (RFC 5545). */
final class DueCalendar {

    private DueCalendar() {}

    /** One all-day event a piece that is in use. */
    static String write(Stream<PieceSummary> pieces, Instant now) {
        ICalendar calendar = new ICalendar();
        calendar.setProductId("-//Eskiz//Locker//EN");
        pieces.filter(p -> p.testAgain().testAgainOn() != null).forEach(p -> calendar.addEvent(event(p, now)));
        return Biweekly.write(calendar).go();
    }

    private static VEvent event(PieceSummary piece, Instant now) {
        VEvent event = new VEvent();
        // the same piece keeps its event, so that a calendar that is read again moves it
        event.setUid(piece.id() + "@eskiz");
        event.setDateTimeStamp(Date.from(now));
        event.setDateStart(new DateStart(
                Date.from(piece.testAgain()
                        .testAgainOn()
                        .atStartOfDay(ZoneId.systemDefault())
                        .toInstant()),
                false));
        event.setSummary("Test " + piece.label());
        event.setDescription(sentence(piece));
        return event;
    }

    private static String sentence(PieceSummary piece) {
        return sentence(piece.testAgain().testAgainWhy(), piece)
                + (piece.make().cableName() == null
                        ? ""
                        : " " + piece.make().cableName() + ", " + piece.make().lengthM() + " m.");
    }

    private static String sentence(TestAgain.Why why, PieceSummary piece) {
        return switch (why) {
            case NEVER_TESTED -> "Never tested.";
            case AGE -> "Last tested on " + piece.lastTestedOn() + ".";
            case OUTINGS -> "Many outings since its test of " + piece.lastTestedOn() + ".";
            case EXPOSURE -> "Wet, frozen or trodden on since its test of " + piece.lastTestedOn() + ".";
            case TREND -> "It gets worse; last tested on " + piece.lastTestedOn() + ".";
        };
    }
}
