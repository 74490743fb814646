package org.eskiz.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.io.IOException;
import java.net.InetAddress;
import java.net.Socket;
import java.net.SocketTimeoutException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** The stand-ins that start with the demo, driven from the bench sheet. */
@ExtendWith(RunningEskiz.class)
class LiveTest {

    @Test
    void anAnalyserIsCalibratedAndSweptAndAPieceThatNobodyKnowsIsJudged(Page page) {
        page.navigate("/bench/new?method=THROUGH_SWEEP&type=foam-10");
        field(page, "length of the piece").fill("20");
        button(page, "Connect").click();
        assertThat(page.getByText("It is not calibrated")).isVisible();
        button(page, "both ends are on: sweep").click();
        // the calibration is missing, and that is seen
        assertThat(page.getByText("calibrate at the ends of the test leads, and sweep again"))
                .isVisible();
        for (String step : List.of("it is open", "the short is on", "the load is on", "through, they are joined")) {
            button(page, step).click();
        }
        assertThat(page.getByText("It is calibrated.")).isVisible();
        button(page, "both ends are on: sweep").click();
        assertThat(page.getByLabel("what it says").getByRole(AriaRole.STATUS)).containsText("as Foam 10 promises");

        page.getByLabel("piece from the shelf").selectOption("?");
        assertThat(button(page, "I have judged it: what was it?")).isVisible();
        button(page, "both ends are on: sweep").click();
        button(page, "I have judged it: what was it?").click();
        assertThat(page.getByText("It was ")).isVisible();

        // another tab cannot drive it meanwhile
        Page other = page.context().newPage();
        other.navigate("/bench/new?method=THROUGH_SWEEP");
        button(other, "Connect").click();
        assertThat(other.getByRole(AriaRole.ALERT)).containsText("Another tab drives the instrument");
        button(page, "Disconnect").click();
        assertThat(button(page, "Connect")).isVisible();
        button(other, "Connect").click();
        assertThat(other.getByText("Stand-in analyser")).isVisible();
        button(other, "Disconnect").click();
        other.close();
    }

    @Test
    void aSweepThatStopsIsSaidSoAndWhatWasNotedStands(Page page) throws IOException {
        page.navigate("/bench/new?method=ONE_END_SWEEP");
        field(page, "piece").fill("Half a sweep");
        button(page, "Connect").click();
        String address = field(page, "address of the instrument").inputValue();
        int port = Integer.parseInt(address.replaceFirst(".*:", ""));
        page.getByLabel("points of the sweep").selectOption("201");
        tell(port, "SIM:FAUL HALF");
        button(page, "far end open: sweep").click();
        assertThat(page.getByText(Pattern.compile("the sweep, [1-5]\\d? %"))).isVisible();
        assertThat(page.getByText("The sweep has stopped at 50 %")).isVisible();
        tell(port, "SIM:FAUL CUT");
        button(page, "far end open: sweep").click();
        assertThat(page.getByText("broke off in the middle of an answer")).isVisible();
        tell(port, "SIM:FAUL NONE");
        button(page, "far end open: sweep").click();
        assertThat(page.getByText("Half a sweep.s1p: 201 points")).isVisible();
        assertThat(field(page, "piece")).hasValue("Half a sweep");
        button(page, "Disconnect").click();
        field(page, "address of the instrument").fill("127.0.0.1:9");
        button(page, "Connect").click();
        assertThat(page.getByText("Nobody answers at 127.0.0.1:9")).isVisible();
    }

    @Test
    void aWattmeterReadsEveryBandWithoutTheCableAndThroughIt(Page page) {
        page.navigate("/bench/new");
        page.getByLabel("type of the cable").selectOption("foam-10");
        field(page, "length of the piece").fill("20");
        while (page.locator("tr[data-reading]").count() > 2) {
            page.getByText("Remove", new Page.GetByTextOptions().setExact(true))
                    .first()
                    .click();
        }
        button(page, "Connect").click();
        button(page, "Read every band without the cable").click();
        assertThat(field(page, "without the cable at 433 MHz")).hasValue(Pattern.compile("\\d+\\.\\d-\\d+\\.\\d"));
        button(page, "The cable is in: read every band through it").click();
        assertThat(field(page, "through the cable at 433 MHz")).hasValue(Pattern.compile("\\d+\\.\\d(-\\d+\\.\\d)?"));
        assertThat(page.getByLabel("what it says").getByRole(AriaRole.STATUS)).containsText("as Foam 10 promises");
        button(page, "Disconnect").click();
    }

    @Test
    void whatWasMeasuredAtTheRadioIsCarriedToTheAntenna(Page page) {
        PlanSheetPage.open(page, PlanSheetPage.GALLERY);
        page.getByLabel("more about 2 m").click();
        page.locator("input[type=file]")
                .setInputFiles(new FilePayload(
                        "antenna.csv", "text/csv", "MHz,SWR\n140,1.2\n150,1.4\n".getBytes(StandardCharsets.US_ASCII)));
        assertThat(page.getByText("SWR 1.28")).isVisible();
        page.getByText("measured at the radio").click();
        // the cable's loss hid some of it
        assertThat(page.getByText("SWR 1.57")).isVisible();
        assertThat(page.getByLabel("SWR at the radio and at the antenna over frequency"))
                .isVisible();
    }

    private static void tell(int port, String command) throws IOException {
        try (Socket socket = new Socket(InetAddress.getLoopbackAddress(), port)) {
            socket.getOutputStream().write((command + ";SYST:ERR?\n").getBytes(StandardCharsets.US_ASCII));
            socket.setSoTimeout(1000);
            socket.getInputStream().read();
        } catch (SocketTimeoutException e) {
            // with some faults nothing is answered; the command was heard
        }
    }

    private static Locator field(Page page, String label) {
        return page.getByLabel(label, new Page.GetByLabelOptions().setExact(true));
    }

    private static Locator button(Page page, String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }
}
