package org.eskiz.e2e;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assumptions.assumeThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.eskiz.e2e.RunningEskiz.Server;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;

/** What was acknowledged is there afterwards, whatever was killed or ran full meanwhile. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class FaultsTest {

    /** Database, build and archive of classes fit, and a filler makes it full. */
    private static final int DISK_MB = 400;

    private Path data;
    private boolean isSmallDisk;
    private Server server;

    @BeforeAll
    void start() throws IOException {
        data = Files.createTempDirectory("eskiz faults ");
        isSmallDisk = SmallDisk.mount(data, DISK_MB);
        server = new Server(data, RunningEskiz.freePort());
        server.eskiz("start", "--background", "--no-demo");
    }

    @AfterAll
    void stop() throws IOException {
        server.eskiz("stop");
        if (isSmallDisk) {
            SmallDisk.unmount(data);
        }
        RunningEskiz.deleteAll(data);
    }

    @Test
    void serverAndDatabaseAreKilledDuringSaves() throws IOException {
        try (Saves saves = Saves.begin(server.port())) {
            saves.awaitMore(20);
            kill(data.resolve("server.pid"));
            server.eskiz("start", "--background");
            saves.awaitMore(20);
            kill(data.resolve("cluster/postmaster.pid"));
            server.eskiz("start", "--background");
            saves.awaitMore(20);
            saves.finish();
            assertThat(saves.stored()).isEqualTo(saves.acknowledged());
        }
    }

    @Test
    void theDiskRunsFullDuringSaves() throws IOException {
        assumeThat(isSmallDisk).as("a small disk can be mounted here").isTrue();
        try (Saves saves = Saves.begin(server.port())) {
            saves.awaitMore(20);
            Path filler = SmallDisk.fill(data);
            saves.awaitRefusals(3);
            assertThatThrownBy(() -> server.eskiz("start", "--background")).hasMessageContaining("is full");
            Files.delete(filler);
            server.eskiz("start", "--background");
            saves.awaitMore(20);
            saves.finish();
            assertThat(saves.stored()).isEqualTo(saves.acknowledged());
        }
    }

    @Test
    void aBackupIsKeptBeforeTheDatabaseIsMigrated() throws IOException {
        try (Saves saves = Saves.begin(server.port())) {
            saves.awaitMore(5);
            saves.finish();
            server.psql(takenBack());
            server.eskiz("stop");

            assertThat(server.eskiz("start", "--background"))
                    .contains("keeping a backup before the database is changed from version 17 to 18");
            assertThat(saves.stored()).isEqualTo(saves.acknowledged());
        }
        Path backup;
        try (var files = Files.list(data.resolve("backups"))) {
            backup = files.toList().get(0);
        }
        assertThat(member(backup, "digest")).containsPattern("\nplan\\|[1-9]");
        assertThat(member(backup, "manifest")).contains("schema 17");
    }

    private static String member(Path backup, String name) {
        return RunningEskiz.run(Map.of(), List.of("tar", "-xzOf", backup.toString(), name));
    }

    private static String takenBack() throws IOException {
        try (InputStream in = FaultsTest.class.getResourceAsStream("/newest-migration-taken-back.sql")) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    /** The first line of a pid file names the process. */
    static void kill(Path pidFile) throws IOException {
        long pid = Long.parseLong(Files.readAllLines(pidFile).get(0).trim());
        assertThat(ProcessHandle.of(pid).orElseThrow().destroyForcibly()).isTrue();
    }
}
