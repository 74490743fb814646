package org.eskiz.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.deque.html.axecore.results.Rule;
import com.microsoft.playwright.Page;
import java.util.List;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Every sheet at every width, looked through by axe. */
@ExtendWith(RunningEskiz.class)
class AccessibilityTest {

    @ParameterizedTest
    @CsvSource({
        "/plans, 1280",
        "/plans, 390",
        PlanSheetPage.GALLERY + ", 1280",
        PlanSheetPage.GALLERY + ", 1920",
        PlanSheetPage.GALLERY + ", 390"
    })
    void axeFindsNothing(String address, int width, Page page) {
        page.setViewportSize(width, 844);
        page.navigate(address);
        page.locator("[data-row], a[href^='/plans/']").first().waitFor();
        List<String> findings = new AxeBuilder(page)
                .analyze().getViolations().stream().map(AccessibilityTest::told).toList();
        assertThat(findings).isEmpty();
    }

    private static String told(Rule rule) {
        return rule.getId() + ": "
                + rule.getNodes().stream().map(n -> n.getHtml()).limit(3).toList();
    }
}
