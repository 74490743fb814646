package org.eskiz.server;

import java.io.File;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.net.ServerSocket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;
import javax.sql.DataSource;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.datasource.DriverManagerDataSource;

/**
 * A PostgreSQL cluster of the tests' own, on a free loopback port, gone when the JVM ends. It does not sync to disk: it
 * has nothing to keep. A cluster left behind by a killed JVM is cleared away by the next one.
 */
public final class ThrowAwayCluster implements AutoCloseable {

    private static final String PREFIX = "eskiz-test-cluster-";

    private final Path folder;
    private final int port;

    private ThrowAwayCluster(Path folder, int port) {
        this.folder = folder;
        this.port = port;
    }

    public static ThrowAwayCluster start() {
        try {
            clearLeftovers();
            Path folder =
                    Files.createTempDirectory(PREFIX + ProcessHandle.current().pid() + "-");
            var cluster = new ThrowAwayCluster(folder, freePort());
            Runtime.getRuntime().addShutdownHook(new Thread(cluster::close));
            cluster.initialise();
            cluster.prepare();
            return cluster;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    public String url() {
        return "jdbc:postgresql://127.0.0.1:" + port + "/postgres";
    }

    /** The database as one of its roles sees it. */
    public DataSource as(String role) {
        return new DriverManagerDataSource(url(), role, "");
    }

    /** The roles of the application, and the newest schema, owned by the one that may change it. */
    private void prepare() throws IOException {
        try (InputStream in = ThrowAwayCluster.class.getResourceAsStream("/db/roles.sql")) {
            new JdbcTemplate(as("eskiz")).execute(new String(in.readAllBytes(), StandardCharsets.UTF_8));
        }
        Migrations.migrate(as("eskiz_owner"));
    }

    private void initialise() throws IOException {
        if (isRoot()) {
            run(List.of("chown", "postgres:postgres", folder.toString()));
        }
        run(asOwner("initdb", "-D", data(), "-U", "eskiz", "--auth=trust", "-E", "UTF8", "--locale=C.UTF-8"));
        start(data());
    }

    private void start(String data) throws IOException {
        String options = "-p " + port + " -c listen_addresses=127.0.0.1 -c unix_socket_directories='' -c fsync=off";
        run(asOwner("pg_ctl", "-D", data, "-w", "-l", folder.resolve("log").toString(), "-o", options, "start"));
    }

    @Override
    public void close() {
        discard(folder);
    }

    private String data() {
        return folder.resolve("data").toString();
    }

    private static void clearLeftovers() throws IOException {
        try (Stream<Path> folders = Files.list(Path.of(System.getProperty("java.io.tmpdir")))) {
            folders.filter(f -> f.getFileName().toString().startsWith(PREFIX))
                    .filter(f -> ownerIsGone(f.getFileName().toString()))
                    .forEach(ThrowAwayCluster::discard);
        }
    }

    private static boolean ownerIsGone(String name) {
        long pid = Long.parseLong(name.substring(PREFIX.length()).split("-")[0]);
        return ProcessHandle.of(pid).isEmpty();
    }

    private static void discard(Path folder) {
        String data = folder.resolve("data").toString();
        try {
            if (Files.exists(folder.resolve("data/postmaster.pid"))) {
                run(asOwner("pg_ctl", "-D", data, "-m", "immediate", "-w", "stop"));
            }
            deleteAll(folder);
        } catch (IOException | IllegalStateException e) {
            System.err.println("could not clear away " + folder + ": " + e.getMessage());
        }
    }

    private static void deleteAll(Path folder) throws IOException {
        if (!Files.exists(folder)) {
            return;
        }
        try (Stream<Path> all = Files.walk(folder)) {
            all.sorted(Comparator.reverseOrder()).map(Path::toFile).forEach(File::delete);
        }
    }

    /** PostgreSQL refuses to run as root. */
    private static List<String> asOwner(String program, String... arguments) throws IOException {
        List<String> command = new ArrayList<>();
        if (isRoot()) {
            command.addAll(List.of("setpriv", "--reuid=postgres", "--regid=postgres", "--init-groups"));
        }
        command.add(newestBin().resolve(program).toString());
        command.addAll(List.of(arguments));
        return command;
    }

    private static Path newestBin() throws IOException {
        try (Stream<Path> versions = Files.list(Path.of("/usr/lib/postgresql"))) {
            return versions.max(Comparator.comparingInt(
                            v -> Integer.parseInt(v.getFileName().toString())))
                    .orElseThrow()
                    .resolve("bin");
        }
    }

    private static boolean isRoot() {
        return "root".equals(System.getProperty("user.name"));
    }

    private static int freePort() throws IOException {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        }
    }

    /** Output goes to a file and never to a pipe, which the started server would keep open. */
    private static void run(List<String> command) throws IOException {
        Path output = Files.createTempFile("eskiz-command-", ".log");
        try {
            int code = new ProcessBuilder(command)
                    .directory(new File("/"))
                    .redirectErrorStream(true)
                    .redirectOutput(output.toFile())
                    .start()
                    .waitFor();
            if (code != 0) {
                throw new IllegalStateException(
                        String.join(" ", command) + " answered " + code + ": " + Files.readString(output));
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        } finally {
            Files.deleteIfExists(output);
        }
    }
}
