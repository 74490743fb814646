package org.eskiz.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.deque.html.axecore.results.Rule;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import java.util.List;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Every sheet at every width, looked through by axe. */
@ExtendWith(RunningEskiz.class)
class AccessibilityTest {

    @ParameterizedTest
    @CsvSource({
        "/plans, 1280, LIGHT",
        "/plans, 390, DARK",
        "/settings, 1280, LIGHT",
        "/settings, 390, DARK",
        PlanSheetPage.GALLERY + ", 1280, LIGHT",
        PlanSheetPage.GALLERY + ", 1280, DARK",
        PlanSheetPage.GALLERY + ", 1920, LIGHT",
        PlanSheetPage.GALLERY + ", 390, LIGHT",
        PlanSheetPage.GALLERY + ", 390, DARK"
    })
    void axeFindsNothing(String address, int width, ColorScheme palette, Page page) {
        page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(palette));
        page.setViewportSize(width, 844);
        page.navigate(address);
        page.locator("[data-row], [aria-label^='rename'], [role=radio]").first().waitFor();
        List<String> findings = new AxeBuilder(page)
                .analyze().getViolations().stream().map(AccessibilityTest::told).toList();
        assertThat(findings).isEmpty();
    }

    private static String told(Rule rule) {
        return rule.getId() + ": "
                + rule.getNodes().stream().map(n -> n.getHtml()).limit(3).toList();
    }
}
