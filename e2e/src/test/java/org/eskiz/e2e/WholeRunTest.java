package org.eskiz.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** The operator draws the whole run, with another load on each band, and follows the power along it. */
@ExtendWith(RunningEskiz.class)
class WholeRunTest {

    @Test
    void aRunIsDrawnByTypingAndByHand(Page page) {
        PlanSheetPage sheet = PlanSheetPage.makeNew(page);
        put(page, "add between the radio and UHF", "1.5 m rg-58");
        assertThat(names(page)).hasText(new String[] {"RG-58", "UHF", "Foam 6", "UHF"});
        assertThat(sheet.field("length of RG-58")).hasValue("1.5");
        put(page, "add between UHF and the antenna", "arr");
        assertThat(names(page)).hasText(new String[] {"RG-58", "UHF", "Foam 6", "UHF", "arrestor"});

        // carried to the other end of the run
        BoundingBox arrestor = names(page).nth(4).boundingBox();
        BoundingBox first = names(page).nth(0).boundingBox();
        drag(page, arrestor.x + 10, arrestor.y + 8, first.x - 40, first.y + 8);
        assertThat(names(page)).hasText(new String[] {"arrestor", "RG-58", "UHF", "Foam 6", "UHF"});

        // drawn longer by its handle, in one step of undo
        BoundingBox handle = page.getByTitle("draw it longer or shorter").nth(1).boundingBox();
        drag(page, handle.x + 6, handle.y + 40, handle.x + 66, handle.y + 40);
        assertThat(sheet.field("length")).not().hasValue("20");
        page.keyboard().press("Control+z");
        assertThat(sheet.field("length")).hasValue("20");

        names(page).nth(3).click();
        sheet.button("Split in the middle").click();
        assertThat(names(page)).hasCount(6);
        assertThat(sheet.field("length").first()).hasValue("10");
        names(page).nth(0).focus();
        page.keyboard().press("Delete");
        assertThat(names(page).first()).hasText("RG-58");
        assertThat(sheet.saveState()).hasText("a moment ago");
        page.reload();
        assertThat(names(page)).hasText(new String[] {"RG-58", "UHF", "Foam 6", "Foam 6", "UHF"});
    }

    @Test
    void theMatchingUnitIsDraggedToTheAntennaWithBothResultsShown(Page page) {
        PlanSheetPage sheet = PlanSheetPage.makeNew(page);
        sheet.field("SWR at the antenna").fill("6");
        assertThat(page.getByText("is beyond the 3 that your matching unit copes with"))
                .isVisible();
        Locator unit = page.getByLabel("matching unit: matched at the radio").and(page.locator("button"));
        unit.click();
        sheet.field("SWR that the matching unit copes with").fill("10");
        assertThat(page.getByText("that your matching unit copes with")).hasCount(0);
        page.keyboard().press("Escape");
        BoundingBox box = unit.boundingBox();
        page.mouse().move(box.x + 10, box.y + 10);
        page.mouse().down();
        page.mouse().move(box.x + 500, box.y + 10);
        page.mouse().move(box.x + 700, box.y + 10);
        assertThat(page.getByText("matched at the antenna")).isVisible();
        assertThat(page.getByText(Pattern.compile("matched at the antenna\\s*[0-9.]+ W")))
                .isVisible();
        page.mouse().up();
        assertThat(page.getByLabel("matching unit: matched at the antenna")).isVisible();
        assertThat(page.getByLabel("matching: matched at the antenna")).isVisible();
    }

    @Test
    void theAntennaIsToldFromEitherEndOrFromAFile(Page page) {
        PlanSheetPage sheet = PlanSheetPage.makeNew(page);
        page.getByLabel("what is known of the antenna").click();
        page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName("SWR at the radio"))
                .click();
        assertThat(page.getByText(Pattern.compile("^= 1\\.\\d+ at the antenna$")))
                .isVisible();
        sheet.field("SWR at the radio").fill("900");
        assertThat(page.getByText("this run shows between")).isVisible();
        assertThat(sheet.field("SWR at the radio")).hasValue("900");
        sheet.field("SWR at the radio").fill("1.3");
        assertThat(page.getByText("this run shows between")).hasCount(0);

        page.getByLabel(Pattern.compile("^more about 40 m")).click();
        Locator file = page.getByLabel("read the antenna from a file");
        file.setInputFiles(csv("MHz,R,X\n7,40,-30\nseven,1,1\n"));
        assertThat(sheet.alert()).containsText("Line 3: \"seven\" is not a plain number");
        file.setInputFiles(csv("MHz,R,X\n7,40,-30\n7.2,60,40\n14,20,300\n15,20,300\n"));
        assertThat(page.getByText("Use it on 2 bands")).isVisible();
        assertThat(page.getByText("not 28.5 MHz")).isVisible();
        sheet.button("Use it on 2 bands").click();
        assertThat(sheet.field("antenna resistance")).not().hasValue("");
        assertThat(page.getByText("20 + j300 Ω")).isVisible();
        page.keyboard().press("Control+z");
        assertThat(sheet.field("SWR at the radio")).hasValue("1.3");
    }

    @Test
    void bandsComeFromTheServicesOfTheRegion(Page page) {
        PlanSheetPage sheet = PlanSheetPage.makeNew(page);
        sheet.button("Add a band").click();
        page.getByText("marine VHF").click();
        assertThat(sheet.field("frequency")).hasValue("156.8");
        page.getByLabel("about the radio").click();
        page.getByText("another radio on marine VHF").click();
        page.keyboard().press("Escape");
        sheet.field("radio power").fill("25");
        assertThat(sheet.note()).containsText("of your 25 W");
        page.keyboard().press("Escape");
        page.getByLabel("bands", new Page.GetByLabelOptions().setExact(true))
                .getByText("40 m", new Locator.GetByTextOptions().setExact(true))
                .click();
        assertThat(sheet.field("radio power")).hasValue("100");
    }

    @Test
    void powerVoltageAndHeatAreFollowedAlongTheRun(Page page) {
        PlanSheetPage sheet = PlanSheetPage.makeNew(page);
        sheet.field("SWR at the antenna").fill("8");
        sheet.field("radio power").fill("1500");
        assertThat(page.getByTestId("standing-wave")).isVisible();
        BoundingBox copper = page.getByTestId("copper").boundingBox();
        page.mouse().move(copper.x + copper.width / 2, copper.y + copper.height / 2);
        assertThat(page.getByText(Pattern.compile("from the radio: .* W, .* V, .* A, SWR ")))
                .isVisible();
        assertThat(sheet.note()).containsText("Overloaded on 40");

        sheet.button("Line").click();
        assertThat(page.getByTestId("line-view")).containsText("Overloaded on 40");
        assertThat(page.getByLabel("voltage along the run on 40 m")).isVisible();
        page.reload();
        assertThat(page.getByTestId("line-view")).containsText("wavelengths");
    }

    @Test
    void curvesAreLaidOverEachOtherAndSaved(Page page) throws IOException {
        PlanSheetPage sheet = PlanSheetPage.open(page, PlanSheetPage.GALLERY);
        sheet.button("Sweep").click();
        page.getByLabel("lay another cable over it").selectOption("rg-58");
        assertThat(page.getByTestId("sweep-view").getByText("RG-58").first()).isVisible();
        Download csv = page.waitForDownload(() -> sheet.button("Save as CSV").click());
        assertThat(csv.suggestedFilename()).isEqualTo("Lantern gallery, 6 m to 70 cm over frequency.csv");
        String text = Files.readString(csv.path());
        assertThat(text).contains("frequency_mhz,").contains("RG-58 total_loss_db");
        assertThat(text.lines().count()).isEqualTo(202);
        Download svg = page.waitForDownload(() -> sheet.button("Save as SVG").click());
        assertThat(Files.readString(svg.path())).startsWith("<svg").doesNotContain("var(--");
        page.getByLabel("over what: over frequency").click();
        page.getByText("over length, on 2 m").click();
        assertThat(page.getByLabel(Pattern.compile("over length$"))).isVisible();
    }

    @Test
    void howFarEachCableWouldGoStandsOnARulerWithTheTrueLength(Page page) {
        PlanSheetPage sheet = PlanSheetPage.makeNew(page);
        sheet.button("Reach").click();
        Locator view = page.getByTestId("reach-view");
        assertThat(view.getByText(Pattern.compile("^[0-9.]+ m, by 2 m$")).first())
                .isVisible();
        BoundingBox marker = page.getByTitle("drag the length").boundingBox();
        drag(page, marker.x + 8, marker.y + 200, marker.x + 88, marker.y + 200);
        assertThat(sheet.field("length")).not().hasValue("20");
        page.keyboard().press("Control+z");
        assertThat(sheet.field("length")).hasValue("20");

        assertThat(sheet.note()).containsText("On receive the run hardly counts on 40 m.");
        assertThat(sheet.note()).containsText("nobody has said its gain");
        sheet.button("Take 2.15 dBi, a dipole’s").click();
        assertThat(sheet.note()).containsText("EIRP: keep off the antenna while sending");
        page.getByLabel("noise outside: houses").click();
        page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName("a city"))
                .click();
        assertThat(page.getByLabel("noise outside: a city")).isVisible();
        assertThat(sheet.saveState()).hasText("a moment ago");
    }

    @Test
    void aReadingAtTheRadioKeepsTheRunItWasReadThrough(Page page) {
        PlanSheetPage sheet = PlanSheetPage.makeNew(page);
        page.getByLabel("what is known of the antenna: SWR at the antenna").click();
        page.getByRole(
                        AriaRole.OPTION,
                        new Page.GetByRoleOptions().setName("SWR at the radio").setExact(true))
                .click();
        sheet.field("SWR at the radio").fill("1.1");
        sheet.field("SWR at the radio").press("Enter");
        Locator bands = page.getByLabel("bands", new Page.GetByLabelOptions().setExact(true));
        assertThat(bands).containsText("at the antenna");
        sheet.field("length").fill("30");
        sheet.field("length").press("Enter");
        assertThat(bands).containsText(Pattern.compile("read at the radio through 20.m Foam 6: 1.11 at the antenna"));
        sheet.button("Read anew").click();
        assertThat(bands).not().containsText("read at the radio through");
        page.keyboard().press("Control+z");
        assertThat(bands).containsText("read at the radio through");
    }

    @Test
    void impossiblePairsArePointedOut(Page page) {
        PlanSheetPage sheet = PlanSheetPage.makeNew(page);
        put(page, "add between UHF and the antenna", "window");
        assertThat(sheet.note()).containsText("balanced line and coax go together through a transformer");
        put(page, "add between UHF and Window line 450 Ω", "9:1");
        assertThat(page.getByText("go together through a transformer")).hasCount(0);
    }

    @Test
    void plansAndRowsStandSideBySide(Page page) {
        page.navigate("/plans");
        page.getByLabel("search plans").fill("lantern gallery");
        page.getByLabel("Compare Lantern gallery, 6 m to 70 cm with others").click();
        page.waitForURL("**/plans/compare?p=*");
        page.getByLabel("plan B").and(page.locator("select")).selectOption("5ca77a00-0002-4000-8000-000000000002");
        Locator second = page.getByTestId("side B");
        assertThat(second).containsText("not on it");
        assertThat(second).containsText("34 m of RG-58, picked");
        assertThat(page).hasURL(Pattern.compile("p=5ca77a00-0002"));

        // another row of the first plan, and all of them against it
        page.getByText("Add one more").click();
        page.getByLabel("plan C").and(page.locator("select")).selectOption("5ca77a00-0001-4000-8000-000000000001");
        page.getByLabel("cable of C").and(page.locator("select")).selectOption("foam-10");
        assertThat(page.getByTestId("side C")).containsText("of Foam 10");
        page.getByLabel("Read the others against C").click();
        assertThat(page.getByText(Pattern.compile("^A brings .* than C on "))).isVisible();
        page.reload();
        assertThat(page.getByTestId("side C")).containsText("the others are read against it");
        assertThat(page.getByTestId("side A")).containsText("Air-spaced 10, suggested");
        Download csv = page.waitForDownload(() -> page.getByText("Save as CSV").click());
        assertThat(csv.suggestedFilename()).endsWith(".csv");

        // what an earlier version linked to is still there
        page.navigate("/plans/compare?a=5ca77a00-0001-4000-8000-000000000001&b=5ca77a00-0002-4000-8000-000000000002");
        assertThat(page.getByTestId("side B")).containsText("spare 2 m run");
    }

    @Test
    void aRunWithoutALineOrWithoutAnythingCanStillBeEdited(Page page) {
        PlanSheetPage sheet = PlanSheetPage.makeNew(page);
        names(page).nth(1).click();
        sheet.button("Take out").click();
        assertThat(page.getByText("at least one LINE as candidate")).isVisible();
        page.keyboard().press("Control+z");
        assertThat(page.getByText("at least one LINE as candidate")).hasCount(0);
        assertThat(sheet.note()).containsText("of your 100 W");
    }

    private static Locator names(Page page) {
        return page.locator("[data-element]");
    }

    private static void put(Page page, String gap, String typed) {
        page.getByLabel(gap, new Page.GetByLabelOptions().setExact(true)).click();
        page.getByLabel("what to put here").fill(typed);
        page.keyboard().press("Enter");
    }

    private static void drag(Page page, double fromX, double fromY, double toX, double toY) {
        page.mouse().move(fromX, fromY);
        page.mouse().down();
        page.mouse().move((fromX + toX) / 2, (fromY + toY) / 2);
        page.mouse().move(toX, toY);
        page.mouse().up();
    }

    private static FilePayload csv(String text) {
        return new FilePayload("antenna.csv", "text/csv", text.getBytes(StandardCharsets.UTF_8));
    }
}
