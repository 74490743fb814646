package org.eskiz.server.locker;

import static org.assertj.core.api.Assertions.assertThat;

import biweekly.Biweekly;
import biweekly.ICalendar;
import biweekly.component.VEvent;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.TimeZone;
import java.util.UUID;
import java.util.stream.Stream;
import org.eskiz.core.bench.TestAgain;
import org.eskiz.server.locker.PieceSummary.AgeingResponse;
import org.eskiz.server.locker.PieceSummary.KeepingResponse;
import org.eskiz.server.locker.PieceSummary.MakeResponse;
import org.eskiz.server.locker.PieceSummary.PieceCondition;
import org.eskiz.server.locker.PieceSummary.TestAgainResponse;
import org.eskiz.server.locker.PieceSummary.WearResponse;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

class DueCalendarTest {

    private static final UUID ID = UUID.fromString("00000000-0000-4000-8000-0000000000aa");
    private static final LocalDate DUE = LocalDate.of(2031, 3, 30);
    private static final Instant NOW = Instant.parse("2031-02-01T10:00:00Z");

    @Test
    void aPieceHasOneEventThatIsTheSameWheneverItIsRead() {
        String first = DueCalendar.write(Stream.of(piece("Quay 30", DUE, TestAgain.Why.AGE)), NOW);
        String later = DueCalendar.write(
                Stream.of(piece("Quay 30", DUE.plusMonths(2), TestAgain.Why.AGE)), NOW.plusSeconds(99));
        assertThat(event(first).getUid().getValue())
                .isEqualTo(ID + "@eskiz")
                .isEqualTo(event(later).getUid().getValue());
        assertThat(event(first).getSummary().getValue()).isEqualTo("Test Quay 30");
    }

    @Test
    void aPieceThatIsNotToBeTestedHasNone() {
        assertThat(Biweekly.parse(DueCalendar.write(Stream.of(piece("Retired", null, null)), NOW))
                        .first()
                        .getEvents())
                .isEmpty();
    }

    /** The day is the day, on whichever side of the date line the server stands, and when its clocks change. */
    @ParameterizedTest
    @ValueSource(strings = {"UTC", "Pacific/Kiritimati", "Pacific/Pago_Pago", "Asia/Kathmandu", "Europe/Oslo"})
    void theDayIsTheSameInEveryZone(String zone) {
        TimeZone before = TimeZone.getDefault();
        try {
            TimeZone.setDefault(TimeZone.getTimeZone(zone));
            assertThat(DueCalendar.write(Stream.of(piece("Quay 30", DUE, TestAgain.Why.AGE)), NOW))
                    .contains("DTSTART;VALUE=DATE:20310330");
        } finally {
            TimeZone.setDefault(before);
        }
    }

    @ParameterizedTest
    @EnumSource(TestAgain.Why.class)
    void itSaysWhy(TestAgain.Why why) {
        String description = event(DueCalendar.write(Stream.of(piece("Quay 30", DUE, why)), NOW))
                .getDescription()
                .getValue();
        assertThat(description).endsWith("RG-58, 20.0 m.");
        if (why == TestAgain.Why.NEVER_TESTED) {
            assertThat(description).startsWith("Never tested.");
        } else {
            assertThat(description).contains("2030-01-15");
        }
    }

    @Test
    void aLabelCannotBreakOutOfItsLine() {
        String written = DueCalendar.write(
                Stream.of(piece("one\r\nBEGIN:VALARM\r\nEND:VALARM; two, three", DUE, TestAgain.Why.AGE)), NOW);
        ICalendar read = Biweekly.parse(written).first();
        assertThat(read.getEvents()).hasSize(1);
        assertThat(read.getEvents().get(0).getAlarms()).isEmpty();
        assertThat(written.lines()).noneMatch(l -> l.startsWith("BEGIN:VALARM"));
    }

    private static VEvent event(String calendar) {
        return Biweekly.parse(calendar).first().getEvents().get(0);
    }

    private static PieceSummary piece(String label, LocalDate due, TestAgain.Why why) {
        return new PieceSummary(
                ID,
                0,
                false,
                label,
                new MakeResponse("rg-58", "RG-58", 20, null, null, null),
                new KeepingResponse(null, null, null, null, null),
                new WearResponse(null, null, null, null, 0, 0, null),
                PieceCondition.DUE,
                List.of(),
                LocalDate.of(2030, 1, 15),
                new AgeingResponse(null, null, null, null, null),
                new TestAgainResponse(due, why),
                List.of());
    }

    @Test
    void exportedCellsAreNoFormulas() {
        PieceSummary piece = piece("=1+1", DUE, TestAgain.Why.AGE);
        List<Object> cells =
                PieceCsv.rows(java.util.stream.Stream.of(piece)).findFirst().orElseThrow();
        assertThat(cells).hasSameSizeAs(PieceCsv.COLUMNS);
        assertThat(cells.get(PieceCsv.COLUMNS.indexOf("label"))).isEqualTo("'=1+1");
    }
}
