package org.eskiz.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.eskiz.e2e.RunningEskiz.Server;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;

/** Everything out into a file and back from it. */
@ExtendWith(RunningEskiz.class)
class BackupTest {

    @Test
    void whatWasThereIsThereAgain(Server server, Page page, @TempDir Path folder) throws IOException {
        Path file = folder.resolve("eskiz backup.tar.gz");
        page.navigate("/locker");
        assertThat(page.getByLabel("Take out Gallery 22")).isVisible();
        page.navigate("/plans");
        page.getByLabel("search plans").fill("beacon");
        page.getByLabel("Rename 23 cm beacon").click();
        page.getByLabel("new name of 23 cm beacon").fill("Beacon before the backup");
        page.keyboard().press("Enter");
        assertThat(page.getByText("Beacon before the backup")).isVisible();

        assertThat(server.eskiz("backup", file.toString())).contains("rows");
        page.getByLabel("Rename Beacon before the backup").click();
        page.getByLabel("new name of Beacon before the backup").fill("Beacon after it");
        page.keyboard().press("Enter");
        assertThat(page.getByText("Beacon after it")).isVisible();

        assertThat(server.eskiz("restore", file.toString(), "--yes")).contains("every row proved equal");
        server.eskiz("start", "--background");
        page.reload();
        page.getByLabel("search plans").fill("beacon");
        assertThat(page.getByText("Beacon before the backup")).isVisible();
        assertThat(page.getByText("Beacon after it")).hasCount(0);

        // what happens to a piece from now on is known of it
        page.navigate("/locker");
        page.getByLabel("Take out Gallery 22").click();
        Locator gallery = page.locator("[data-piece]").filter(new Locator.FilterOptions().setHasText("Gallery 22"));
        assertThat(gallery).containsText("out since");
    }

    @Test
    void itAsksFirstAndRefusesWhatIsNoBackup(Server server, @TempDir Path folder) throws IOException {
        Path good = folder.resolve("good.tar.gz");
        server.eskiz("backup", good.toString());
        assertThatThrownBy(() -> server.eskiz("restore", good.toString())).hasMessageContaining("nothing was changed");
        Path bad = Files.writeString(folder.resolve("bad.tar.gz"), "no backup at all");
        assertThatThrownBy(() -> server.eskiz("restore", bad.toString(), "--yes"))
                .hasMessageContaining("is not a backup of Eskiz");
        assertThatThrownBy(() -> server.eskiz("backup", "/no/such/folder/file"))
                .hasMessageContaining("there is no folder");
        assertThat(server.eskiz("start", "--background")).contains("is running at");
    }

    /** Whatever is in a file that is taken for a backup: it is refused, the server goes on, and nothing is left lying about. */
    @Test
    void whatIsNoDataIsRefusedAndTheServerGoesOn(Server server, @TempDir Path folder) throws IOException {
        Path good = folder.resolve("good.tar.gz");
        server.eskiz("backup", good.toString());
        Path open = Files.createDirectory(folder.resolve("open"));
        unpack(good, open);
        Path trace = folder.resolve("was-here");

        Files.writeString(open.resolve("more"), "more");
        refused(server, pack(open, "manifest", "rows.dump", "digest", "more"), "it has other files in it");
        Files.createSymbolicLink(open.resolve("link"), Path.of("/etc/passwd"));
        refused(server, pack(open, "manifest", "rows.dump", "link"), "not everything in it is a plain file");
        refused(server, pack(open, "manifest", "rows.dump", "../open/digest"), "it has other files in it");
        String written = Files.readString(open.resolve("manifest"));
        Files.writeString(open.resolve("manifest"), "eskiz-backup 2\nschema 99\n");
        refused(server, pack(open, "manifest", "rows.dump", "digest"), "was made by a newer Eskiz");
        Files.writeString(open.resolve("manifest"), "eskiz-backup 2\nschema 7; touch " + trace + "\n");
        refused(server, pack(open, "manifest", "rows.dump", "digest"), "does not say of which version it is");
        Files.writeString(open.resolve("manifest"), written);
        Files.writeString(open.resolve("digest"), "plan|9|x\n");
        refused(server, pack(open, "manifest", "rows.dump", "digest"), "is not what was written into it");
        Files.writeString(open.resolve("rows.dump"), "\\! touch " + trace + "\n");
        refused(server, pack(open, "manifest", "rows.dump", "digest"), "could not be read, nothing was changed");

        unpack(stored(), open);
        String script = Files.readString(open.resolve("eskiz.sql"));
        for (String evil : List.of(
                "\\! touch " + trace,
                "copy plan from program 'touch " + trace + "';",
                "alter role eskiz_app superuser;",
                "\\copy plan to program 'touch " + trace + "'")) {
            Files.writeString(open.resolve("eskiz.sql"), evil + "\n" + script);
            refused(
                    server,
                    pack(open, "eskiz.sql", "digest"),
                    "this backup is refused, nothing was changed: line 1 is");
        }
        assertThat(trace).doesNotExist();
        assertThat(server.eskiz("start", "--background")).contains("is running at");
        try (var left = Files.list(server.data().resolve("tmp"))) {
            assertThat(left).isEmpty();
        }
    }

    /** One backup of every form that was ever written; whatever changes, they must still come back. */
    @Test
    void aBackupOfAnEarlierVersionComesBack(Server server, @TempDir Path folder) throws IOException {
        Path now = folder.resolve("now.tar.gz");
        server.eskiz("backup", now.toString());
        assertThat(server.eskiz("restore", stored().toString(), "--yes"))
                .contains("every row proved equal")
                .contains("is running at");
        assertThat(server.eskiz("restore", now.toString(), "--yes")).contains("every row proved equal");
    }

    /** As if the machine had gone off in the middle of an earlier version's restore. */
    @Test
    void aRestoreThatWasBrokenOffIsUndoneOrFinishedAndNeverLeavesAnEmptyDatabase(Server server) throws IOException {
        String plans = server.psql("select count(*) from plan");
        server.eskiz("stop");
        server.eskiz("backup", server.data().resolve("tmp.tar.gz").toString());
        server.withDatabase("alter database eskiz rename to eskiz_replaced", "create database eskiz_restored");
        assertThat(server.eskiz("start", "--background")).contains("undoing a restore that was broken off");
        assertThat(server.psql("select count(*) from plan")).isEqualTo(plans);

        server.eskiz("stop");
        server.withDatabase("create database eskiz_replaced template eskiz");
        assertThat(server.eskiz("start", "--background")).contains("finishing a restore that was broken off");
        assertThat(server.psql("select count(*) from plan")).isEqualTo(plans);
        assertThat(server.psql("select count(*) from pg_database where datname like 'eskiz_re%'"))
                .isEqualTo("0");
    }

    private static Path stored() {
        return Path.of("src/test/resources/stored/backup-of-version-6.tar.gz").toAbsolutePath();
    }

    private static void refused(Server server, Path file, String why) {
        assertThatThrownBy(() -> server.eskiz("restore", file.toString(), "--yes"))
                .hasMessageContaining(why);
    }

    private static void unpack(Path file, Path folder) {
        RunningEskiz.run(Map.of(), List.of("tar", "-C", folder.toString(), "-xzf", file.toString()));
    }

    private static Path pack(Path folder, String... members) {
        Path file = folder.resolveSibling("packed.tar.gz");
        List<String> command = new ArrayList<>(List.of("tar", "-C", folder.toString(), "-czPf", file.toString()));
        command.addAll(List.of(members));
        RunningEskiz.run(Map.of(), command);
        return file;
    }
}
