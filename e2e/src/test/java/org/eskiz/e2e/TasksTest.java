package org.eskiz.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** What operators come with, from the plans to the answer, in no more actions than it is worth: a click or a field typed is one. */
@ExtendWith(RunningEskiz.class)
class TasksTest {

    private Page page;
    private PlanSheetPage sheet;
    private int actions;

    @BeforeEach
    void begin(Page page) {
        this.page = page;
        sheet = PlanSheetPage.on(page);
        page.navigate("/plans");
    }

    /** The settings are the operator's, and every story begins with the usual ones. */
    @AfterEach
    void leaveTheSettingsAsTheyWere(Page page) {
        page.navigate("/settings");
        page.getByLabel("Lengths").getByText("metres").click();
        page.getByLabel("Temperatures").getByText("°C").click();
        page.getByLabel("currency").fill("EUR");
        page.waitForCondition(() -> {
            String stored = page.request().get("/api/settings").text();
            return stored.contains("METRES") && stored.contains("CELSIUS") && stored.contains("EUR");
        });
        page.evaluate("""
                async () => {
                  const settings = await (await fetch('/api/settings')).json();
                  await fetch('/api/settings', {
                    method: 'PUT',
                    headers: { 'Content-Type': 'application/json' },
                    body: JSON.stringify({ ...settings, ownPrices: [], ledgerColumns: [] }),
                  });
                }""");
    }

    @Test
    void fromNothingToAJustifiedChoice() {
        makeNew("Home run");
        type("radio power", "100");
        type("length", "25");
        assertThat(sheet.note()).containsText("Suggested: it comes first in the ledger");
        String cable = page.locator("[data-row]")
                .first()
                .getByRole(AriaRole.BUTTON)
                .first()
                .textContent();
        click(sheet.button("Choose this cable"));
        Locator reason = page.getByLabel(Pattern.compile("^Why "));
        assertThat(reason).isFocused();
        reason.fill("It is on the shelf.");
        reason.press("Control+Enter");
        actions++;
        assertThat(page.getByText(Pattern.compile("is chosen\\. It stands below")))
                .isVisible();
        assertThat(page.locator("[data-row]").first()).containsText("chosen, in the run");
        assertThat(cable).isNotEmpty();
        inAtMost(6);
    }

    @Test
    void theKeyboardAloneLeadsFromTheFirstStartToAKeptChoice() {
        page.getByText("New plan").first().waitFor();
        page.keyboard().press("n");
        assertThat(page.locator(":focus")).containsText("Home run");
        page.keyboard().press("Enter");
        assertThat(sheet.field("radio power")).isFocused();
        page.keyboard().type("50");
        page.keyboard().press("Enter");
        assertThat(sheet.field("length")).isFocused();
        page.keyboard().type("18");
        page.keyboard().press("Enter");
        assertThat(sheet.field("length")).isFocused();
        for (int i = 0; i < 200 && !"Choose this cable".equals(focused()); i++) {
            page.keyboard().press("Tab");
            assertThat(page.evaluate("document.activeElement === document.body"))
                    .as("the focus after Tab %d", i)
                    .isEqualTo(false);
        }
        page.keyboard().press("Enter");
        page.keyboard().type("By keys alone.");
        page.keyboard().press("Control+Enter");
        assertThat(sheet.note()).containsText("“By keys alone.”");
    }

    @Test
    void aFirstStationInFeetAndOwnMoney() {
        makeNew("Home run");
        type("length", "140 ft");
        type("SWR at the antenna", "1");
        click(page.getByLabel("columns of the ledger"));
        click(page.getByText("percent lost on the band in focus"));
        page.keyboard().press("Escape");
        click(page.getByLabel("more about Foam 6").first());
        price("Foam 6", "0.40/ft");
        price("UHF", "3");
        click(page.getByLabel("more about Foam 10").first());
        price("Foam 10", "1.10/ft");
        assertThat(page.getByTestId("ledger")).containsText("lost, %");
        assertThat(page.getByTestId("ledger")).containsText("140 ft");
        assertThat(sheet.row("Foam 10")).containsText(Pattern.compile("1[5-9]\\d"));
        click(band("2 m"));
        assertThat(sheet.note()).containsText(Pattern.compile("2.m"));
        inAtMost(15);
    }

    @Test
    void aWireThatIsResonantNowhereByBalancedLineOrByHalfOfIt() {
        makeNew("Home run");
        type("length", "18");
        type("frequency", "3.65");
        type("SWR at the antenna", "45 - j620");
        click(band("10 m"));
        type("SWR at the antenna", "3200 + j350");
        click(sheet.button("Open wire 600 Ω"));
        assertThat(sheet.element("Open wire 600 Ω")).isVisible();
        put("UHF and Open wire 600 Ω", "transformer 4:1");
        put("the radio and UHF", "9 m RG-213");
        assertThat(sheet.element("RG-213")).isVisible();
        sheet.awaitStored("rg-213");
        String plan = page.url().replaceFirst(".*/plans/([0-9a-f-]+).*", "$1");
        page.navigate("/plans/compare?p=%1$s&p=%1$s~rg-213&p=%1$s~foam-10&p=%1$s~window-450".formatted(plan));
        actions++;
        Locator table = page.getByRole(AriaRole.TABLE).first();
        assertThat(table).containsText("Open wire 600 Ω");
        assertThat(table).containsText("RG-213");
        assertThat(table).containsText("80 m");
        assertThat(table).containsText("10 m");
        inAtMost(20);
    }

    @Test
    void aLinkOnMicrowavesByLossAgainstGainAndCutShort() {
        makeNew("Microwave or data link");
        type("frequency", "3500");
        type("length", "4");
        click(page.getByLabel(Pattern.compile("^more about 9 cm|^more about 2.4 GHz")));
        type("antenna gain", "11");
        assertThat(page.getByTestId("ledger")).containsText("cable for the 4");
        assertThat(sheet.row("RG-58")).containsText(Pattern.compile("lost|gain"));
        type("length", "0.5");
        assertThat(page.getByTestId("ledger")).containsText("cable for the 0.5");
        inAtMost(10);
    }

    @Test
    void aListeningPostOnFourFrequenciesWithASplitterForFour() {
        makeNew("Receive only");
        type("length", "31");
        put("N and the antenna", "splitter 1:4");
        put("splitter 1:4 and the antenna", "preamplifier");
        assertThat(sheet.row("RG-6")).isVisible();
        inAtMost(12);
    }

    @Test
    void aKitIsWeighedInGramsAndJoinedWithBarrels() {
        makeNew("Field kit");
        type("radio power", "5");
        type("length", "9");
        assertThat(page.locator("[data-row]").first()).containsText(Pattern.compile("\\d+ g"));
        click(page.getByLabel("add between BNC and the antenna", new Page.GetByLabelOptions().setExact(true)));
        Locator box = page.getByLabel("what to put here");
        box.fill("2 barrels of 0.2 dB");
        assertThat(page.getByRole(AriaRole.OPTION).first()).containsText("2 × ");
        box.press("Enter");
        actions++;
        assertThat(page.locator("[data-element]")).hasCount(5);
        click(page.getByLabel("more about RG-58").first());
        assertThat(page.getByTestId("prices")).containsText("barrel (no price known)");
        inAtMost(10);
    }

    @Test
    void fromWhichLengthAThinCableIsNoLongerGoodEnough() {
        makeNew("Vehicle");
        click(sheet.button("Reach"));
        Locator reach = page.getByTestId("reach-view");
        assertThat(reach).containsText(Pattern.compile("RG-174.*m, by 70.cm"));
        click(sheet.button("Ledger"));
        assertThat(page.getByLabel("what would change it")).containsText("per dB");
        inAtMost(8);
    }

    @Test
    void aTunerAtTheRadioOrAtTheAntenna() {
        makeNew("Field kit");
        type("radio power", "3");
        type("length", "14");
        sheet.field("SWR at the antenna").fill("180 - j280");
        sheet.field("SWR at the antenna").press("Enter");
        actions++;
        assertThat(sheet.field("antenna reactance")).hasValue("−280");
        click(sheet.button("RG-174"));
        click(page.getByLabel(Pattern.compile("^matching unit")).first());
        assertThat(page.getByText(Pattern.compile("matched at the antenna.*W")).first())
                .isVisible();
        inAtMost(8);
    }

    @Test
    void anSwrThatLooksGoodThroughALossyCableWillBeWorseThroughABetterOne() {
        makeNew("Home run");
        click(sheet.button("RG-174"));
        click(page.getByLabel("what is known of the antenna: SWR at the antenna"));
        click(page.getByRole(
                AriaRole.OPTION,
                new Page.GetByRoleOptions().setName("SWR at the radio").setExact(true)));
        type("SWR at the radio", "1.1");
        click(sheet.button("Foam 10"));
        assertThat(page.getByLabel("bands", new Page.GetByLabelOptions().setExact(true)))
                .containsText(
                        Pattern.compile(
                                "read at the radio through 20.m RG-174: [0-9.]+ at the antenna; with this run the radio shows"));
        inAtMost(7);
    }

    @Test
    void feetDollarsFahrenheitInchesAndPoundsOnEverySheet() {
        page.navigate("/settings");
        click(page.getByLabel("Lengths").getByText("feet"));
        click(page.getByLabel("Temperatures").getByText("°F"));
        page.getByLabel("currency").fill("USD");
        actions++;
        page.waitForCondition(() -> page.request().get("/api/settings").text().contains("USD"));
        page.navigate("/cables?type=foam-10");
        assertThat(page.getByRole(AriaRole.TABLE).first()).containsText("dB/100 ft");
        assertThat(page.getByText(Pattern.compile("oz/ft")).first()).isVisible();
        assertThat(page.getByText("USD per ft").first()).isVisible();
        makeNewUncounted("Home run");
        assertThat(sheet.field("length")).hasValue("65");
        assertThat(page.getByTestId("ledger")).containsText("cost, USD");
        click(sheet.button("Value"));
        assertThat(page.getByTestId("value-view")).containsText("per W lost and ft");
        assertThat(page.getByTestId("value-view")).not().containsText("EUR");
        inAtMost(4);
    }

    @Test
    void aPriceIsTypedWhereItStandsAndCountsEverywhere() {
        makeNew("Home run");
        click(page.getByLabel("more about RG-213"));
        Locator price = page.getByTestId("prices")
                .getByLabel("price of RG-213", new Locator.GetByLabelOptions().setExact(true));
        price.fill("0.50/m");
        actions++;
        assertThat(page.getByLabel("day of the price of RG-213").first()).isVisible();
        assertThat(page.getByTestId("prices")).containsText("At a sample price: ");
        page.navigate("/cables?type=rg-213");
        assertThat(page.getByText("yours, of")).isVisible();
        page.getByLabel("Drop your price of RG-213").click();
        assertThat(page.getByText("a sample: type your own price over it")).isVisible();
        inAtMost(15);
    }

    @Test
    void whatNobodyKnowsIsAskedBackAndWhatStandsElsewhereIsSaid() {
        makeNew("Home run");
        sheet.field("radio power").fill("1,500 W");
        assertThat(page.getByText("1.5 W?")).isVisible();
        page.getByText("1500 W was meant").click();
        assertThat(sheet.field("radio power")).hasValue("1500");
        page.getByLabel("add between UHF and the antenna", new Page.GetByLabelOptions().setExact(true))
                .click();
        page.getByLabel("what to put here").fill("tuner");
        assertThat(sheet.alert()).containsText("set on the ribbon");
        page.keyboard().press("Escape");
        page.navigate("/no/such/sheet.html");
        assertThat(page.getByText("There is no sheet at this address.")).isVisible();
    }

    private void makeNew(String use) {
        click(page.getByText("New plan").first());
        click(page.getByText(use, new Page.GetByTextOptions().setExact(true)).first());
        page.waitForURL("**/plans/*-*");
        sheet.row("Foam 10").waitFor();
    }

    private void makeNewUncounted(String use) {
        int before = actions;
        page.navigate("/plans");
        makeNew(use);
        actions = before;
    }

    private void click(Locator what) {
        what.click();
        actions++;
    }

    private void type(String field, String text) {
        sheet.field(field).fill(text);
        sheet.field(field).press("Enter");
        actions++;
    }

    private void price(String of, String text) {
        Locator price =
                page.getByTestId("prices").getByLabel("price of " + of, new Locator.GetByLabelOptions().setExact(true));
        price.fill(text);
        price.press("Enter");
        actions++;
    }

    private void put(String between, String what) {
        click(page.getByLabel("add between " + between, new Page.GetByLabelOptions().setExact(true)));
        Locator box = page.getByLabel("what to put here");
        box.fill(what);
        page.getByRole(AriaRole.OPTION).first().waitFor();
        box.press("Enter");
        actions++;
    }

    private Locator band(String name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^" + name)));
    }

    private String focused() {
        return (String) page.evaluate("document.activeElement.textContent");
    }

    private void inAtMost(int asked) {
        assertThat(actions).as("actions").isLessThanOrEqualTo(asked);
    }
}
