package org.eskiz.server.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Clock;
import java.time.Duration;
import java.util.UUID;
import org.eskiz.server.Api;
import org.eskiz.server.EskizServer;
import org.eskiz.server.RealServer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Primary;
import org.springframework.core.env.Environment;
import tools.jackson.databind.JsonNode;

/** A second server on the same database, whose clock has been set back a year. */
@ExtendWith(RealServer.class)
class SecondServerTest {

    @Test
    void bothSeeWhatEitherHasSavedAndNeitherOverwritesTheOther(Api first, Environment environment) {
        try (var context = new SpringApplicationBuilder(EskizServer.class, ClockSetBack.class)
                .run(RealServer.arguments(environment.getProperty("spring.datasource.url")))) {
            Api second = Api.at(context.getEnvironment().getRequiredProperty("local.server.port", Integer.class));
            String path = "/api/plans/" + UUID.randomUUID();
            long version = first.post("/api/plans", body("\"id\": \"" + path.substring(11) + "\"", "made by the first"))
                    .expect(201)
                    .json()
                    .get("version")
                    .asLong();
            JsonNode saved = second.put(path, body("\"version\": " + version, "saved by the second"))
                    .expect(200)
                    .json();
            JsonNode conflict =
                    first.put(path, body("\"version\": " + version, "too late")).expectProblem(409);
            assertThat(conflict.get("current").get("name").asString()).isEqualTo("saved by the second");
            first.put(path, body("\"version\": " + saved.get("version"), "saved by the first"))
                    .expect(200);
            assertThat(second.get(path).json().get("name").asString()).isEqualTo("saved by the first");
            assertThat(second.get("/api/cable-types").json())
                    .isEqualTo(first.get("/api/cable-types").json());
        }
    }

    private static String body(String known, String name) {
        return "{%s, \"site\": \"\", \"name\": \"%s\", \"document\": {\"schemaVersion\": 1}}".formatted(known, name);
    }

    /** Named to the second server only; annotated as a configuration, the first would find it by scanning. */
    static class ClockSetBack {

        @Bean
        @Primary
        Clock clockSetBack() {
            return Clock.offset(Clock.tick(Clock.systemUTC(), Duration.ofMillis(1)), Duration.ofDays(-365));
        }
    }
}
