package org.eskiz.server;

import java.time.Clock;
import java.time.Duration;
import java.time.temporal.ChronoUnit;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.context.annotation.Bean;
import org.springframework.scheduling.annotation.EnableScheduling;

/** The whole server: HTTP under {@code /api}, storage, and the front end as static files. */
@SpringBootApplication
@EnableScheduling
public class EskizServer {

    public static void main(String[] args) {
        SpringApplication.run(EskizServer.class, args);
    }

    /**
     * Times are UTC instants from here, to the microsecond, as the database keeps them.
     *
     * @param offset by which tests and pictures live in another time than the machine they are made on
     */
    @Bean
    Clock clock(@Value("${eskiz.clock-offset:PT0S}") Duration offset) {
        return Clock.tick(Clock.offset(Clock.systemUTC(), offset), Duration.of(1, ChronoUnit.MICROS));
    }
}
