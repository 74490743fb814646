package org.eskiz.e2e;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What the script does to a machine, beyond starting. */
class ScriptTest {

    @Test
    void aServerThatRanOutOfMemoryIsStartedAgainAndOneThatEndedOtherwiseIsNot(@TempDir Path folder) throws IOException {
        Path began = folder.resolve("began");
        // as a server that runs out of memory twice, and then ends of its own accord
        Path server = Files.writeString(
                folder.resolve("server"), "echo x >>%1$s; [ $(wc -l <%1$s) -lt 3 ] && exit 3; exit 0".formatted(began));
        Path pid = folder.resolve("pid");
        RunningEskiz.run(
                Map.of(),
                List.of(
                        "bash",
                        "../scripts/keep-server.sh",
                        pid.toString(),
                        folder.resolve("out").toString(),
                        "bash",
                        server.toString()));
        assertThat(Files.readAllLines(began)).hasSize(3);
        assertThat(Files.readString(pid)).matches("\\d+\\n");
        assertThat(Files.readString(folder.resolve("out"))).contains("ran out of memory and is started again");
    }

    @Test
    void oneThatRunsOutOfMemoryAgainAndAgainIsLetBe(@TempDir Path folder) {
        assertThatThrownBy(() -> RunningEskiz.run(
                        Map.of(),
                        List.of(
                                "bash",
                                "../scripts/keep-server.sh",
                                folder.resolve("pid").toString(),
                                folder.resolve("out").toString(),
                                "sh",
                                "-c",
                                "exit 3")))
                .isInstanceOf(IllegalStateException.class);
    }

    @Test
    void somebodyElsesFolderIsLeftAsItIs(@TempDir Path folder) throws IOException {
        Files.writeString(folder.resolve("letter"), "dear friend");
        Files.setPosixFilePermissions(folder, PosixFilePermissions.fromString("rwxr-xr-x"));
        assertThatThrownBy(() -> RunningEskiz.run(
                        Map.of("ESKIZ_DATA", folder.toString(), "ESKIZ_BUILT", "yes"),
                        List.of("../eskiz", "start", "--background")))
                .hasMessageContaining("is not Eskiz's own and not empty");
        assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(folder)))
                .isEqualTo("rwxr-xr-x");
        assertThat(Files.getOwner(folder).getName()).isEqualTo(System.getProperty("user.name"));
        try (var files = Files.list(folder)) {
            assertThat(files).hasSize(1);
        }
    }
}
