package org.eskiz.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.args.AxeRunOptions;
import com.deque.html.axecore.playwright.AxeBuilder;
import com.deque.html.axecore.results.Rule;
import com.microsoft.playwright.Page;
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

    private static final List<String> SHEETS = List.of(
            "/plans",
            "/plans/compare",
            "/settings",
            "/cables?type=foam-10&over=rg-58",
            "/cables?edit=copy foam-10",
            "/cables?edit=connectors",
            "/cables/anatomy",
            "/bench?tests=00000000-0000-4000-8000-0000000b0004",
            "/bench/00000000-0000-4000-8000-0000000b0004",
            "/bench/00000000-0000-4000-8000-0000000b0005",
            "/locker?new=piece",
            "/locker/00000000-0000-4000-8000-0000000c000c",
            "/locker/kits",
            "/locker/cuts",
            "/locker/labels",
            "/guide",
            "/plans/5ca77a00-0003-4000-8000-000000000003?view=paper",
            PlanSheetPage.GALLERY + "&own=new",
            PlanSheetPage.GALLERY + "&view=reach",
            PlanSheetPage.GALLERY + "&view=value&mix=open",
            "/plans/5ca77a00-0003-4000-8000-000000000003?view=line",
            "/plans/5ca77a00-0003-4000-8000-000000000003?view=sweep");

    @ParameterizedTest
    @FieldSource("SHEETS")
    void axeFindsNothingAtAnyWidthInEitherPalette(String address, Page page) {
        page.navigate(address);
        page.locator("h1").first().waitFor();
        for (int width : new int[] {1280, 1920, 390}) {
            page.setViewportSize(width, 844);
            page.locator(
                            "[data-row], [data-piece], [aria-label^='Rename'], [role=radio], [aria-label='what is needed'], [aria-label='labels'] li, [aria-label='Glossary'], [data-page], [role=table], table, [role=img]")
                    .first()
                    .waitFor();
            page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(ColorScheme.LIGHT));
            assertThat(findings(axe(page))).as("%s px", width).isEmpty();
            // the night sheet differs in its colours alone
            page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(ColorScheme.DARK));
            assertThat(findings(axe(page).withRules(List.of("color-contrast"))))
                    .as("%s px at night", width)
                    .isEmpty();
        }
    }

    @Test
    void axeFindsNothingInWhatOpens(Page page) {
        PlanSheetPage sheet = PlanSheetPage.open(page, PlanSheetPage.GALLERY);
        page.getByText("Show as a table").click();
        page.getByLabel("ask for something more").click();
        page.getByText("a duct to go through").waitFor();
        assertThat(findings(axe(page))).isEmpty();
        page.keyboard().press("Escape");
        page.getByLabel("more about Foam 10", new Page.GetByLabelOptions().setExact(true))
                .click();
        page.getByLabel(Pattern.compile("^joint .*, 1 of")).click();
        page.getByText("from the radio", new Page.GetByTextOptions().setExact(false))
                .first()
                .waitFor();
        assertThat(findings(axe(page))).isEmpty();
        page.keyboard().press("Escape");
        page.keyboard().press("?");
        page.getByText("They rest while").waitFor();
        assertThat(findings(axe(page))).isEmpty();
    }

    /** Without frames there is nothing to gather in a page of its own, and nobody reads what passes. */
    private static AxeBuilder axe(Page page) {
        AxeRunOptions violations = new AxeRunOptions();
        violations.setResultTypes(List.of("violations"));
        return new AxeBuilder(page).options(violations).setLegacyMode(true);
    }

    private static List<String> findings(AxeBuilder axe) {
        return axe.analyze().getViolations().stream()
                .map(AccessibilityTest::told)
                .toList();
    }

    private static String told(Rule rule) {
        return rule.getId() + ": "
                + rule.getNodes().stream().map(n -> n.getHtml()).limit(3).toList();
    }
}
