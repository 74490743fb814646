package org.eskiz.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** An operator works out which cable to buy. */
@ExtendWith(RunningEskiz.class)
class ChoosingStoryTest {

    @Test
    void fromARunToAChosenCableAndBackTomorrow(Page page) {
        PlanSheetPage sheet = PlanSheetPage.open(page, PlanSheetPage.GALLERY);
        assertThat(sheet.note()).containsText("Air-spaced 10 brings 33.9 of your 50 W to the antenna on 2 m.");
        assertThat(sheet.row("Air-spaced 10")).hasAttribute("data-verdict", "PASS");

        // A longer run: every figure follows, without a button.
        sheet.field("length").fill("60 m");
        assertThat(sheet.focusFigure("Air-spaced 10")).hasText("24.7");
        assertThat(sheet.row("Air-spaced 10")).hasAttribute("data-verdict", "FAIL");
        assertThat(page.getByText("cable for the 60 m")).isVisible();

        sheet.field("length").fill("31");
        assertThat(sheet.row("Air-spaced 10")).hasAttribute("data-verdict", "PASS");

        // More watts are asked: verdicts change, with the number in the reason.
        sheet.field("asked for: watts that arrive").fill("26");
        assertThat(sheet.row("Air-spaced 10")).hasAttribute("data-verdict", "FAIL");
        assertThat(sheet.row("Air-spaced 10")).containsText("on 70 cm, 26 W asked");
        assertThat(sheet.row("Foam 15")).hasAttribute("data-verdict", "PASS");

        sheet.button("Foam 15").click();
        assertThat(sheet.note()).containsText("Foam 15 brings");
        sheet.button("Choose this cable").click();
        page.getByLabel("Why Foam 15?").fill("carried up once, stays for good");
        sheet.button("Keep the choice").click();
        assertThat(sheet.note()).containsText("carried up once, stays for good");
        assertThat(sheet.row("Foam 15")).containsText("chosen, in the run");
        assertThat(sheet.saveState()).hasText("a moment ago");

        page.reload();
        assertThat(sheet.field("asked for: watts that arrive")).hasValue("26");
        assertThat(sheet.field("length")).hasValue("31");
        assertThat(sheet.note()).containsText("Foam 15 brings");
        assertThat(sheet.note()).containsText("carried up once, stays for good");
        assertThat(sheet.row("Foam 15")).containsText("chosen, in the run");

        page.navigate("/plans");
        page.getByLabel("search plans").fill("foam 15");
        assertThat(page.getByText("of Foam 15, chosen").first()).isVisible();
    }

    @Test
    void aBadLengthIsToldBesideItsFieldAndLosesNothing(Page page) {
        PlanSheetPage sheet = PlanSheetPage.makeNew(page);
        Locator figure = sheet.focusFigure("Foam 10");
        String before = figure.textContent();

        sheet.field("length").fill("forty");
        assertThat(sheet.alert()).containsText("“forty” is not understood");
        assertThat(sheet.field("length")).hasValue("forty");
        assertThat(sheet.field("length")).hasAttribute("aria-invalid", "true");
        assertThat(page.getByText("still for 20 m")).isVisible();
        assertThat(figure).hasText(before);

        sheet.field("length").press("Tab");
        assertThat(sheet.field("length")).hasValue("forty");

        sheet.field("length").fill("20 km");
        assertThat(sheet.alert()).containsText("20000 m is out of range: from 0.01 m to 10000 m");

        sheet.field("length").fill("130 ft");
        assertThat(sheet.alert()).hasCount(0);
        assertThat(page.getByText("cable for the 130 ft")).isVisible();
    }

    @Test
    void everyFigureReadsFourWaysAndTheChoiceSticks(Page page) {
        PlanSheetPage sheet = PlanSheetPage.makeNew(page);
        assertThat(sheet.note()).containsText("of your 100 W");
        page.keyboard().press("u");
        assertThat(sheet.note()).containsText(Pattern.compile("brings [0-9.]+\\s% of the power"));
        page.keyboard().press("u");
        assertThat(sheet.note()).containsText(Pattern.compile("costs [0-9.]+\\sdB on"));
        page.keyboard().press("u");
        assertThat(sheet.note()).containsText(Pattern.compile("costs [0-9.]+\\sS-units on"));
        page.reload();
        assertThat(sheet.note()).containsText("S-units on");
        page.keyboard().press("u");
        assertThat(sheet.note()).containsText("of your 100 W");
    }

    @Test
    void whatWasDoneIsUndoneAndDoneAgain(Page page) {
        PlanSheetPage sheet = PlanSheetPage.makeNew(page);
        sheet.field("length").fill("35");
        sheet.field("length").press("Enter");
        page.keyboard().press("Control+z");
        assertThat(sheet.field("length")).hasValue("20");
        page.keyboard().press("Control+Shift+z");
        assertThat(sheet.field("length")).hasValue("35");
        assertThat(sheet.saveState()).hasText("a moment ago");
    }

    @Test
    void aFigureOfMyOwnBecomesARow(Page page) {
        PlanSheetPage sheet = PlanSheetPage.makeNew(page);
        sheet.button("Add a figure of my own").click();
        sheet.field("name").fill("From the attic");
        sheet.button("Add the row").click();
        assertThat(sheet.alert().first()).containsText("Type at least one row of its sheet");
        page.getByLabel("frequency of row 1, MHz").fill("145");
        page.getByLabel("attenuation of row 1, dB per 100 m").fill("9,5");
        sheet.button("Add the row").click();
        assertThat(sheet.row("From the attic")).isVisible();
        sheet.button("From the attic").click();
        assertThat(sheet.note()).containsText("From the attic brings");
        assertThat(sheet.saveState()).hasText("a moment ago");
        page.reload();
        assertThat(sheet.row("From the attic")).isVisible();
    }

    @Test
    void whatTwoTabsChangeInDifferentPartsIsInBoth(Page page) {
        PlanSheetPage mine = PlanSheetPage.makeNew(page);
        assertThat(mine.saveState()).hasText("a moment ago");
        Page other = page.context().newPage();
        PlanSheetPage theirs = PlanSheetPage.open(other, page.url());
        assertThat(page.getByText("you, in another window")).isVisible();
        theirs.field("radio power").fill("20");
        assertThat(mine.field("radio power")).hasValue("20");
        assertThat(page.getByText("radio changed by another window")).isVisible();
        assertThat(mine.note()).containsText("of your 20 W");
        mine.field("asked for: percent that arrives").fill("33");
        assertThat(theirs.field("asked for: percent that arrives")).hasValue("33");
        assertThat(theirs.field("radio power")).hasValue("20");
        other.close();
        assertThat(page.getByText("you, in another window")).hasCount(0);
    }

    /** As where something along the way holds events back. */
    private static void hearNothing(Page page) {
        page.route("**/api/plans/*/events", Route::abort);
    }

    @Test
    void twoTabsDoNotOverwriteEachOther(Page page) {
        hearNothing(page);
        PlanSheetPage mine = PlanSheetPage.makeNew(page);
        assertThat(mine.saveState()).hasText("a moment ago");
        Page other = page.context().newPage();
        PlanSheetPage theirs = PlanSheetPage.open(other, page.url());
        theirs.field("length").fill("44");
        assertThat(theirs.field("length")).hasValue("44");
        assertThat(other.getByText("cable for the 44 m")).isVisible();
        theirs.awaitStored("\"lengthM\":44");

        mine.field("length").fill("55");
        assertThat(mine.alert()).containsText("saved elsewhere meanwhile");
        assertThat(mine.alert()).containsText("uhf – rg-58 55 m – uhf");
        assertThat(mine.alert()).containsText("uhf – rg-58 44 m – uhf");
        assertThat(mine.field("length")).hasValue("55");
        mine.button("Take theirs instead").click();
        assertThat(mine.field("length")).hasValue("44");
        assertThat(mine.alert()).hasCount(0);
    }

    @Test
    void piecesOfBothVersionsCanBeKept(Page page) {
        hearNothing(page);
        PlanSheetPage mine = PlanSheetPage.makeNew(page);
        assertThat(mine.saveState()).hasText("a moment ago");
        Page other = page.context().newPage();
        PlanSheetPage theirs = PlanSheetPage.open(other, page.url());
        theirs.field("length").fill("44");
        theirs.field("radio power").fill("20");
        assertThat(theirs.note()).containsText("of your 20 W");
        theirs.awaitStored("\"lengthM\":44");
        theirs.awaitStored("\"powerW\":20");

        mine.field("length").fill("55");
        assertThat(mine.alert()).containsText("saved elsewhere meanwhile");
        mine.field("asked for: percent that arrives").fill("33");
        page.getByRole(AriaRole.ROW, new Page.GetByRoleOptions().setName("run"))
                .getByRole(AriaRole.RADIO)
                .nth(1)
                .check();
        mine.button("Save as marked").click();
        assertThat(mine.alert()).hasCount(0);
        assertThat(mine.saveState()).hasText("a moment ago");
        page.reload();
        assertThat(mine.field("length")).hasValue("44");
        assertThat(mine.field("asked for: percent that arrives")).hasValue("33");
        assertThat(mine.field("radio power")).hasValue("100");
    }
}
