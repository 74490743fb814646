package org.eskiz.server.store;

import java.io.IOException;
import java.net.URI;
import java.net.URISyntaxException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/**
 * Which database, as whom, by which password: {@code ESKIZ_DATABASE_URL}, {@code ESKIZ_DATABASE_USER} and
 * {@code ESKIZ_DATABASE_PASSWORD_FILE}. A database on another machine is spoken to by TLS, and its certificate is verified.
 *
 * @param url as the driver takes it
 */
public record DatabaseAccess(String url, String user, String password) {

    private static final String URL = "ESKIZ_DATABASE_URL";
    private static final String USER = "ESKIZ_DATABASE_USER";
    private static final String PASSWORD_FILE = "ESKIZ_DATABASE_PASSWORD_FILE";

    private static final String VERIFIED = "verify-full";
    private static final Set<String> LOOPBACK = Set.of("127.0.0.1", "localhost", "[::1]");

    /** @return nothing where no database is named */
    public static Optional<DatabaseAccess> of(Function<String, String> environment) {
        String url = environment.apply(URL);
        if (url == null || url.isBlank()) {
            return Optional.empty();
        }
        String user = environment.apply(USER);
        if (user == null || user.isBlank()) {
            throw new IllegalStateException(URL + " goes with " + USER);
        }
        return Optional.of(new DatabaseAccess(driverUrl(url.strip()), user.strip(), password(environment)));
    }

    /** For a program that can do nothing without. */
    public static DatabaseAccess needed() {
        return of(System::getenv).orElseThrow(() -> new IllegalStateException(URL + " must name the database"));
    }

    private static String password(Function<String, String> environment) {
        String file = environment.apply(PASSWORD_FILE);
        if (file == null || file.isBlank()) {
            return "";
        }
        try {
            return Files.readString(Path.of(file)).strip();
        } catch (IOException e) {
            throw new IllegalStateException(PASSWORD_FILE + " " + file + " cannot be read", e);
        }
    }

    private static String driverUrl(String url) {
        String allowed = URL + " must be like postgresql://database.example/eskiz, not \"" + url + "\"";
        try {
            URI read = new URI(url.startsWith("jdbc:") ? url.substring(5) : url);
            if (!"postgresql".equals(read.getScheme())
                    || read.getHost() == null
                    || read.getPath() == null
                    || read.getPath().length() < 2) {
                throw new IllegalStateException(allowed);
            }
            if (read.getUserInfo() != null) {
                throw new IllegalStateException(
                        URL + " names no user and no password: they are in " + USER + " and " + PASSWORD_FILE);
            }
            return "jdbc:" + verified(read);
        } catch (URISyntaxException e) {
            throw new IllegalStateException(allowed, e);
        }
    }

    private static String verified(URI database) {
        if (LOOPBACK.contains(database.getHost())) {
            return database.toString();
        }
        Optional<String> mode = parameter(database, "sslmode");
        if (mode.isEmpty()) {
            return database + (database.getRawQuery() == null ? "?" : "&") + "sslmode=" + VERIFIED;
        }
        if (!VERIFIED.equals(mode.get())) {
            throw new IllegalStateException("%s must have sslmode=%s for a database on another machine, not \"%s\""
                    .formatted(URL, VERIFIED, mode.get()));
        }
        return database.toString();
    }

    private static Optional<String> parameter(URI database, String name) {
        return Optional.ofNullable(database.getRawQuery()).stream()
                .flatMap(query -> Arrays.stream(query.split("&")))
                .filter(one -> one.startsWith(name + "="))
                .map(one -> one.substring(name.length() + 1))
                .findFirst();
    }
}
