package org.eskiz.server.operator.signin;

import java.net.URI;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Instant;
import java.util.Locale;
import java.util.UUID;
import javax.sql.DataSource;
import org.eskiz.server.Api;
import org.eskiz.server.EskizServer;
import org.eskiz.server.RealServer;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.ParameterContext;
import org.junit.jupiter.api.extension.ParameterResolver;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Primary;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.crypto.password.Pbkdf2PasswordEncoder;
import org.springframework.security.crypto.password.Pbkdf2PasswordEncoder.SecretKeyFactoryAlgorithm;
import tools.jackson.databind.JsonNode;

/** A server that is open to others, on the database of the real one, and people at it. Goes into tests as a parameter. */
public final class Club implements AutoCloseable {

    private static final String PASSWORD = "three cables in a duct";

    private final ConfigurableApplicationContext context;
    private final Api api;
    private @Nullable Person keeper;

    private Club(String databaseUrl) {
        context = new SpringApplicationBuilder(EskizServer.class, Quickly.class)
                .run(RealServer.arguments(
                        databaseUrl,
                        "--eskiz.address=https://club.example",
                        "--eskiz.quota.plans=60",
                        "--eskiz.quota.sweeps=100KB"));
        api = Api.at(context.getEnvironment().getRequiredProperty("local.server.port", Integer.class));
    }

    public <T> T bean(Class<T> type) {
        return context.getBean(type);
    }

    public <T> T bean(String name, Class<T> type) {
        return context.getBean(name, type);
    }

    /** Somebody with a browser of their own, who has not signed in. */
    public Person somebody() {
        return new Person();
    }

    /** Whoever runs it, come in by the link that is made on the server; the same for all tests. */
    public synchronized Person keeper() {
        if (keeper == null) {
            keeper = somebody();
            try (Connection database = bean(DataSource.class).getConnection()) {
                keeper.comeIn(KeeperLink.make(database, Instant.now(bean(Clock.class))), "Keeper");
            } catch (SQLException e) {
                throw new IllegalStateException(e);
            }
        }
        return keeper;
    }

    /** Somebody new, let in by a keeper. */
    public Person joined(Person keeper, String role) {
        Person person = somebody();
        person.comeIn(
                keeper.post("/api/links", "{\"role\": \"%s\"}".formatted(role))
                        .expect(201)
                        .json()
                        .get("url")
                        .asString(),
                role.toLowerCase(Locale.ROOT) + " " + UUID.randomUUID());
        return person;
    }

    /** Somebody who keeps another workshop. */
    public Person ofAnotherWorkshop(Person keeper) {
        Person person = joined(keeper, "KEEPER");
        UUID workshop = UUID.randomUUID();
        person.post("/api/workshops", "{\"id\": \"%s\", \"name\": \"Another\"}".formatted(workshop))
                .expect(201);
        person.put("/api/session/workshop", "{\"workshopId\": \"%s\"}".formatted(workshop))
                .expect(200);
        keeper.delete("/api/people/" + person.id()).expect(204);
        return person;
    }

    @Override
    public void close() {
        context.close();
    }

    /** Talks as the page does: with the cookie that came, and with the token of the session. */
    public final class Person {

        private String cookie = "";
        private String csrf = "";
        private String link = "";
        private String name = "";

        public String name() {
            return name;
        }

        public String password() {
            return PASSWORD;
        }

        public String cookie() {
            return cookie;
        }

        public UUID id() {
            return UUID.fromString(session().get("operator").get("id").asString());
        }

        /** Uses a one-time link. */
        public void comeIn(String url, String as) {
            String secret = url.substring(url.indexOf('#') + 1);
            name = as;
            String named = "\"name\": \"%s\", ".formatted(as);
            post(
                            "/api/invitations/use",
                            "{\"secret\": \"%s\", %s\"password\": \"%s\"}".formatted(secret, named, PASSWORD))
                    .expect(204);
            refresh();
        }

        public Api.Answer signIn(String as, String password) {
            Api.Answer answer =
                    post("/api/session", "{\"name\": \"%s\", \"password\": \"%s\"}".formatted(as, password));
            if (answer.status() == 204) {
                name = as;
                refresh();
            }
            return answer;
        }

        public JsonNode session() {
            return get("/api/session").expect(200).json();
        }

        public void refresh() {
            csrf = session().get("csrf").asString();
        }

        public void steal(Person other) {
            cookie = other.cookie;
            csrf = other.csrf;
        }

        /** Comes by a link to a plan. */
        public void carry(String secret) {
            link = secret;
        }

        public void forgetToken() {
            csrf = "";
        }

        public Api.Answer get(String path) {
            return send("GET", path, null);
        }

        public Api.Answer delete(String path) {
            return send("DELETE", path, null);
        }

        public Api.Answer post(String path, String body) {
            return send("POST", path, body);
        }

        public Api.Answer put(String path, String body) {
            return send("PUT", path, body);
        }

        public Api.Answer send(String method, String path, @Nullable String body) {
            return send(method, path, "application/json", body);
        }

        public Api.Answer send(String method, String path, String type, @Nullable String body) {
            HttpRequest.Builder request = request(path)
                    .method(method, body == null ? BodyPublishers.noBody() : BodyPublishers.ofString(body));
            if (body != null) {
                request.header("Content-Type", type);
            }
            Api.Answer answer = api.send(request);
            answer.response().headers().firstValue("Set-Cookie").ifPresent(this::keep);
            return answer;
        }

        /** Something that they ask for, as who they are. */
        public HttpRequest.Builder request(String path) {
            HttpRequest.Builder request = HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + api.port() + path));
            if (!cookie.isEmpty()) {
                request.header("Cookie", cookie);
            }
            if (!link.isEmpty()) {
                request.header("Eskiz-Share", link);
            }
            if (!csrf.isEmpty()) {
                request.header("X-CSRF-TOKEN", csrf);
            }
            return request;
        }

        private void keep(String set) {
            cookie = set.substring(0, set.indexOf(';'));
        }
    }

    /** The same way to keep passwords with fewer rounds: tests sign in a hundred times. */
    static class Quickly {

        @Bean
        @Primary
        PasswordEncoder quickly() {
            return new Pbkdf2PasswordEncoder("", 16, 100, SecretKeyFactoryAlgorithm.PBKDF2WithHmacSHA256);
        }
    }

    /** Starts one when a test asks for it, once. */
    public static final class Extension implements BeforeAllCallback, ParameterResolver {

        private static final ExtensionContext.Namespace SPACE = ExtensionContext.Namespace.create(Club.class);

        private final RealServer server = new RealServer();

        @Override
        public void beforeAll(ExtensionContext context) {
            server.beforeAll(context);
        }

        @Override
        public boolean supportsParameter(ParameterContext parameter, ExtensionContext context) {
            return parameter.getParameter().getType() == Club.class;
        }

        @Override
        public Object resolveParameter(ParameterContext parameter, ExtensionContext context) {
            return context.getRoot()
                    .getStore(SPACE)
                    .getOrComputeIfAbsent("club", k -> new Club(RealServer.databaseUrl(context)), Club.class);
        }
    }
}
