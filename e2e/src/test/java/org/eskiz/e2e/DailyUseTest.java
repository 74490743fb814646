package org.eskiz.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.eskiz.e2e.RunningEskiz.Server;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Nothing lost, nothing in the way. */
@ExtendWith(RunningEskiz.class)
class DailyUseTest {

    @Test
    void whatIsTypedWhileTheServerIsAwayIsSavedWhenItIsBack(Page page) {
        PlanSheetPage sheet = PlanSheetPage.open(page, "/plans/5ca77a00-0004-4000-8000-000000000004");
        page.route("**/api/**", Route::abort);
        sheet.field("plan name").fill("Kit for the outer skerry");
        assertThat(sheet.saveState()).containsText("the server is away, trying again");
        assertThat(sheet.field("plan name")).hasValue("Kit for the outer skerry");

        page.unroute("**/api/**");
        assertThat(sheet.saveState()).hasText("a moment ago");
        page.reload();
        assertThat(sheet.field("plan name")).hasValue("Kit for the outer skerry");
    }

    @Test
    void aDatabaseThatIsAwayIsToldApart(Page page) {
        PlanSheetPage sheet = PlanSheetPage.open(page, "/plans/5ca77a00-0004-4000-8000-000000000004");
        page.route("**/api/plans/*", route -> route.fulfill(new Route.FulfillOptions().setStatus(503)));
        sheet.field("site").fill("Outer skerry");
        assertThat(sheet.saveState()).containsText("the database is away, trying again");
        page.unroute("**/api/plans/*");
        assertThat(sheet.saveState()).hasText("a moment ago");
    }

    @Test
    void whatWasNotSavedSurvivesTheClosedTab(Page page) {
        String address = "/plans/5ca77a00-0005-4000-8000-000000000005";
        PlanSheetPage sheet = PlanSheetPage.open(page, address);
        page.route("**/api/plans/*", route -> {
            if (route.request().method().equals("PUT")) {
                route.abort();
            } else {
                route.resume();
            }
        });
        sheet.field("length").fill("19");
        assertThat(sheet.saveState()).containsText("not saved");
        Page again = page.context().newPage();
        page.close();
        PlanSheetPage reopened = PlanSheetPage.open(again, address);
        assertThat(reopened.field("length")).hasValue("19");
        assertThat(reopened.saveState()).hasText("a moment ago");
        again.reload();
        assertThat(reopened.field("length")).hasValue("19");
    }

    @Test
    void plansAreFoundVariedPutAwayAndBroughtBack(Page page) {
        page.navigate("/plans");
        page.getByLabel("search plans").fill("speaking foam");
        assertThat(page.getByLabel("Delete HF wire through the speaking tube")).isVisible();
        assertThat(page.getByText("Lantern gallery, 6 m to 70 cm")).hasCount(0);

        page.getByLabel("Make a variant of HF wire through the speaking tube").click();
        page.getByLabel("Delete HF wire through the speaking tube, variant").click();
        assertThat(page.getByText("is in the bin.")).isVisible();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Undo"))
                .click();
        assertThat(page.getByLabel("Delete HF wire through the speaking tube, variant"))
                .isVisible();
        assertThat(page.getByText("Bin: 1 plan")).hasCount(0);
        page.getByLabel("Delete HF wire through the speaking tube, variant").click();
        page.getByText("Bin: 1 plan").click();
        page.getByText("restore HF wire through the speaking tube, variant").click();
        assertThat(page.getByLabel("Delete HF wire through the speaking tube, variant"))
                .isVisible();
    }

    @Test
    void settingsStickAndTheNightSheetIsDark(Page page) {
        page.navigate("/settings");
        page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName("night"))
                .click();
        page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName("feet"))
                .click();
        awaitSettings(page, "\"palette\":\"NIGHT\"", "\"lengths\":\"FEET\"");
        page.navigate(PlanSheetPage.GALLERY);
        assertThat(page.locator("html")).hasCSS("background-color", "rgb(20, 23, 29)");
        assertThat(page.getByText("cable for the 101.71 ft")).isVisible();
        page.navigate("/settings");
        page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName("as the system says"))
                .click();
        page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName("metres"))
                .click();
        awaitSettings(page, "\"palette\":\"SYSTEM\"", "\"lengths\":\"METRES\"");
    }

    private static void awaitSettings(Page page, String... parts) {
        page.waitForCondition(() -> {
            String stored = page.request().get("/api/settings").text();
            return Stream.of(parts).allMatch(stored::contains);
        });
    }

    @Test
    void shortcutsAreListedAndLead(Page page) {
        PlanSheetPage.open(page, PlanSheetPage.GALLERY);
        page.keyboard().press("?");
        assertThat(page.getByRole(AriaRole.DIALOG)).containsText("choose the cable that is shown");
        page.keyboard().press("Escape");
        assertThat(page.getByRole(AriaRole.DIALOG)).hasCount(0);
        page.keyboard().press("]");
        page.waitForURL("**band=b70cm*");
        page.keyboard().press("g");
        page.keyboard().press("p");
        page.waitForURL("**/plans");
    }

    @Test
    void halfTypedTextSurvivesTheReload(Page page) {
        PlanSheetPage sheet = PlanSheetPage.open(page, "/plans/5ca77a00-0003-4000-8000-000000000003");
        String before = sheet.field("length").inputValue();
        sheet.field("length").fill("fort");
        assertThat(sheet.alert()).containsText("“fort” is not understood");
        page.reload();
        assertThat(sheet.field("length")).hasValue("fort");
        assertThat(sheet.alert()).containsText("“fort” is not understood");
        sheet.field("length").press("Escape");
        assertThat(sheet.field("length")).hasValue(before);
        page.reload();
        assertThat(sheet.field("length")).hasValue(before);

        sheet.button("Add a figure of my own").click();
        sheet.field("name").fill("Half a reel");
        page.reload();
        assertThat(sheet.field("name")).hasValue("Half a reel");
        sheet.button("Cancel").click();
        assertThat(sheet.field("name")).hasCount(0);
    }

    @Test
    void theRunIsWalkedAndChangedByKeysAlone(Page page) {
        PlanSheetPage sheet = PlanSheetPage.open(page, "/plans/5ca77a00-0003-4000-8000-000000000003");
        Locator joint = page.locator("[data-element='0']");
        joint.focus();
        page.keyboard().press("ArrowRight");
        assertThat(page.locator("[data-element='1']")).isFocused();
        page.keyboard().press("Tab");
        assertThat(sheet.field("length")).isFocused();
        double before = Double.parseDouble(sheet.field("length").inputValue());
        page.keyboard().press("ArrowUp");
        page.keyboard().press("Shift+ArrowUp");
        assertThat(sheet.field("length")).hasValue(plain(Math.floor(before + 0.1) + 1));
        assertThat(page.getByTestId("settled"))
                .containsText(Pattern.compile("brings .* It (passes|fails|is marginal)\\."));

        page.keyboard().press("Shift+Tab");
        page.keyboard().press("Alt+ArrowLeft");
        assertThat(page.locator("[data-element='0']")).hasAttribute("aria-label", Pattern.compile("^cable"));
        assertThat(page.locator("[data-element='0']")).isFocused();
        page.keyboard().press("Control+z");
        assertThat(page.locator("[data-element='0']")).hasAttribute("aria-label", Pattern.compile("^joint"));

        page.locator("[data-element='0']").press("Enter");
        assertThat(page.getByLabel("loss of the joint")).hasValue("typical");
        page.keyboard().press("Escape");
        page.getByText("Show as a table").click();
        assertThat(page.getByRole(AriaRole.TABLE).first()).containsText("comes out");
    }

    private static String plain(double value) {
        return value == Math.rint(value) ? Long.toString(Math.round(value)) : Double.toString(value);
    }

    @Test
    void aFlatLossIsChargedToEveryJoint(Page page) {
        PlanSheetPage sheet = PlanSheetPage.open(page, "/plans/5ca77a00-0005-4000-8000-000000000005");
        page.locator("[data-element='0']").click();
        page.getByLabel("loss of the joint").selectOption("flat");
        page.keyboard().press("Escape");
        assertThat(page.getByText("−0.20 dB").first()).isVisible();
        assertThat(page.locator("[data-element='0']")).hasAttribute("aria-label", Pattern.compile("loses 0.20 dB"));
        assertThat(sheet.saveState()).hasText("a moment ago");
    }

    @Test
    void theDayIsReadInTheUnitOfTheOperator(Page page) {
        PlanSheetPage sheet = PlanSheetPage.open(page, PlanSheetPage.GALLERY);
        sheet.field("temperature of the day").fill("104 °F");
        sheet.field("temperature of the day").press("Enter");
        assertThat(sheet.field("temperature of the day")).hasValue("40");
        assertThat(sheet.focusFigure("RG-174")).not().hasText("11.2");
        page.keyboard().press("Control+z");
        assertThat(sheet.field("temperature of the day")).hasValue("20");
    }

    @Test
    void thePlanSheetPrintsOnOnePage(Page page) {
        PlanSheetPage.open(page, PlanSheetPage.GALLERY);
        for (String format : new String[] {"A4", "Letter"}) {
            String pdf = new String(page.pdf(new Page.PdfOptions().setFormat(format)), StandardCharsets.ISO_8859_1);
            assertThat(pdf.split("/Type /Page\\b(?!s)", -1)).as(format).hasSize(2);
        }
    }

    @Test
    void aReceiverHasNoWatts(Page page) {
        PlanSheetPage sheet = PlanSheetPage.open(page, "/plans/5ca77a00-0006-4000-8000-000000000006");
        assertThat(sheet.note()).containsText("of the signal to the receiver on aircraft.");
        assertThat(sheet.field("radio power")).hasCount(0);
    }

    @Test
    void onAPhoneTheRunStandsUprightAndLengthsStep(Page page) {
        page.setViewportSize(390, 844);
        PlanSheetPage sheet = PlanSheetPage.open(page, "/plans/5ca77a00-0002-4000-8000-000000000002");
        assertThat(page.getByLabel("elements from antenna to radio")).isVisible();
        page.getByLabel("longer").click();
        assertThat(sheet.field("length")).hasValue("35");
        page.getByLabel("shorter").click();
        assertThat(sheet.field("length")).hasValue("34");
        assertThat((Integer) page.evaluate("document.documentElement.scrollWidth"))
                .isLessThanOrEqualTo(390);
    }

    @Test
    void aPageFromElsewhereCanNeitherReadNorChangeAnything(Server server, Page page) throws IOException {
        HttpServer elsewhere = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
        elsewhere.createContext("/", exchange -> {
            byte[] html = "<!doctype html><title>elsewhere</title>".getBytes(StandardCharsets.UTF_8);
            exchange.sendResponseHeaders(200, html.length);
            exchange.getResponseBody().write(html);
            exchange.close();
        });
        elsewhere.start();
        try {
            page.navigate("http://localhost:" + elsewhere.getAddress().getPort() + "/");
            String plan = server.address() + "/api/plans/5ca77a00-0001-4000-8000-000000000001";
            assertThat(page.evaluate(TRY, new Object[] {plan, "GET", null})).isEqualTo("refused");
            assertThat(page.evaluate(TRY, new Object[] {plan, "DELETE", null})).isEqualTo("refused");
            assertThat(page.evaluate(TRY, new Object[] {server.address() + "/api/plans", "POST", "{}"}))
                    .isEqualTo("refused");
            page.evaluate(
                    "address => fetch(address, {method: 'POST', mode: 'no-cors', body: '{}'}).catch(() => null)",
                    plan + "/restore");
        } finally {
            elsewhere.stop(0);
        }
        PlanSheetPage.open(page, server.address() + PlanSheetPage.GALLERY);
    }

    private static final String TRY = """
            ([address, method, body]) => fetch(address, {method, body, headers: body ? {'Content-Type': 'application/json'} : {}})
              .then(answer => answer.text()).catch(() => 'refused')""";
}
