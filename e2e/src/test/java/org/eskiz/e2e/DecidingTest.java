package org.eskiz.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** The decision: what is asked, what says no, what it is worth, and what would change it. */
@ExtendWith(RunningEskiz.class)
class DecidingTest {

    private static final Pattern WITH_ITS_SIGN = Pattern.compile("^[+−].*");

    @Test
    void whatThePlaceAndThePurseAskDecidesToo(Page page) {
        PlanSheetPage sheet = PlanSheetPage.makeNew(page);
        assertThat(sheet.row("RG-58")).containsText("its jacket does not bear the sun");
        page.getByLabel("about “in the sun”").first().click();
        assertThat(page.getByText("lies in the sun for years")).isVisible();
        sheet.button("Put it aside").click();
        page.keyboard().press("Escape");
        assertThat(sheet.row("RG-58")).containsText("50 % asked");

        page.getByLabel("ask for something more").click();
        sheet.button("a budget").click();
        sheet.field("asked for: a budget").fill("50");
        assertThat(sheet.row("Foam 10")).containsText("the budget is");
        assertThat(sheet.row("Foam 10")).hasAttribute("data-verdict", "FAIL");
        sheet.button("Hide what fails").click();
        assertThat(sheet.row("Foam 10")).hasCount(0);
        assertThat(page.getByText("cables are not shown")).isVisible();

        // four runs cost four times as much, and the heading says so
        page.getByLabel("how it is bought").first().click();
        page.getByLabel("how often the run is needed").selectOption("4");
        assertThat(page.getByText("cable for 4 × 20 m")).isVisible();
        assertThat(sheet.saveState()).hasText("a moment ago");
        page.reload();
        assertThat(sheet.field("asked for: a budget")).hasValue("50");
        assertThat(page.getByText("cable for 4 × 20 m")).isVisible();
        assertThat(sheet.button("Hide what fails")).hasAttribute("aria-pressed", "true");
    }

    @Test
    void howSureEachCableIsIsTold(Page page) {
        PlanSheetPage sheet = PlanSheetPage.makeNew(page);
        assertThat(page.locator("[data-row]").getByText("would pass").first()).isVisible();
        assertThat(page.locator("[data-row]:not([data-verdict=FAIL])")
                        .first()
                        .getByText(Pattern.compile("(nearly all|\\d+ in 20) would pass")))
                .isVisible();
        choose(page, "order of the rows", "surest first");
        assertThat(page.locator("[data-row]").first()).containsText("nearly all would pass");
        assertThat(sheet.note()).containsText("most of what is not known is");
        sheet.note().getByText("What is worth knowing").click();
        assertThat(page.getByLabel("what is worth knowing")
                        .getByRole(AriaRole.LISTITEM)
                        .first())
                .containsText("dB");
    }

    @Test
    void moreCertaintyIsBoughtAndAToleranceIsChangedWhereItIsTold(Page page) {
        PlanSheetPage sheet = PlanSheetPage.makeNew(page);
        page.getByLabel("more about RG-58").click();
        Locator tolerance = page.getByLabel(Pattern.compile("^tolerance of figures typical"))
                .first();
        String usual = tolerance.inputValue();
        tolerance.fill("40");
        tolerance.press("Enter");
        assertThat(sheet.row("RG-58").locator("xpath=following-sibling::tr[1]")).containsText("in 9 of 10");
        page.reload();
        page.getByLabel("more about RG-58").click();
        assertThat(tolerance).hasValue("40");
        tolerance.fill(usual);
        tolerance.press("Enter");

        sheet.button("Value").click();
        choose(page, "what money buys", "more certainty");
        assertThat(page.getByText("From the cheapest to the surest")).isVisible();
        assertThat(page).hasURL(Pattern.compile("by=chance"));
        page.reload();
        assertThat(page.getByText("From the cheapest to the surest")).isVisible();
    }

    @Test
    void whereNothingGetsThroughOneStepEasesIt(Page page) {
        PlanSheetPage sheet = PlanSheetPage.makeNew(page);
        sheet.field("asked for: percent that arrives").fill("99");
        assertThat(sheet.note()).containsText("Nothing gets through.");
        sheet.button("Do that").first().click();
        assertThat(sheet.note()).not().containsText("Nothing gets through.");
        assertThat(page.locator("[data-row]:not([data-verdict=FAIL])").first()).isVisible();
        sheet.field("asked for: percent that arrives").blur();
        page.keyboard().press("Control+z");
        assertThat(sheet.field("asked for: percent that arrives")).hasValue("99");
    }

    @Test
    void aMixIsFoundLaidAndThenJudgedLikeAnyCable(Page page) {
        PlanSheetPage sheet = PlanSheetPage.makeNew(page);
        sheet.button("Try a mix").click();
        Locator mixes = page.getByLabel("mixes");
        assertThat(mixes).containsText("No other mix is better.");
        sheet.field("length of the tail").fill("25");
        assertThat(mixes).containsText("must be shorter than the 20 m");
        sheet.field("length of the tail").fill("4");
        Locator best = mixes.locator("li").first();
        assertThat(best).containsText("16 m + 4 m");
        String name = best.locator("span.font-semibold").textContent();
        best.getByText("Use this mix").click();
        assertThat(sheet.row(name)).containsText("in the run");
        assertThat(page.locator("[data-element]")).hasCount(5);
        assertThat(sheet.note()).containsText(name.split(" \\+ ")[0]);
    }

    @Test
    void valueIsWeighedAndFiguresAreReadAgainstWhatOneHas(Page page) {
        PlanSheetPage sheet = PlanSheetPage.makeNew(page);
        page.getByLabel("more about RG-58").click();
        sheet.button("Read the others against it").click();
        assertThat(sheet.button("Read figures as they are, not against RG-58")).isVisible();
        assertThat(sheet.focusFigure("Foam 10")).hasText(WITH_ITS_SIGN);
        sheet.button("Read figures as they are, not against RG-58").click();
        assertThat(sheet.focusFigure("Foam 10")).not().hasText(WITH_ITS_SIGN);

        sheet.button("Value").click();
        Locator value = page.getByTestId("value-view");
        assertThat(value).containsText("it pays to go as far as");
        sheet.field("worth of a dB").fill("0.5");
        assertThat(value).containsText("as far as RG-6");
        sheet.field("worth of a dB").fill("20");
        assertThat(value).not().containsText("as far as RG-174");
    }

    @Test
    void aDecisionOnOldFiguresSaysSoAndTheNoteSaysWhatWouldChangeIt(Page page) {
        PlanSheetPage sheet = PlanSheetPage.makeNew(page);
        sheet.button("Foam 10").click();
        Locator changes = page.getByLabel("what would change it");
        assertThat(changes).containsText("Foam 10 does up to");
        assertThat(changes).containsText("does nothing for reception");
        sheet.button("Choose this cable").click();
        sheet.button("Keep the choice").click();
        assertThat(sheet.row("Foam 10")).containsText("chosen, in the run");
        assertThat(sheet.note()).not().containsText("Chosen on old figures");
        sheet.field("length").fill("28");
        assertThat(sheet.note()).containsText("Chosen on old figures: then");
        assertThat(sheet.note()).containsText("EUR; now");
    }

    @Test
    void aPlanStartsFromItsUse(Page page) {
        page.navigate("/plans");
        page.getByText("New plan").first().click();
        page.getByText("Receive only").first().click();
        page.waitForURL("**/plans/*-*");
        PlanSheetPage sheet = PlanSheetPage.open(page, page.url());
        assertThat(sheet.field("asked for: penalty on receive")).hasValue("2");
        assertThat(sheet.note()).containsText("of the signal to the receiver");
        page.getByLabel("ask for something more").click();
        assertThat(page.getByText("dB that may be lost")).isVisible();
        assertThat(page.getByText("heat that is borne")).hasCount(0);
    }

    private static void choose(Page page, String label, String option) {
        page.getByLabel(label).click();
        page.getByRole(
                        AriaRole.OPTION,
                        new Page.GetByRoleOptions().setName(option).setExact(true))
                .click();
    }
}
