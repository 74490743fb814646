package org.eskiz.e2e;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import java.io.File;
import java.io.IOException;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.extension.AfterEachCallback;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.ParameterContext;
import org.junit.jupiter.api.extension.ParameterResolver;

/**
 * Eskiz as an operator starts it, with the script, in a data folder of its own, and a browser to look at it. Both are
 * started once for all tests; every test gets a page of its own.
 */
final class RunningEskiz implements BeforeAllCallback, AfterEachCallback, ParameterResolver {

    private static final ExtensionContext.Namespace SPACE = ExtensionContext.Namespace.create(RunningEskiz.class);

    /** A busy machine takes its time; what never comes is a failure after this long. */
    private static final double PATIENCE_MS = 60_000;

    private static final int PATIENCE_MINUTES = 20;

    /** When the tests take place, for the server and for the browser, whatever year the machine is in. */
    private static final Duration AWAY = Duration.between(Instant.now(), Instant.parse("2026-11-20T10:00:00Z"));

    private static final String CLOCK = """
            (() => {
              const Real = Date;
              class Shifted extends Real {
                constructor(...given) { super(...(given.length ? given : [Shifted.now()])); }
                static now() { return Real.now() + %d; }
              }
              globalThis.Date = Shifted;
            })()""".formatted(AWAY.toMillis());

    private static final List<String> CHROMIUM = List.of(
            "--no-sandbox",
            "--disable-gpu",
            "--disable-background-networking",
            "--disable-component-update",
            "--disable-sync",
            "--no-first-run",
            "--disable-quic");

    @Override
    public void beforeAll(ExtensionContext context) {
        started(context);
    }

    @Override
    public boolean supportsParameter(ParameterContext parameter, ExtensionContext context) {
        Class<?> type = parameter.getParameter().getType();
        return type == Page.class || type == Server.class;
    }

    @Override
    public Object resolveParameter(ParameterContext parameter, ExtensionContext context) {
        Started started = started(context);
        if (parameter.getParameter().getType() == Server.class) {
            return started.server();
        }
        BrowserContext browser = started.browser()
                .newContext(new Browser.NewContextOptions()
                        .setBaseURL(started.server().address())
                        .setViewportSize(1280, 800));
        browser.addInitScript(CLOCK);
        Page page = browser.newPage();
        page.setDefaultTimeout(PATIENCE_MS);
        context.getStore(SPACE).put("page", page);
        return page;
    }

    @Override
    public void afterEach(ExtensionContext context) {
        Page page = context.getStore(SPACE).get("page", Page.class);
        if (page != null) {
            context.getExecutionException()
                    .ifPresent(e -> page.screenshot(new Page.ScreenshotOptions()
                            .setPath(Path.of("target", "failed-" + context.getDisplayName() + ".png"))));
            page.context().close();
        }
    }

    private static Started started(ExtensionContext context) {
        return context.getRoot().getStore(SPACE).getOrComputeIfAbsent("started", k -> Started.start(), Started.class);
    }

    /** The script, and where it keeps what it makes. */
    record Server(Path data, int port) {

        String address() {
            return "http://127.0.0.1:" + port;
        }

        /** Runs the script and answers what it said; it must succeed. */
        String eskiz(String... arguments) {
            List<String> command = new ArrayList<>(List.of("../eskiz"));
            command.addAll(List.of(arguments));
            return run(
                    Map.of(
                            "ESKIZ_DATA", data.toString(),
                            "ESKIZ_PORT", Integer.toString(port),
                            "ESKIZ_BUILT", "yes",
                            "ESKIZ_CLOCK_OFFSET", AWAY.toString()),
                    command);
        }

        /** Does something to the database behind the server's back; the script must have it running. */
        String psql(String sql) throws IOException {
            return psql("eskiz", sql);
        }

        String psql(String database, String sql) throws IOException {
            return run(
                            Map.of(
                                    "PGPASSWORD",
                                    Files.readString(data.resolve("db.password")),
                                    "PGHOST",
                                    "127.0.0.1",
                                    "PGPORT",
                                    Files.readString(data.resolve("db.port")).trim(),
                                    "PGUSER",
                                    "eskiz"),
                            List.of("psql", "-X", "-q", "-At", "-v", "ON_ERROR_STOP=1", "-d", database, "-c", sql))
                    .trim();
        }

        /** The same while the script has it stopped: it is started for this alone. */
        void withDatabase(String... statements) throws IOException {
            String port = Files.readString(data.resolve("db.port")).trim();
            cluster("start", "-o", "-p " + port + " -c listen_addresses=127.0.0.1 -c unix_socket_directories=''");
            for (String statement : statements) {
                psql("postgres", statement);
            }
            cluster("stop");
        }

        private void cluster(String what, String... more) throws IOException {
            List<String> command = new ArrayList<>();
            if ("root".equals(System.getProperty("user.name"))) {
                command.addAll(List.of("setpriv", "--reuid=postgres", "--regid=postgres", "--init-groups"));
            }
            String version =
                    Files.readString(data.resolve("cluster/PG_VERSION")).trim();
            command.addAll(List.of(
                    "/usr/lib/postgresql/" + version + "/bin/pg_ctl",
                    "-D",
                    data.resolve("cluster").toString(),
                    "-w",
                    "-l",
                    data.resolve("log/database.log").toString(),
                    what));
            command.addAll(List.of(more));
            run(Map.of(), command);
        }
    }

    private record Started(Server server, Playwright playwright, Browser browser) implements AutoCloseable {

        static Started start() {
            try {
                // A folder that does not exist yet, with a space in its name: the script makes it.
                Path data = Files.createTempDirectory("eskiz e2e ");
                Server server = new Server(data, freePort());
                server.eskiz("start", "--background");
                Playwright playwright = Playwright.create();
                PlaywrightAssertions.setDefaultAssertionTimeout(PATIENCE_MS);
                Browser browser = playwright
                        .chromium()
                        .launch(new BrowserType.LaunchOptions()
                                .setExecutablePath(Path.of("/usr/bin/chromium"))
                                .setArgs(CHROMIUM));
                return new Started(server, playwright, browser);
            } catch (IOException e) {
                throw new IllegalStateException(e);
            }
        }

        @Override
        public void close() throws IOException {
            browser.close();
            playwright.close();
            server.eskiz("stop");
            deleteAll(server.data());
        }
    }

    static int freePort() throws IOException {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        }
    }

    static void deleteAll(Path folder) throws IOException {
        try (var files = Files.walk(folder)) {
            files.sorted(Comparator.reverseOrder()).map(Path::toFile).forEach(File::delete);
        }
    }

    /** Runs a command without input and answers what it said; it must succeed. */
    static String run(Map<String, String> environment, List<String> command) {
        try {
            // a file, for what the command leaves running would keep a pipe open
            Path output = Files.createTempFile("eskiz-e2e-", ".log");
            try {
                return run(environment, command, output);
            } finally {
                Files.delete(output);
            }
        } catch (IOException e) {
            throw new IllegalStateException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    private static String run(Map<String, String> environment, List<String> command, Path output)
            throws IOException, InterruptedException {
        var builder = new ProcessBuilder(command)
                .redirectErrorStream(true)
                .redirectOutput(output.toFile())
                .redirectInput(ProcessBuilder.Redirect.from(new File("/dev/null")));
        builder.environment().putAll(environment);
        Process process = builder.start();
        if (!process.waitFor(PATIENCE_MINUTES, TimeUnit.MINUTES) || process.exitValue() != 0) {
            throw new IllegalStateException(String.join(" ", command) + ": " + Files.readString(output));
        }
        return Files.readString(output);
    }
}
