package org.eskiz.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.microsoft.playwright.Page;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
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
        page.navigate("/plans");
        page.getByLabel("rename 23 cm beacon").click();
        page.getByLabel("new name of 23 cm beacon").fill("Beacon before the backup");
        page.keyboard().press("Enter");
        assertThat(page.getByText("Beacon before the backup")).isVisible();

        assertThat(server.eskiz("backup", file.toString())).contains("rows");
        page.getByLabel("rename Beacon before the backup").click();
        page.getByLabel("new name of Beacon before the backup").fill("Beacon after it");
        page.keyboard().press("Enter");
        assertThat(page.getByText("Beacon after it")).isVisible();

        assertThat(server.eskiz("restore", file.toString(), "--yes")).contains("every row proved equal");
        server.eskiz("start", "--background");
        page.reload();
        assertThat(page.getByText("Beacon before the backup")).isVisible();
        assertThat(page.getByText("Beacon after it")).hasCount(0);
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
}
