package org.eskiz.server;

import java.time.Clock;
import java.time.Duration;
import java.time.temporal.ChronoUnit;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.context.annotation.Bean;

/** The whole server: HTTP under {@code /api}, storage, and the front end as static files. */
@SpringBootApplication
public class EskizServer {

    public static void main(String[] args) {
        SpringApplication.run(EskizServer.class, args);
    }

    /** Times are UTC instants from here, so that a test can set them; to the microsecond, as the database keeps them. */
    @Bean
    Clock clock() {
        return Clock.tick(Clock.systemUTC(), Duration.of(1, ChronoUnit.MICROS));
    }
}
