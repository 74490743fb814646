package org.eskiz.server;

import java.util.Map;
import org.eskiz.server.store.DatabaseAccess;
import org.springframework.boot.EnvironmentPostProcessor;
import org.springframework.boot.SpringApplication;
import org.springframework.core.env.ConfigurableEnvironment;
import org.springframework.core.env.MapPropertySource;

/** The database that the environment names, as Spring's settings. What is on the command line comes before it. */
class DatabaseSettings implements EnvironmentPostProcessor {

    @Override
    public void postProcessEnvironment(ConfigurableEnvironment environment, SpringApplication application) {
        DatabaseAccess.of(environment::getProperty)
                .ifPresent(database -> environment
                        .getPropertySources()
                        .addLast(new MapPropertySource(
                                "eskiz database",
                                Map.of(
                                        "spring.datasource.url", database.url(),
                                        "spring.datasource.username", database.user(),
                                        "spring.datasource.password", database.password()))));
    }
}
