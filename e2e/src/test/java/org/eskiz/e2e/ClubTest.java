package org.eskiz.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.google.gson.JsonObject;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** A server that was opened to others with a certificate of its own, and two people at it. */
@ExtendWith(RunningEskiz.class)
class ClubTest {

    private static final String PASSWORD = "three cables in a duct";

    private static Path folder;
    private static int port;
    private static String keeperLink;

    @BeforeAll
    static void open() throws IOException {
        folder = Files.createTempDirectory("eskiz-club-");
        // the server runs as somebody else where the tests run as root
        Files.setPosixFilePermissions(folder, PosixFilePermissions.fromString("rwxr-xr-x"));
        port = RunningEskiz.freePort();
        RunningEskiz.run(
                Map.of(),
                List.of(
                        "openssl",
                        "req",
                        "-x509",
                        "-newkey",
                        "rsa:2048",
                        "-nodes",
                        "-days",
                        "36500",
                        "-subj",
                        "/CN=localhost",
                        "-addext",
                        "subjectAltName=DNS:localhost",
                        "-keyout",
                        file("key.pem"),
                        "-out",
                        file("cert.pem")));
        Files.setPosixFilePermissions(Path.of(file("key.pem")), PosixFilePermissions.fromString("rw-r--r--"));
        String said = eskiz("open", "https://localhost:" + port);
        Matcher link = Pattern.compile("https://\\S+/come-in#\\S+").matcher(said);
        Assertions.assertThat(link.find()).as(said).isTrue();
        Assertions.assertThat(said).contains("its own certificate").doesNotContain("will warn");
        keeperLink = link.group();
        eskiz("start", "--background");
    }

    @AfterAll
    static void close() throws IOException {
        eskiz("stop");
        RunningEskiz.deleteAll(folder);
    }

    private static String file(String name) {
        return folder.resolve(name).toString();
    }

    private static String eskiz(String... arguments) {
        Map<String, String> environment = new HashMap<>(Map.of(
                "ESKIZ_DATA", file("data"),
                "ESKIZ_PORT", Integer.toString(port),
                "ESKIZ_BUILT", "yes",
                "ESKIZ_TLS_CERTIFICATE", file("cert.pem"),
                "ESKIZ_TLS_KEY", file("key.pem"),
                "ESKIZ_BIND", "127.0.0.1"));
        return RunningEskiz.run(
                environment,
                Stream.concat(Stream.of("../eskiz"), Stream.of(arguments)).toList());
    }

    private static Page somebody(Page any) {
        Browser browser = any.context().browser();
        BrowserContext own = browser.newContext(new Browser.NewContextOptions()
                .setBaseURL("https://localhost:" + port)
                .setIgnoreHTTPSErrors(true)
                .setViewportSize(1280, 800));
        Page page = own.newPage();
        page.setDefaultTimeout(60_000);
        return page;
    }

    @Test
    void aClubIsOpenedPeopleComeAndGoAndEachSeesWhatIsTheirs(Page any) {
        Page stranger = somebody(any);
        stranger.navigate("/plans");
        assertThat(heading(stranger, "Sign in")).isVisible();
        assertThat(stranger.getByText("Skarra")).hasCount(0);

        Page keeper = somebody(any);
        comeIn(keeper, keeperLink, "Rowan");
        assertThat(keeper.getByText("Lantern gallery").first()).isVisible();
        link(keeper, "Rowan").click();
        button(keeper, "Make a link").click();
        String invitation = keeper.getByLabel("the link", exactly()).inputValue();

        Page member = somebody(any);
        comeIn(member, invitation, "Wren");
        stranger.navigate(invitation);
        assertThat(heading(stranger, "This link lets nobody in any more.")).isVisible();
        theyAreAtOnePlan(keeper, member);
        aPlanIsSharedByALink(keeper, stranger);

        keeper.navigate("/happenings");
        Locator newest = keeper.getByLabel("what happened", exactly())
                .getByRole(AriaRole.LISTITEM)
                .first();
        assertThat(newest).containsText("Wren");
        assertThat(newest).containsText("Lantern gallery, by Wren");

        keeper.navigate("/people");
        keeper.getByLabel("role of Wren", exactly()).selectOption("GUEST");
        assertThat(keeper.getByLabel("role of Wren", exactly())).hasValue("GUEST");
        member.navigate("/plans");
        assertThat(member.getByText("You are a guest here")).isVisible();
        assertThat(button(member, "New plan")).hasCount(0);

        button(keeper, "let go …").click();
        button(keeper, "Let go").click();
        assertThat(keeper.getByLabel("role of Wren", exactly())).hasCount(0);
        member.navigate("/bench");
        assertThat(heading(member, "Sign in")).isVisible();

        button(keeper, "Sign out").click();
        assertThat(heading(keeper, "Sign in")).isVisible();
        signIn(keeper, "Rowan", "not the password");
        assertThat(keeper.getByRole(AriaRole.ALERT)).containsText("The name or the password is not right");
        signIn(keeper, "rowan", PASSWORD);
        assertThat(link(keeper, "Rowan")).isVisible();
        aDeviceSignsIn(keeper);
        for (Page page : List.of(stranger, keeper, member)) {
            page.context().close();
        }
    }

    /** What one saves the other sees; what both changed in different parts is there afterwards. */
    private static void theyAreAtOnePlan(Page keeper, Page member) {
        member.getByText("Lantern gallery").first().click();
        assertThat(member.getByLabel("plan name", exactly())).hasValue(Pattern.compile("Lantern gallery.*"));
        keeper.navigate(member.url());
        assertThat(keeper.getByText("also here")).isVisible();
        assertThat(keeper.getByText("Wren", new Page.GetByTextOptions().setExact(true)))
                .isVisible();
        member.getByLabel("plan name", exactly()).fill("Lantern gallery, by Wren");
        assertThat(keeper.getByLabel("plan name", exactly())).hasValue("Lantern gallery, by Wren");
        assertThat(keeper.getByText("name and site changed by Wren")).isVisible();
        keeper.getByLabel("radio power", exactly()).fill("40");
        keeper.getByLabel("radio power", exactly()).press("Enter");
        assertThat(member.getByLabel("radio power", exactly())).hasValue("40");
        assertThat(member.getByText("radio changed by Rowan")).isVisible();
        assertThat(member.getByLabel("plan name", exactly())).hasValue("Lantern gallery, by Wren");
    }

    /** Somebody who does not belong here sees the plan, computes with it, and nothing of that is kept. */
    private static void aPlanIsSharedByALink(Page keeper, Page visitor) {
        button(keeper, "Paper").click();
        button(keeper, "Share it by a link …").click();
        button(keeper, "Make a link").click();
        String link = keeper.getByLabel("the link", exactly()).inputValue();
        visitor.navigate(link);
        assertThat(visitor.getByLabel("plan name", exactly())).hasValue("Lantern gallery, by Wren");
        assertThat(visitor.getByText("shared with you until").first()).isVisible();
        assertThat(visitor.locator("[data-row]").first()).isVisible();
        assertThat(link(visitor, "Locker")).hasCount(0);
        visitor.getByLabel("radio power", exactly()).fill("7");
        visitor.getByLabel("radio power", exactly()).press("Enter");
        assertThat(visitor.getByText("not kept", new Page.GetByTextOptions().setExact(true)))
                .isVisible();
        visitor.reload();
        assertThat(visitor.getByLabel("radio power", exactly())).hasValue("40");
        button(keeper, "take back").click();
        assertThat(button(keeper, "take back")).hasCount(0);
        visitor.reload();
        assertThat(heading(visitor, "This link leads nowhere any more.")).isVisible();
    }

    /** By a key that stays in the device, which the browser's own stand-in holds here. */
    private static void aDeviceSignsIn(Page keeper) {
        CDPSession browser = keeper.context().newCDPSession(keeper);
        browser.send("WebAuthn.enable");
        JsonObject device = new JsonObject();
        device.addProperty("protocol", "ctap2");
        device.addProperty("transport", "internal");
        device.addProperty("hasResidentKey", true);
        device.addProperty("hasUserVerification", true);
        device.addProperty("isUserVerified", true);
        JsonObject wanted = new JsonObject();
        wanted.add("options", device);
        browser.send("WebAuthn.addVirtualAuthenticator", wanted);
        keeper.navigate("/people");
        button(keeper, "A passkey in this device …").click();
        button(keeper, "Make it").click();
        assertThat(keeper.getByText("passkey this device")).isVisible();
        button(keeper, "Sign out").click();
        button(keeper, "Sign in with a passkey").click();
        assertThat(link(keeper, "Rowan")).isVisible();
        keeper.navigate("/people");
        assertThat(keeper.getByText("passkey this device")).not().containsText("never used");
    }

    private static void comeIn(Page page, String link, String name) {
        page.navigate(link);
        page.getByLabel("Your name, as others see it and as you sign in", exactly())
                .fill(name);
        page.getByLabel("A new password", exactly()).fill(PASSWORD);
        button(page, "Come in").click();
        assertThat(link(page, name)).isVisible();
    }

    private static void signIn(Page page, String name, String password) {
        page.getByLabel("Name", exactly()).fill(name);
        page.getByLabel("Password", exactly()).fill(password);
        button(page, "Sign in").click();
    }

    private static Page.GetByLabelOptions exactly() {
        return new Page.GetByLabelOptions().setExact(true);
    }

    private static Locator heading(Page page, String name) {
        return page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName(name));
    }

    private static Locator link(Page page, String name) {
        return page.getByRole(
                AriaRole.LINK, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private static Locator button(Page page, String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }
}
