package org.eskiz.server;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.ParameterContext;
import org.junit.jupiter.api.extension.ParameterResolver;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.ConnectionCallback;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.datasource.DriverManagerDataSource;

/**
 * The real application on a throw-away database, started once for all tests of a JVM. Test methods take its beans, or an
 * {@link Api} that talks to it over HTTP, as parameters.
 */
public final class RealServer implements BeforeAllCallback, ParameterResolver {

    private static final ExtensionContext.Namespace SPACE = ExtensionContext.Namespace.create(RealServer.class);

    @Override
    public void beforeAll(ExtensionContext context) {
        running(context);
    }

    @Override
    public boolean supportsParameter(ParameterContext parameter, ExtensionContext context) {
        return parameter.getParameter().getType() == Api.class
                || running(context)
                        .context()
                        .getBeanProvider(parameter.getParameter().getType())
                        .stream()
                        .findAny()
                        .isPresent();
    }

    @Override
    public Object resolveParameter(ParameterContext parameter, ExtensionContext context) {
        Class<?> type = parameter.getParameter().getType();
        Running running = running(context);
        return type == Api.class ? running.api() : running.context().getBean(type);
    }

    /** The database of the tests of this JVM. */
    public static String databaseUrl(ExtensionContext context) {
        return running(context).cluster().url();
    }

    /** The database of a server as the owner of its tables sees it. */
    public static JdbcTemplate owner(JdbcTemplate server) {
        return server.execute((ConnectionCallback<JdbcTemplate>) connection -> new JdbcTemplate(
                new DriverManagerDataSource(connection.getMetaData().getURL(), "eskiz_owner", "")));
    }

    /** When the tests take place, whatever year the machine is in: after everything that happens in them. */
    private static final Duration AWAY = Duration.between(Instant.now(), Instant.parse("2026-11-20T10:00:00Z"));

    /** How a server of the tests is started on a database. */
    public static String[] arguments(String databaseUrl, String... more) {
        List<String> arguments = new ArrayList<>(List.of(
                "--spring.datasource.url=" + databaseUrl,
                "--spring.datasource.username=eskiz_app",
                "--server.port=0",
                "--eskiz.clock-offset=" + AWAY,
                "--eskiz.own-database=true",
                "--eskiz.metrics-port=0",
                "--springdoc.api-docs.path=/v3/made-api-docs",
                "--springdoc.default-produces-media-type=application/json",
                "--springdoc.default-consumes-media-type=application/json",
                "--springdoc.writer-with-order-by-keys=true"));
        arguments.addAll(List.of(more));
        return arguments.toArray(String[]::new);
    }

    private static Running running(ExtensionContext context) {
        return context.getRoot().getStore(SPACE).getOrComputeIfAbsent("running", k -> Running.start(), Running.class);
    }

    private record Running(ThrowAwayCluster cluster, ConfigurableApplicationContext context, Api api)
            implements AutoCloseable {

        static Running start() {
            ThrowAwayCluster cluster = ThrowAwayCluster.start();
            var context = SpringApplication.run(EskizServer.class, arguments(cluster.url()));
            int port = context.getEnvironment().getRequiredProperty("local.server.port", Integer.class);
            return new Running(cluster, context, new Api(port));
        }

        @Override
        public void close() {
            context.close();
            cluster.close();
        }
    }
}
