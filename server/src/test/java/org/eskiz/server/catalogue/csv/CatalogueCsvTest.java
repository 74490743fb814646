package org.eskiz.server.catalogue.csv;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.eskiz.core.cable.AttenuationPoint;
import org.eskiz.core.cable.Cable;
import org.eskiz.server.catalogue.CableType;
import org.eskiz.server.catalogue.CableTypeRequest;
import org.eskiz.server.catalogue.Construction;
import org.eskiz.server.catalogue.Mechanics;
import org.eskiz.server.catalogue.Mechanics.Flexing;
import org.eskiz.server.catalogue.Price;
import org.eskiz.server.catalogue.Provenance;
import org.eskiz.server.catalogue.Ratings;
import org.eskiz.server.catalogue.Source;
import org.eskiz.server.web.Csv;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** One table of columns reads what it writes, column by column. */
class CatalogueCsvTest {

    private static final List<AttenuationPoint> SHEET =
            List.of(new AttenuationPoint(10, 1.2), new AttenuationPoint(145, 4.9));

    /** Every column has something in it that no other column has. */
    private static final CableType FULL = type(new CableType.Facts(
            "Quay 7",
            "mine",
            new Source(
                    Provenance.SHEET,
                    "the sheet",
                    LocalDate.of(2020, 5, 1),
                    Provenance.TYPICAL,
                    Provenance.GUESSED,
                    7.5),
            new Construction(51.0, 0.84, true, "PE", "solid", "foil+braid", "foam", 5.1, true, true, 2.5),
            new Mechanics(7.3, 68.0, 25.0, 75.0, -11.0, -42.0, 83.0, true, false, Flexing.OCCASIONAL),
            new Ratings(1700.0, 910.0, 31.0, 41.0),
            new Price(new BigDecimal("2.5"), "NOK", false, LocalDate.of(2021, 6, 2), 26.0),
            "a note",
            SHEET));

    @Test
    void whatIsWrittenIsReadAgain() {
        ReadRow<CableTypeRequest> row = read(write(FULL)).get(0);
        assertThat(row.why()).isNull();
        assertThat(row.request()).isEqualTo(CableTypeRequest.of(FULL));
    }

    static List<String> columns() {
        return CatalogueCsv.header();
    }

    @ParameterizedTest
    @MethodSource("columns")
    void everyColumnIsWrittenAndLeavingItOutIsNoticed(String column) {
        List<String> header = CatalogueCsv.header();
        List<Object> cells = CatalogueCsv.rows(Stream.of(FULL)).findFirst().orElseThrow();
        int at = header.indexOf(column);
        assertThat(cells.get(at)).as(column).isNotNull();
        List<String> fewer = header.stream().filter(c -> !c.equals(column)).toList();
        List<Object> less = new java.util.ArrayList<>(cells);
        less.remove(at);
        String text = table(fewer, less);
        if (List.of("name", "impedance_ohm", "velocity_factor", "points").contains(column)) {
            assertThatThrownBy(() -> CatalogueCsv.read(text)).hasMessageContaining("the header lacks " + column);
        } else {
            assertThat(read(text).get(0).request()).as(column).isNotEqualTo(CableTypeRequest.of(FULL));
        }
    }

    @Test
    void columnsMayStandInAnyOrder() {
        List<String> header = new java.util.ArrayList<>(CatalogueCsv.header());
        List<Object> cells = new java.util.ArrayList<>(
                CatalogueCsv.rows(Stream.of(FULL)).findFirst().orElseThrow());
        java.util.Collections.reverse(header);
        java.util.Collections.reverse(cells);
        assertThat(read(table(header, cells)).get(0).request()).isEqualTo(CableTypeRequest.of(FULL));
    }

    @Test
    void whatTheFirstEskizWroteIsRead() {
        String old = "name,impedance_ohm,velocity_factor,average_power_30mhz_w,sample_price_per_m,points\n"
                + "Old 5,50,0.66,300,0.8,10:4 145:16\n";
        CableTypeRequest said = read(old).get(0).request();
        assertThat(said.ratings().averagePowerW()).isEqualTo(300);
        assertThat(said.ratings().ratedAtMHz()).isEqualTo(30);
        assertThat(said.price().pricePerM()).isEqualTo(0.8);
        assertThat(said.price().priceCurrency()).isEqualTo("EUR");
        assertThat(said.source().provenance()).isEqualTo(Provenance.TYPICAL);
    }

    @ParameterizedTest
    @ValueSource(strings = {"=1+1", "+cmd", "-1", "@x", "'quoted", "\tx"})
    void noTextBecomesAFormulaAndItIsReadAsItWas(String text) {
        CableType.Facts f = FULL.facts();
        Construction c = f.construction();
        CableType typed = type(new CableType.Facts(
                text,
                text,
                new Source(Provenance.SHEET, text, null, null, null, null),
                new Construction(50.0, 0.8, false, text, text, text, text, null, false, false, null),
                Mechanics.UNKNOWN,
                Ratings.UNKNOWN,
                null,
                text,
                SHEET));
        assertThat(CatalogueCsv.rows(Stream.of(typed)).findFirst().orElseThrow())
                .filteredOn(cell -> cell instanceof String s && s.contains(text.strip()))
                .isNotEmpty()
                .allSatisfy(cell -> assertThat((String) cell).startsWith("'"));
        if (!text.startsWith("\t")) {
            CableTypeRequest said = read(write(typed)).get(0).request();
            assertThat(said.name()).isEqualTo(text);
            assertThat(said.construction().shield()).isEqualTo(text);
            assertThat(said.note()).isEqualTo(text);
        }
        assertThat(c.jacket()).isEqualTo("PE");
    }

    @ParameterizedTest
    @ValueSource(strings = {"10", "10:", "10:x", "10:1:2", "10;1"})
    void aSheetThatIsNoneSaysWhatOneIs(String points) {
        String text = "name,impedance_ohm,velocity_factor,points\nX,50,0.8,%s\n".formatted(points);
        assertThat(read(text).get(0).why()).contains("points");
    }

    @Test
    void whatIsNoColumnIsNamed() {
        assertThatThrownBy(() -> CatalogueCsv.read("name,impedance_ohm,velocity_factor,points,colour\n"))
                .hasMessageContaining("there is no column colour");
    }

    private static List<ReadRow<CableTypeRequest>> read(String text) {
        return CatalogueCsv.read(text);
    }

    private static String write(CableType type) {
        return table(
                CatalogueCsv.header(),
                CatalogueCsv.rows(Stream.of(type)).findFirst().orElseThrow());
    }

    private static String table(List<String> header, List<Object> cells) {
        return String.join(",", header) + "\r\n"
                + cells.stream()
                        .map(c -> c == null ? "" : "\"" + c.toString().replace("\"", "\"\"") + "\"")
                        .collect(Collectors.joining(","))
                + "\r\n";
    }

    private static CableType type(CableType.Facts facts) {
        return new CableType(
                "quay-7", false, 1, UUID.randomUUID(), Instant.EPOCH, facts, Cable.ofSheet(50, 0.8, SHEET), 0);
    }

    @Test
    void numbersAreTheShortestThatReadTheSame() {
        assertThat(Csv.number(1.5e-6)).isEqualTo("0.0000015");
        assertThat(Csv.number(100.0)).isEqualTo("100");
        assertThat(Csv.decimal(new BigDecimal("2.5000"))).isEqualTo("2.5");
        assertThat(Csv.decimal(null)).isNull();
    }
}
