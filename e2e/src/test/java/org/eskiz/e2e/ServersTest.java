package org.eskiz.e2e;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.google.gson.JsonObject;
import com.google.gson.JsonParser;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.eskiz.e2e.RunningEskiz.Server;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.extension.ExtendWith;

/** Two servers on one database, behind a proxy that sends each request to either. */
@ExtendWith(RunningEskiz.class)
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class ServersTest {

    private static final String DATABASE = "eskiz_shared";

    private static final String PROXY = """
            daemon on;
            %s
            pid %2$s/nginx.pid;
            error_log %2$s/nginx.log;
            events {}
            http {
              access_log off;
              client_body_temp_path %2$s/body;
              proxy_temp_path %2$s/proxy;
              fastcgi_temp_path %2$s/fastcgi;
              uwsgi_temp_path %2$s/uwsgi;
              scgi_temp_path %2$s/scgi;
              upstream eskiz {
                server 127.0.0.1:%3$d max_fails=1 fail_timeout=1s;
                server 127.0.0.1:%4$d max_fails=1 fail_timeout=1s;
              }
              server {
                listen 127.0.0.1:%5$d;
                location / {
                  proxy_pass http://eskiz;
                  proxy_set_header Host localhost;
                  proxy_set_header X-Forwarded-For $proxy_add_x_forwarded_for;
                  proxy_set_header X-Forwarded-Proto https;
                }
              }
            }
            """;

    private final HttpClient http = HttpClient.newHttpClient();
    private Path folder;
    private Server home;
    private Node one;
    private Node other;
    private int proxy;

    @BeforeAll
    void start(Server home) throws IOException {
        this.home = home;
        folder = Files.createTempDirectory("eskiz-servers-");
        Files.setPosixFilePermissions(folder, PosixFilePermissions.fromString("rwxr-xr-x"));
        proxy = RunningEskiz.freePort();
        one = new Node(folder.resolve("one"), RunningEskiz.freePort());
        other = new Node(folder.resolve("other"), RunningEskiz.freePort());
        home.psql("create database " + DATABASE);
        home.psql(DATABASE, Files.readString(Path.of("../server/src/main/resources/db/roles.sql")));
        assertThatThrownBy(() -> one.eskiz("start", "--background")).hasMessageContaining("./eskiz migrate");
        assertThat(one.as("eskiz_owner", "migrate")).contains("servers of this version can start");
        startProxy();
    }

    @AfterAll
    void stop() throws IOException {
        one.eskiz("stop");
        other.eskiz("stop");
        nginx("-s", "quit");
        home.psql("drop database " + DATABASE + " with (force)");
        RunningEskiz.deleteAll(folder);
    }

    @Test
    void oneIsKilledAndOneIsStoppedDuringAThousandSavesAndNobodyNotices() throws Exception {
        String link = one.eskiz("open");
        one.eskiz("start", "--background");
        other.eskiz("start", "--background");
        List<String> signedIn = comeIn(link);
        try (Saves saves = Saves.begin(proxy, signedIn.toArray(String[]::new))) {
            saves.awaitMore(300);
            FaultsTest.kill(one.data.resolve("server.pid"));
            saves.awaitMore(300);
            one.eskiz("start", "--background");
            saves.awaitMore(50);
            int unanswered = saves.unanswered();
            other.eskiz("stop");
            saves.awaitMore(350);
            // it said first that it would go
            assertThat(saves.unanswered()).isEqualTo(unanswered);
            saves.finish();
            assertThat(saves.stored()).isEqualTo(saves.acknowledged());
        }
        assertThat(session(signedIn).getAsJsonObject("operator").get("name").getAsString())
                .isEqualTo("Rowan");
    }

    /** Comes in by the link of the keeper. @return headers of whoever is signed in then */
    private List<String> comeIn(String said) throws Exception {
        Matcher link = Pattern.compile("come-in#(\\S+)").matcher(said);
        assertThat(link.find()).as(said).isTrue();
        JsonObject body = new JsonObject();
        body.addProperty("secret", link.group(1));
        body.addProperty("name", "Rowan");
        body.addProperty("password", "three cables in a duct");
        HttpResponse<String> came = http.send(
                HttpRequest.newBuilder(at("/api/invitations/use"))
                        .header("Content-Type", "application/json")
                        .POST(HttpRequest.BodyPublishers.ofString(body.toString()))
                        .build(),
                HttpResponse.BodyHandlers.ofString());
        assertThat(came.statusCode()).as(came.body()).isEqualTo(204);
        String cookie = came.headers().firstValue("Set-Cookie").orElseThrow();
        List<String> headers = new ArrayList<>(List.of("Cookie", cookie.substring(0, cookie.indexOf(';'))));
        headers.addAll(List.of("X-CSRF-TOKEN", session(headers).get("csrf").getAsString()));
        return headers;
    }

    private JsonObject session(List<String> headers) throws Exception {
        HttpRequest.Builder request = HttpRequest.newBuilder(at("/api/session"));
        if (!headers.isEmpty()) {
            request.headers(headers.toArray(String[]::new));
        }
        String answer =
                http.send(request.build(), HttpResponse.BodyHandlers.ofString()).body();
        return JsonParser.parseString(answer).getAsJsonObject();
    }

    private URI at(String path) {
        return URI.create("http://127.0.0.1:" + proxy + path);
    }

    private void startProxy() throws IOException {
        String user = "root".equals(System.getProperty("user.name")) ? "user root;" : "";
        Files.writeString(folder.resolve("nginx.conf"), PROXY.formatted(user, folder, one.port, other.port, proxy));
        nginx();
    }

    private void nginx(String... arguments) {
        Path unpacked = Path.of("../.tools/nginx/usr/sbin/nginx");
        List<String> command = new ArrayList<>(List.of(
                Files.exists(unpacked) ? unpacked.toString() : "nginx",
                "-e",
                folder.resolve("nginx.log").toString(),
                "-c",
                folder.resolve("nginx.conf").toString()));
        command.addAll(List.of(arguments));
        RunningEskiz.run(Map.of(), command);
    }

    /** One of the servers, as the script starts it beside others. */
    private final class Node {

        private final Path data;
        private final int port;

        Node(Path data, int port) {
            this.data = data;
            this.port = port;
        }

        String eskiz(String... arguments) {
            return as("eskiz_app", arguments);
        }

        String as(String role, String... arguments) {
            try {
                Map<String, String> environment = new HashMap<>(Map.of(
                        "ESKIZ_DATA",
                        data.toString(),
                        "ESKIZ_PORT",
                        Integer.toString(port),
                        "ESKIZ_BUILT",
                        "yes",
                        "ESKIZ_ADDRESS",
                        "https://localhost",
                        "ESKIZ_BEHIND_PROXY",
                        "127.0.0.1",
                        "ESKIZ_DATABASE_URL",
                        "postgresql://127.0.0.1:%s/%s"
                                .formatted(
                                        Files.readString(home.data().resolve("db.port"))
                                                .trim(),
                                        DATABASE),
                        "ESKIZ_DATABASE_USER",
                        role,
                        "ESKIZ_DATABASE_PASSWORD_FILE",
                        home.data().resolve(role + ".password").toString()));
                return RunningEskiz.run(
                        environment,
                        Stream.concat(Stream.of("../eskiz"), Stream.of(arguments))
                                .toList());
            } catch (IOException e) {
                throw new IllegalStateException(e);
            }
        }
    }
}
