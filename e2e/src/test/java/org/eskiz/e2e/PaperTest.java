package org.eskiz.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.RequestOptions;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.UUID;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** The run sheet on paper: what it says, how it is printed and saved, and its steps ticked. */
@ExtendWith(RunningEskiz.class)
class PaperTest {

    @Test
    void theSheetSaysWhatIsNeededOnTheRoof(Page page) {
        page.navigate(planOfMyOwn(page));
        Locator first = page.getByLabel("first page of the run sheet");
        assertThat(first).containsText("RG-213");
        assertThat(first.getByRole(AriaRole.IMG)).isVisible();
        assertThat(first).containsText(Pattern.compile("together.*EUR"));
        assertThat(first).containsText("cut 23 m");
        field(page, "allowance for service loop").fill("2");
        assertThat(first).containsText("cut 24.5 m");
        Locator second = page.getByLabel("second page of the run sheet");
        assertThat(second).containsText("Bend once and leave: no tighter than");
        assertThat(second).containsText("Test after fitting");
        assertThat(second).containsText(Pattern.compile("28.5 MHz8\\d\\.\\d W"));
        for (String caution : new String[] {"licence", "local code", "power line", "Digging", "while keyed"}) {
            assertThat(second).containsText(caution);
        }
    }

    /** A plan that no other test changes; its sheet with one cable in it. */
    private static String planOfMyOwn(Page page) {
        String id = UUID.randomUUID().toString();
        page.request()
                .post(
                        "/api/plans",
                        RequestOptions.create()
                                .setHeader("Content-Type", "application/json")
                                .setData("""
                        {"id": "%s", "site": "Quay", "name": "Mast", "document": {"schemaVersion": 1, "assessment":
                         {"radio": {"powerW": 100}, "run": [{"id": "j", "kind": "JOINT", "connectorKey": "n"},
                          {"id": "main", "kind": "LINE", "cableKey": "rg-213", "lengthM": 22, "candidate": true},
                          {"id": "k", "kind": "JOINT", "connectorKey": "n"}],
                          "bands": [{"id": "a", "name": "10 m", "frequencyMHz": 28.5, "load": {"swr": 1.5}}]},
                         "picked": true, "purchase": {"allowances": {"eachEndM": 0.1, "dripLoopM": 0.3, "serviceLoopM": 0.5}}}}""".formatted(id)));
        return "/plans/" + id + "?view=paper";
    }

    @Test
    void itPrintsOnTwoPagesOfEitherPaperAndIsSavedAsPdf(Page page) throws IOException {
        page.navigate(planOfMyOwn(page));
        page.getByLabel("second page of the run sheet").waitFor();
        for (String paper : new String[] {"A4", "Letter"}) {
            page.getByRole(
                            AriaRole.RADIO,
                            new Page.GetByRoleOptions().setName(paper).setExact(true))
                    .click();
            assertThat(pages(page.pdf(new Page.PdfOptions().setPreferCSSPageSize(true))))
                    .as(paper)
                    .isEqualTo(2);
            Download file =
                    page.waitForDownload(() -> page.getByText("Save as PDF", new Page.GetByTextOptions().setExact(true))
                            .click());
            byte[] pdf = Files.readAllBytes(file.path());
            assertThat(pages(pdf)).as(paper).isEqualTo(2);
            assertThat(pdf).hasSizeGreaterThan(50_000);
        }
        Download drawing =
                page.waitForDownload(() -> page.getByText("Save as SVG").click());
        assertThat(Files.readString(drawing.path()))
                .startsWith("<svg")
                .contains("RG-213")
                .doesNotContain("var(--");
        Download picture =
                page.waitForDownload(() -> page.getByText("Save as PNG").click());
        assertThat(Files.readAllBytes(picture.path())).startsWith(0x89, 'P', 'N', 'G');
    }

    private static int pages(byte[] pdf) {
        return new String(pdf, StandardCharsets.ISO_8859_1).split("/Type /Page\\b(?!s)", -1).length - 1;
    }

    /** On a phone on the roof: large enough to hit, kept with the plan, undone like anything else. */
    @Test
    void stepsAreTickedAndKeptWithThePlan(Page page) {
        page.setViewportSize(390, 844);
        page.navigate(planOfMyOwn(page));
        Locator list = page.getByLabel("checklist");
        Locator ohm = list.getByText(Pattern.compile("^Ohmmeter"));
        assertThat(list).containsText("none ticked");
        ohm.click();
        assertThat(list).containsText(Pattern.compile("1 of \\d+ steps are ticked"));
        assertThat(page.getByText("saved", new Page.GetByTextOptions().setExact(true)))
                .isVisible();
        assertThat((Double) list.locator("label").first().evaluate("e => e.getBoundingClientRect().height * 1.0"))
                .isGreaterThanOrEqualTo(44);
        page.waitForResponse(
                r -> r.url().contains("/api/plans/") && r.request().method().equals("PUT"),
                () -> list.getByText(Pattern.compile("^Drip loop")).click());
        page.reload();
        assertThat(page.getByLabel("checklist")).containsText(Pattern.compile("2 of \\d+ steps are ticked"));
        assertThat((Integer) page.evaluate("document.documentElement.scrollWidth"))
                .isLessThanOrEqualTo(390);
    }

    private static Locator field(Page page, String label) {
        return page.getByLabel(label, new Page.GetByLabelOptions().setExact(true));
    }
}
