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
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** A cable of one's own, from a copied table to the ledger; and catalogues out and in. */
@ExtendWith(RunningEskiz.class)
class CablesTest {

    @Test
    void aCopiedTableBecomesACableThatCanBeChosen(Page page) {
        page.navigate("/cables");
        page.getByText("New cable").click();
        field(page, "name").fill("Quay 7");
        field(page, "velocity factor").fill("84");
        assertThat(page.getByText("A velocity factor of 84 % is 0.84")).isVisible();
        field(page, "velocity factor").fill("0,84");
        field(page, "outer diameter").fill("7.3");
        Locator rows = page.getByLabel("rows of its sheet");
        rows.fill("MHz;dB\n50;0,95\n145;1,65\n433;2,9\n1296;5,2\nend of table");
        assertThat(page.getByText("Is this per 100 ft?")).isVisible();
        assertThat(page.getByText("1 line is no row")).isVisible();
        button(page, "Take it per 100 ft").click();
        assertThat(page.getByText("4 rows: MHz and dB per 100 ft")).isVisible();
        assertThat(page.getByText("Is this per 100 ft?")).hasCount(0);

        // what was typed is there after a reload, and only then is it stored
        page.reload();
        assertThat(field(page, "name")).hasValue("Quay 7");
        page.getByLabel("the losses are").selectOption("PER_100_FT");
        button(page, "Leave out 50 MHz").click();
        button(page, "Store the cable").click();
        assertThat(row(page, "Quay 7")).containsText("my own");
        assertThat(page.getByText("3 rows of a sheet")).isVisible();

        PlanSheetPage plan = PlanSheetPage.makeNew(page);
        // nobody has said what it costs and whether it bears the sun: neither a pass nor a fail
        assertThat(plan.row("Quay 7")).hasAttribute("data-verdict", "MARGINAL");
        assertThat(plan.row("Quay 7")).containsText("not known");

        // a change tells which plans it moves; of this type there is none yet
        page.navigate("/cables");
        row(page, "Quay 7").getByRole(AriaRole.BUTTON).first().click();
        button(page, "Change it").click();
        assertThat(page.getByText("It moves no plan.")).isVisible();
        button(page, "Cancel").click();
        button(page, "Retire it").click();
        assertThat(row(page, "Quay 7")).hasCount(0);
        assertThat(page.getByText("retired type")).isVisible();
    }

    @Test
    void curvesAreLaidOverEachOtherAndReadAtAnyPlace(Page page) {
        page.navigate("/cables");
        row(page, "Foam 10").getByRole(AriaRole.BUTTON).first().click();
        button(page, "Add the curve of RG-58").click();
        Locator about = page.getByLabel("about a cable");
        assertThat(about.getByRole(AriaRole.LISTITEM)).hasCount(2);
        field(page, "length of the reading").fill("100");
        assertThat(about.getByRole(AriaRole.LISTITEM).first()).containsText("−5.00 dB");
        field(page, "frequency of the reading").fill("10 GHz");
        assertThat(about.getByRole(AriaRole.LISTITEM).first()).containsText("beyond its sheet");
        page.getByRole(
                        AriaRole.RADIO,
                        new Page.GetByRoleOptions().setName("what it bears").setExact(true))
                .click();
        assertThat(page.getByRole(AriaRole.IMG, new Page.GetByRoleOptions().setName("average power over frequency")))
                .isVisible();
        page.getByLabel("filter cable types").fill("75 Ω");
        assertThat(page.locator("[data-type]")).hasCount(3);
        assertThat(row(page, "RG-6")).isVisible();
    }

    @Test
    void aFileIsShownTakenAndTakenBack(Page page) throws IOException {
        page.navigate("/cables");
        Download csv = page.waitForDownload(() -> page.getByText("CSV", new Page.GetByTextOptions().setExact(true))
                .click());
        String whole = Files.readString(csv.path());
        assertThat(whole).startsWith("key,name,").contains("foam-10,Foam 10,");

        page.getByText("Import cables from a file").click();
        choose(page, "latin.csv", "key,name\nb\u00fccher,x\n".getBytes(StandardCharsets.ISO_8859_1));
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("is not encoded in UTF-8");
        String[] lines = whole.split("\r\n");
        String mine = lines[0] + "\n" + lines[12].replaceFirst("^[^,]*,[^,]*", "pier-10,Pier 10") + "\n" + lines[12]
                + "\nbroken,Broken\n";
        choose(page, "mine.csv", mine.getBytes(StandardCharsets.UTF_8));
        assertThat(page.locator("[data-what=NEW]")).containsText("Pier 10");
        assertThat(page.locator("[data-what=SAME]")).hasCount(1);
        assertThat(page.locator("[data-what=REFUSED]")).containsText("2 cells, where the header has");
        button(page, "Store 1 row").click();
        assertThat(row(page, "Pier 10")).isVisible();
        button(page, "Take it back").click();
        assertThat(page.getByText("Taken back")).isVisible();
        assertThat(row(page, "Pier 10")).hasCount(0);
    }

    private static void choose(Page page, String name, byte[] content) {
        page.locator("input[type=file]").setInputFiles(new FilePayload(name, "text/csv", content));
    }

    private static Locator field(Page page, String label) {
        return page.getByLabel(label, new Page.GetByLabelOptions().setExact(true))
                .and(page.locator("input"));
    }

    private static Locator button(Page page, String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private static Locator row(Page page, String name) {
        return page.locator("[data-type]").filter(new Locator.FilterOptions().setHas(button(page, name)));
    }
}
