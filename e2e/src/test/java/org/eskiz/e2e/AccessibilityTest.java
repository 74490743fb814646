package org.eskiz.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.deque.html.axecore.results.Rule;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Every sheet at every width, looked through by axe. */
@ExtendWith(RunningEskiz.class)
class AccessibilityTest {

    private static final List<String> SHEETS =
            List.of("/plans", "/settings", PlanSheetPage.GALLERY, PlanSheetPage.GALLERY + "?own=new");

    private static final List<Integer> WIDTHS = List.of(1280, 1920, 390);

    @ParameterizedTest
    @MethodSource("everySheetPaletteAndWidth")
    void axeFindsNothing(String address, ColorScheme palette, int width, Page page) {
        page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(palette));
        page.setViewportSize(width, 844);
        page.navigate(address);
        page.locator("[data-row], [aria-label^='rename'], [role=radio]").first().waitFor();
        assertThat(findings(page)).isEmpty();
    }

    static Stream<Arguments> everySheetPaletteAndWidth() {
        return SHEETS.stream()
                .flatMap(sheet -> Stream.of(ColorScheme.LIGHT, ColorScheme.DARK)
                        .flatMap(palette -> WIDTHS.stream().map(width -> Arguments.of(sheet, palette, width))));
    }

    @Test
    void axeFindsNothingInWhatOpens(Page page) {
        PlanSheetPage sheet = PlanSheetPage.open(page, PlanSheetPage.GALLERY);
        page.getByText("as a table").click();
        page.getByLabel("more about Foam 10").click();
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
