package org.eskiz.e2e;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;

/** The plan sheet as an operator finds their way on it. */
final class PlanSheetPage {

    /** The demo's gallery plan: 31 m of cable, 50 W, 6 m to 70 cm. */
    static final String GALLERY = "/plans/5ca77a00-0001-4000-8000-000000000001?band=b2m";

    private final Page page;

    private PlanSheetPage(Page page) {
        this.page = page;
    }

    /** The sheet that the page leads to, whichever that will be. */
    static PlanSheetPage on(Page page) {
        return new PlanSheetPage(page);
    }

    static PlanSheetPage open(Page page, String address) {
        page.navigate(address);
        PlanSheetPage sheet = new PlanSheetPage(page);
        sheet.row("Foam 10").waitFor();
        return sheet;
    }

    /** A new plan, with the band that it begins with in focus. */
    static PlanSheetPage makeNew(Page page) {
        page.navigate("/plans");
        page.getByText("New plan").first().click();
        page.getByText("Home run").first().click();
        page.waitForURL("**/plans/*-*");
        PlanSheetPage sheet = open(page, page.url() + "?band=");
        sheet.field("length").waitFor();
        return sheet;
    }

    Locator field(String label) {
        return page.getByLabel(label, new Page.GetByLabelOptions().setExact(true))
                .and(page.locator("input"));
    }

    /** The button that stands for an element of the run. */
    Locator element(String name) {
        return page.locator("[data-element]").filter(new Locator.FilterOptions().setHasText(name));
    }

    Locator button(String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    Locator row(String cable) {
        return page.locator("[data-row]").filter(new Locator.FilterOptions().setHas(button(cable)));
    }

    /** The figure of the band in focus, the second of three. */
    Locator focusFigure(String cable) {
        return row(cable).locator("td").nth(2);
    }

    Locator note() {
        return page.getByRole(AriaRole.COMPLEMENTARY, new Page.GetByRoleOptions().setName("note"));
    }

    Locator saveState() {
        return page.getByTestId("save-state");
    }

    Locator alert() {
        return page.getByRole(AriaRole.ALERT);
    }

    /** Waits until what is stored of the plan says so; what the sheet shows may be older than the last change. */
    void awaitStored(String part) {
        String address = page.url().replaceFirst("/plans/([0-9a-f-]+).*", "/api/plans/$1");
        page.waitForCondition(() -> page.request().get(address).text().contains(part));
    }
}
