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

/** Runs that belong together: a run that forks, a preamplifier that is moved, and the sheet of a site. */
@ExtendWith(RunningEskiz.class)
class SiteTest {

    private static final String RECEIVERS = "/plans/5ca77a00-0007-4000-8000-000000000007";

    @Test
    void anotherBranchComesIntoFocusAtItsLine(Page page) {
        page.navigate(RECEIVERS);
        assertThat(page.getByTestId("preamplifier")).isVisible();
        Locator branch = page.getByTestId("branch");
        assertThat(branch).containsText("chart room (marine): RG-58 12 m");
        branch.locator("text").click();
        assertThat(branch).containsText("watch room (aircraft): RG-58 2 m");
        assertThat(page.getByLabel("frequency", new Page.GetByLabelOptions().setExact(true)))
                .hasValue("156.8");
    }

    @Test
    void aPreamplifierIsComparedAtTheMastAndAtTheRadioAndMoved(Page page) {
        page.navigate(RECEIVERS);
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName(Pattern.compile("^preamplifier preamplifier")))
                .click();
        Locator mast =
                page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^at the mast")));
        Locator radio =
                page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^at the radio")));
        assertThat(mast).containsText("dB");
        assertThat(radio).containsText("dB");
        assertThat(figure(mast.textContent())).isLessThan(figure(radio.textContent()));
        radio.click();
        assertThat(radio).hasAttribute("aria-pressed", "true");
        page.keyboard().press("Escape");
        page.locator("h1, main").first().click();
        page.keyboard().press("Control+z");
        assertThat(page.getByText("the preamplifier brings").first()).isVisible();
    }

    /** The number of dB in a line. */
    private static double figure(String line) {
        var found = Pattern.compile("([−-]?\\d+\\.\\d)\\s*dB").matcher(line);
        assertThat(found.find()).isTrue();
        return Double.parseDouble(found.group(1).replace('−', '-'));
    }

    @Test
    void aDiplexerIsPutInAndTakenOutAgain(Page page) {
        page.navigate("/plans/5ca77a00-0001-4000-8000-000000000001?band=b2m");
        page.getByLabel(Pattern.compile("^add between .* and the antenna"))
                .first()
                .focus();
        page.keyboard().press("Enter");
        page.getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName("what to put here"))
                .fill("diplexer to two");
        page.keyboard().press("Enter");
        Locator other = page.getByTestId("branch");
        assertThat(other).hasCount(1);
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^fork diplexer")))
                .click();
        assertThat(page.getByText("One line, or a line for each?")).isVisible();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Take out"))
                .click();
        assertThat(other).hasCount(0);
    }

    @Test
    void theSheetOfASiteBuysAndCutsForAllItsRuns(Page page) throws IOException {
        page.navigate("/sites");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("^Signal mast")))
                .click();
        assertThat(page.getByText(Pattern.compile(
                        "Foam 10 for all runs from one reel is \\d+ EUR cheaper than the best for each run by itself")))
                .isVisible();
        page.getByLabel("bore of duct 1", new Page.GetByLabelOptions().setExact(true))
                .fill("20");
        assertThat(page.getByText("too full to draw cables through")).isVisible();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Undo"))
                .click();
        assertThat(page.getByText("room for one more of")).isVisible();

        page.getByLabel("delay of Upper beam", new Page.GetByLabelOptions().setExact(true))
                .fill("76.1");
        page.getByLabel("delay of Lower beam", new Page.GetByLabelOptions().setExact(true))
                .fill("62.1");
        assertThat(page.getByText(Pattern.compile("Cut \\d+ mm off (Upper|Lower) beam")))
                .isVisible();

        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Plan the cuts"))
                .click();
        assertThat(page.getByText("0 of 3 cut.")).isVisible();
        page.getByLabel(Pattern.compile("is cut")).first().check();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Put it into the locker"))
                .click();
        Locator piece = page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("in the locker"));
        assertThat(piece).isVisible();
        assertThat(page.getByText("saved", new Page.GetByTextOptions().setExact(true)))
                .isVisible();
        page.reload();
        assertThat(page.getByText("1 of 3 cut.")).isVisible();

        Download file = page.waitForDownload(
                () -> page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Save to a file"))
                        .click());
        assertThat(Files.readString(file.path())).contains("\"sites\"").contains("Cable chute in the stair wall");
        piece.click();
        assertThat(page.getByRole(AriaRole.HEADING).first()).isVisible();
    }
}
