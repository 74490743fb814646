package org.eskiz.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.deque.html.axecore.results.Rule;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.FieldSource;

/** Every sheet at every width, looked through by axe. */
@ExtendWith(RunningEskiz.class)
class AccessibilityTest {

    private static final List<String> SHEETS =
            List.of("/plans", "/settings", PlanSheetPage.GALLERY, PlanSheetPage.GALLERY + "?own=new");

    @ParameterizedTest
    @FieldSource("SHEETS")
    void axeFindsNothingAtAnyWidthInEitherPalette(String address, Page page) {
        page.navigate(address);
        for (int width : new int[] {1280, 1920, 390}) {
            page.setViewportSize(width, 844);
            page.locator("[data-row], [aria-label^='rename'], [role=radio]")
                    .first()
                    .waitFor();
            for (ColorScheme palette : List.of(ColorScheme.LIGHT, ColorScheme.DARK)) {
                page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(palette));
                assertThat(findings(page)).as("%s px, %s", width, palette).isEmpty();
            }
        }
    }

    @Test
    void axeFindsNothingInWhatOpens(Page page) {
        PlanSheetPage sheet = PlanSheetPage.open(page, PlanSheetPage.GALLERY);
        page.getByText("as a table").click();
        page.getByLabel("more about Foam 10", new Page.GetByLabelOptions().setExact(true))
                .click();
        page.getByLabel(Pattern.compile("^joint .*, 1 of")).click();
        page.getByText("from the radio", new Page.GetByTextOptions().setExact(false))
                .first()
                .waitFor();
        assertThat(findings(page)).isEmpty();
        page.keyboard().press("Escape");
        page.keyboard().press("?");
        page.getByRole(AriaRole.DIALOG).waitFor();
        assertThat(findings(page)).isEmpty();
    }

    private static List<String> findings(Page page) {
        return new AxeBuilder(page)
                .analyze().getViolations().stream().map(AccessibilityTest::told).toList();
    }

    private static String told(Rule rule) {
        return rule.getId() + ": "
                + rule.getNodes().stream().map(n -> n.getHtml()).limit(3).toList();
    }
}
