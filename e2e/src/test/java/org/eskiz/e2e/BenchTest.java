package org.eskiz.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import com.microsoft.playwright.options.SelectOption;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** A cable on the bench: read, judged, kept, corrected, and made a type of one's own. */
@ExtendWith(RunningEskiz.class)
class BenchTest {

    @Test
    void readingsAreJudgedWhileTheyAreTypedKeptAndCorrected(Page page) {
        page.navigate("/bench");
        button(page, "New test").click();
        assertThat(verdict(page)).containsText("Nothing has been read yet");
        assertThat(button(page, "Keep this test")).isDisabled();
        field(page, "piece").fill("Quay lead");
        page.getByLabel("type of the cable").selectOption("rg-58");
        field(page, "length of the piece").fill("20");
        read(page, "7.1 MHz", "98-102", "80");
        read(page, "14.2 MHz", "100", "75");
        read(page, "28.5 MHz", "100", "66");
        read(page, "145 MHz", "50.0", "61");
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("More came through the cable (61)");
        read(page, "145 MHz", "50.0", "19.5");
        assertThat(page.getByRole(AriaRole.ALERT)).hasCount(0);
        assertThat(verdict(page)).containsText("Quay lead is as RG-58 promises");

        // what was noted is there after a reload, and what the station was is remembered for the next test
        field(page, "meter").fill("crossed needles");
        page.reload();
        assertThat(field(page, "through the cable at 145 MHz")).hasValue("19.5");
        button(page, "Keep this test").click();
        assertThat(page.getByText("revision 1")).isVisible();

        read(page, "145 MHz", "50.0", "12.5");
        assertThat(verdict(page)).containsText("more than RG-58 should at 145 MHz");
        button(page, "Keep the correction").click();
        assertThat(page.getByText("revision 2")).isVisible();
        button(page, "Show what was noted before").click();
        assertThat(page.getByRole(AriaRole.CONTENTINFO)).containsText("145 MHz 50.0 19.5");

        page.navigate("/bench/new");
        assertThat(field(page, "meter")).hasValue("crossed needles");
    }

    @Test
    void aShortCableCannotBeToldItsReadingsSayWhyAndTheNextOneKeepsTheStation(Page page) {
        page.navigate("/bench/new");
        field(page, "piece").fill("Lead 1");
        page.getByLabel("type of the cable").selectOption("rg-213");
        field(page, "length of the piece").fill("1");
        field(page, "meter").fill("thermal head");
        read(page, "14.2 MHz", "50.0", "49.5");
        assertThat(verdict(page)).containsText("cannot be told whether Lead 1 is as RG-213 promises");

        Locator interval = page.getByLabel(Pattern.compile("how sure the loss at 14\\.2 MHz is"));
        interval.click();
        assertThat(page.getByText("95 in 100 lie within")).isVisible();
        assertThat(page.getByText("drift of the radio between the two readings"))
                .isVisible();
        page.keyboard().press("Escape");
        button(page, "Read it once more after").click();
        field(page, "without the cable once more at 14.2 MHz").fill("50.0");
        button(page, "Keep this test").click();
        button(page, "Next cable").click();
        assertThat(field(page, "piece")).hasValue("");
        assertThat(field(page, "meter")).hasValue("thermal head");
        assertThat(field(page, "without the cable at 14.2 MHz")).hasValue("50.0");
        assertThat(field(page, "through the cable at 14.2 MHz")).hasValue("");
    }

    @Test
    void aSweepBecomesACableTypeThatStandsInAPlan(Page page) throws IOException {
        page.navigate("/bench/new?method=THROUGH_SWEEP");
        field(page, "piece").fill("Pier 12");
        page.getByLabel("type of the cable").selectOption("rg-58");
        field(page, "length of the piece").fill("12.4");
        Locator file = page.locator("input[type=file]");
        file.setInputFiles(payload("broken.s2p", "# MHz S RI R 50\n1 0 0 nan 0 0 0 0 0\n"));
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("Line 2: \"nan\" is not a number");
        file.setInputFiles(sweep("open-rg8x-30m5.s1p"));
        assertThat(page.getByText("this is a sweep of one port", new Page.GetByTextOptions()))
                .isVisible();
        file.setInputFiles(sweep("through-rg58-12m4.s2p"));
        assertThat(page.getByText("through-rg58-12m4.s2p: 401 points")).isVisible();
        assertThat(page.getByText("velocity factor 0.66")).isVisible();
        assertThat(verdict(page)).containsText("Pier 12 is as RG-58 promises");
        assertThat(page.getByText("so it says nothing at 433 MHz.")).isVisible();
        button(page, "Keep this test").click();

        field(page, "name of the cable type").fill("Pier RG-58");
        button(page, "Make this a cable type of mine").click();
        assertThat(page.getByText("among your cables")).isVisible();
        page.getByLabel("use it in a plan").selectOption(new SelectOption().setIndex(1));
        assertThat(page.locator("[data-row]").filter(new Locator.FilterOptions().setHasText("Pier RG-58")))
                .isVisible();
        page.navigate("/cables?type=pier-rg-58");
        page.getByLabel("about a cable").getByText("the test").click();
        assertThat(field(page, "piece")).hasValue("Pier 12");

        Download written = page.waitForDownload(() ->
                page.getByText("DB", new Page.GetByTextOptions().setExact(true)).click());
        assertThat(Files.readString(written.path())).startsWith("# MHz S DB R 50.0\n1.0 ");
        page.navigate("/cables?type=pier-rg-58");
        button(page, "Retire it").click();
    }

    @Test
    void aFileThatIsTooLargeIsRefusedWithItsSizeAndNothingTypedIsLost(Page page) throws IOException {
        page.navigate("/bench/new?method=ONE_END_SWEEP");
        field(page, "piece").fill("Far end");
        page.locator("input[type=file]")
                .first()
                .setInputFiles(new FilePayload("huge.s1p", "text/plain", new byte[10 << 20]));
        assertThat(page.getByRole(AriaRole.ALERT))
                .containsText("The file huge.s1p has 10 MB; a sweep of at most 4 MB is read");
        page.locator("input[type=file]").first().setInputFiles(sweep("open-rg8x-30m5.s1p"));
        assertThat(page.getByText("An estimate, from one look.")).isVisible();
        page.locator("input[type=file]").nth(1).setInputFiles(sweep("short-rg8x-30m5.s1p"));
        assertThat(page.getByText("An estimate, from one look.")).hasCount(0);
        assertThat(page.getByText("It measures like")).hasCount(0);
        field(page, "length of the piece").fill("30,5");
        assertThat(page.getByText("It measures like RG-8X")).isVisible();
        assertThat(field(page, "piece")).hasValue("Far end");
    }

    @Test
    void theSeasonOfTheDemoTellsItsStory(Page page) {
        page.navigate("/bench");
        Locator tests = page.getByLabel("tests", new Page.GetByLabelOptions().setExact(true));
        page.getByLabel("filter tests").fill("dinghy 2026-03");
        assertThat(tests.getByRole(AriaRole.LISTITEM)).hasCount(2);
        page.getByLabel("filter tests").fill("");
        page.getByLabel("verdict").selectOption("WORSE");
        assertThat(tests).containsText("Store reel 2");
        assertThat(tests).not().containsText("Gallery 22");
        tests.getByText("Dinghy 5 blue").click();
        assertThat(page.getByText("Likely a resistive joint or contact")).isVisible();
        page.goBack();
        tests.getByText("Duct 18").click();
        assertThat(page.getByText("Likely water")).isVisible();
        page.goBack();
        tests.getByText("Store reel 2").click();
        assertThat(page.getByText("It measures like RG-213")).isVisible();
        assertThat(page.getByText("Likely another cable than its label says")).isVisible();

        page.navigate("/bench");
        button(page, "lay Duct 18 of 2026-04-11 beside others").click();
        button(page, "lay Duct 18 of 2026-08-15 beside others").click();
        assertThat(field(page, "losses side by side").getByRole(AriaRole.ROW)).hasCount(8);
        page.getByRole(
                        AriaRole.RADIO,
                        new Page.GetByRoleOptions().setName("as measured").setExact(true))
                .click();
        assertThat(field(page, "losses side by side")).containsText("5.68");
        assertThat(page).hasURL(Pattern.compile("tests="));
    }

    private static void read(Page page, String band, String baseline, String through) {
        field(page, "without the cable at " + band).fill(baseline);
        field(page, "through the cable at " + band).fill(through);
    }

    private static Locator verdict(Page page) {
        return page.getByLabel("what it says").getByRole(AriaRole.STATUS);
    }

    private static Locator field(Page page, String label) {
        return page.getByLabel(label, new Page.GetByLabelOptions().setExact(true));
    }

    private static Locator button(Page page, String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private static FilePayload payload(String name, String text) {
        return new FilePayload(name, "text/plain", text.getBytes(StandardCharsets.UTF_8));
    }

    private static FilePayload sweep(String name) throws IOException {
        try (InputStream in = BenchTest.class.getResourceAsStream("/sweeps/" + name)) {
            return new FilePayload(name, "text/plain", in.readAllBytes());
        }
    }
}
