package org.eskiz.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Plans that travel as files, and the guide. */
@ExtendWith(RunningEskiz.class)
class TravelTest {

    @Test
    void aPlanGoesOutAndWhatClashesIsAsked(Page page) throws IOException {
        page.navigate("/plans/5ca77a00-0002-4000-8000-000000000002?view=paper");
        Download file = page.waitForDownload(
                () -> page.getByText("Save the plan as a file").click());
        assertThat(file.suggestedFilename()).endsWith(".eskiz.json");
        String text = Files.readString(file.path());
        assertThat(text).contains("\"format\":\"eskiz\"");

        page.navigate("/plans");
        page.getByText("Import a file").click();
        Locator panel = page.getByLabel("a file from elsewhere");
        choose(panel, text);
        assertThat(panel).containsText("0 new");
        assertThat(panel.getByText("Take it")).isDisabled();

        String mark = "<img src=x onerror=alert(1)>";
        choose(panel, text.replace("Lantern gallery, spare 2 m run", mark));
        assertThat(panel.getByLabel("what clashes")).containsText(mark);
        assertThat(panel.getByText("Take it")).isDisabled();
        panel.getByLabel(Pattern.compile("^what becomes of")).selectOption("BOTH");
        panel.getByText("Take it").click();
        assertThat(panel).containsText("was taken");
        page.getByLabel("search plans").fill("onerror file");
        assertThat(page.getByText(mark + " (from a file)")).isVisible();

        choose(panel, text.substring(0, 400));
        assertThat(panel.getByRole(AriaRole.ALERT)).containsText("This is not whole, or not JSON: line 1, column");
    }

    private static void choose(Locator panel, String text) {
        panel.locator("input[type=file]")
                .setInputFiles(
                        new FilePayload("a.eskiz.json", "application/json", text.getBytes(StandardCharsets.UTF_8)));
    }

    @Test
    void theLedgerGoesOutAsCsv(Page page) throws IOException {
        PlanSheetPage.open(page, PlanSheetPage.GALLERY);
        Download csv =
                page.waitForDownload(() -> page.getByText("Save as CSV", new Page.GetByTextOptions().setExact(true))
                        .click());
        assertThat(Files.readString(csv.path()))
                .startsWith("cable,verdict,cost,currency,mass_kg,6 m total_loss_db")
                .contains("\r\nFoam 10,");
    }

    @Test
    void everyWordOfTheTradeLeadsToTheGlossary(Page page) {
        PlanSheetPage sheet = PlanSheetPage.open(page, PlanSheetPage.GALLERY);
        sheet.note()
                .getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName("standing wave adds"))
                .click();
        assertThat(page).hasURL(Pattern.compile("/guide#mismatch-loss$"));
        assertThat(page.locator("#mismatch-loss")).isInViewport();
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("A first plan in two minutes")))
                .isAttached();
        page.setViewportSize(390, 844);
        assertThat((Integer) page.evaluate("document.documentElement.scrollWidth"))
                .isLessThanOrEqualTo(390);
    }
}
