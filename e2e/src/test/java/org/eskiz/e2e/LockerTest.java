package org.eskiz.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.file.Files;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** What the operator owns: put in, taken out with one key, tested, aged, laid into runs, cut. */
@ExtendWith(RunningEskiz.class)
class LockerTest {

    private static final String JETTY_15 = "/locker/00000000-0000-4000-8000-0000000c000c";

    @Test
    void aPieceIsPutInTakenOutAndPutAwayWithOneKeyEach(Page page) {
        page.navigate("/locker");
        row(page, "Jetty 15").waitFor();
        page.keyboard().press("n");
        page.getByLabel("label", new Page.GetByLabelOptions().setExact(true)).fill("Quay 12");
        page.getByLabel("type of the piece").selectOption("rg-58");
        field(page, "length of the piece").fill("12");
        page.getByLabel("connector, one end").selectOption("n");
        field(page, "outings so far").fill("12");
        // what is half described is there after a reload
        page.reload();
        assertThat(page.getByLabel("label", new Page.GetByLabelOptions().setExact(true)))
                .hasValue("Quay 12");
        button(page, "Put it in").click();
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Quay 12")))
                .isVisible();
        assertThat(page.getByText("N plug, N plug")).isVisible();

        page.navigate("/locker");
        row(page, "Quay 12").getByRole(AriaRole.LINK).focus();
        page.keyboard().press("o");
        assertThat(page.getByText("Took out Quay 12.")).isVisible();
        field(page, "where it is taken").fill("Long Skerry");
        assertThat(row(page, "Quay 12")).containsText("Long Skerry");
        row(page, "Quay 12").getByRole(AriaRole.LINK).focus();
        page.keyboard().press("p");
        assertThat(page.getByText("Put away Quay 12.")).isVisible();
        page.keyboard().press("w");
        assertThat(page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("wet (w)")))
                .hasAttribute("aria-pressed", "true");
        row(page, "Quay 12").getByRole(AriaRole.LINK).click();
        assertThat(page.getByText("13, 1 of them hard")).isVisible();
    }

    @Test
    void severalPiecesGoOutTogetherAndTheWayBackIsOneStep(Page page) {
        page.navigate("/locker");
        page.getByLabel("mark Gallery 22").check();
        page.getByLabel("mark Fog-horn 14").check();
        page.keyboard().press("Escape");
        page.locator("h1").click();
        page.keyboard().press("o");
        assertThat(page.getByText("Took out Fog-horn 14, Gallery 22.")).isVisible();
        assertThat(row(page, "Gallery 22")).containsText("out since");
        button(page, "Undo").click();
        assertThat(row(page, "Gallery 22")).not().containsText("out since");
        assertThat(row(page, "Fog-horn 14")).not().containsText("out since");
    }

    @Test
    void theOverviewTellsWhatNeedsAHandAndTheLifeLineWhy(Page page) throws IOException {
        page.navigate("/locker");
        Locator overview = page.getByLabel("overview");
        assertThat(overview).containsText("need a hand");
        assertThat(overview).containsText("It has had its day: 2.20 dB more than at its first test.");
        assertThat(overview).containsText("Better than its age: 18 years, and still as its sheet.");
        overview.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("retired")))
                .click();
        assertThat(page.locator("[data-piece]")).hasCount(1);
        assertThat(page).hasURL(Pattern.compile("standing=RETIRED"));
        Download calendar = page.waitForDownload(
                () -> page.getByText("days of testing for a calendar").click());
        assertThat(Files.readString(calendar.path())).contains("BEGIN:VEVENT").contains("SUMMARY:Test Jetty 15");

        page.navigate(JETTY_15);
        assertThat(page.getByText("surely between")).isVisible();
        assertThat(page.getByLabel("life of the piece, drawn").locator("circle"))
                .hasCount(6);
        page.navigate("/locker/00000000-0000-4000-8000-0000000c000f");
        assertThat(page.getByText(Pattern.compile("It measures like .*: look at its label")))
                .isVisible();
    }

    @Test
    void aNewEndMakesAPieceShorterAndIsTakenBack(Page page) {
        page.navigate(JETTY_15);
        page.getByLabel("what was done", new Page.GetByLabelOptions().setExact(true))
                .selectOption("NEW_END");
        field(page, "length with the new end").fill("15.4");
        button(page, "Note it").click();
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("cannot be 15.4 m after");
        field(page, "length with the new end").fill("14.6");
        button(page, "Note it").click();
        assertThat(page.getByText("new end: 15 m became 14.6 m")).isVisible();
        page.getByText(Pattern.compile("^Take back what was noted")).click();
        assertThat(page.getByText("new end: 15 m became 14.6 m")).hasCount(0);
    }

    @Test
    void whatIHaveStandsAboveWhatICouldBuyAndIsLaidIntoTheRun(Page page) {
        PlanSheetPage.open(page, PlanSheetPage.GALLERY);
        Locator have = page.getByTestId("what-i-have");
        assertThat(have).containsText("Stairwell 31");
        have.getByLabel("Use Stairwell 31 in the run").click();
        assertThat(page.getByLabel(Pattern.compile("^cable Stairwell 31"))).isVisible();
        assertThat(page.getByTestId("what-i-have")).hasCount(0);
        page.keyboard().press("Control+z");
        assertThat(page.getByTestId("what-i-have")).containsText("Stairwell 31");

        page.getByTestId("what-i-have").getByLabel("Pack Stairwell 31").click();
        assertThat(page.getByLabel("kits", new Page.GetByLabelOptions().setExact(true)))
                .containsText("Lantern gallery");
    }

    @Test
    void lengthsForSitesAndCutsFromReels(Page page) {
        page.navigate("/locker/kits");
        Locator sets = page.getByLabel("lengths for several sites");
        field(page, "length at site 2").fill("20");
        assertThat(sets).containsText("20 m + 5 m");
        page.reload();
        assertThat(field(page, "length at site 2")).hasValue("20");

        page.navigate("/locker/cuts");
        Locator plans = page.getByLabel("a run of a plan");
        plans.selectOption(plans.locator("option")
                .filter(new Locator.FilterOptions().setHasText("spare 2 m run"))
                .getAttribute("value"));
        assertThat(page.getByLabel("cut plan")).containsText("35 m are needed");
        button(page, "Buy nothing").click();
        assertThat(page.getByText("Add a run or take one from a plan, and the reels are drawn here with their cuts."))
                .isVisible();
        button(page, "Add a reel").click();
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("No reel has room for");
        field(page, "length of reel 1").fill("50");
        assertThat(page.getByLabel("cut plan")).containsText("15 m left");
    }

    @Test
    void aTestBegunInTheLockerCountsForItsPiece(Page page) {
        page.navigate("/locker/00000000-0000-4000-8000-0000000c0004");
        page.getByText("test it").click();
        assertThat(field(page, "piece")).hasValue("Dinghy 2.5");
        page.getByLabel("losses that another instrument has told")
                .or(page.getByText("Losses as read"))
                .first()
                .click();
        page.getByLabel(Pattern.compile("^loss at 145 MHz")).fill("0.9");
        button(page, "Keep this test").click();
        page.getByText("revision 1").waitFor();
        page.getByText("in the locker").click();
        assertThat(page.getByText("In a run it stands with the")).isVisible();
    }

    @Test
    void anOutingThatNobodyNotedIsNotedAfterwardsAndNeverInTwoPlaces(Page page) {
        page.navigate("/locker/00000000-0000-4000-8000-0000000c000a");
        for (String where : new String[] {"Long Skerry", "Seal Rock"}) {
            button(page, "Note an outing that is over").click();
            field(page, "first day of the outing").fill("2026-09-01");
            field(page, "last day of the outing").fill("2026-09-03");
            field(page, "where it was").fill(where);
            button(page, "Note the outing").click();
            if (where.equals("Long Skerry")) {
                assertThat(page.getByText("out, Long Skerry, till 2026-09-03")).isVisible();
            }
        }
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("a piece cannot be in two places");
    }

    private static Locator row(Page page, String label) {
        return page.locator("[data-piece]").filter(new Locator.FilterOptions().setHasText(label));
    }

    private static Locator field(Page page, String label) {
        return page.getByLabel(label, new Page.GetByLabelOptions().setExact(true));
    }

    private static Locator button(Page page, String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }
}
