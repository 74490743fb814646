package org.eskiz.server;

import java.time.Clock;
import org.eskiz.server.catalogue.BuiltInLoader;
import org.springframework.boot.WebApplicationType;
import org.springframework.boot.autoconfigure.EnableAutoConfiguration;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.boot.persistence.autoconfigure.EntityScan;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Import;
import org.springframework.data.jpa.repository.config.EnableJpaRepositories;

/**
 * Brings schema and built-in catalogue of a database up to what this program knows, as the owner of the schema and before
 * any server of this version starts; servers that run meanwhile go on. {@code ./eskiz migrate} runs it where several
 * servers share a database.
 */
@EnableAutoConfiguration
@EntityScan(basePackageClasses = BuiltInLoader.class)
@EnableJpaRepositories(basePackageClasses = BuiltInLoader.class)
@Import(BuiltInLoader.class)
public class MigrateStep {

    public static void main(String[] args) {
        try (var context = new SpringApplicationBuilder(MigrateStep.class)
                .web(WebApplicationType.NONE)
                .run(args)) {
            context.getBean(BuiltInLoader.class).load();
        }
    }

    @Bean
    Clock clock() {
        return Clock.systemUTC();
    }
}
