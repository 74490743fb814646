package org.eskiz.e2e;

import static java.nio.file.StandardOpenOption.APPEND;
import static java.nio.file.StandardOpenOption.CREATE;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** A disk small enough to be filled, in memory; mounting it takes root, or sudo without a question. */
final class SmallDisk {

    private SmallDisk() {}

    /** Whether it could be mounted. */
    static boolean mount(Path folder, int megabytes) {
        try {
            String uid = Files.getAttribute(folder, "unix:uid").toString();
            asRoot("mount", "-t", "tmpfs", "-o", "size=" + megabytes + "m,mode=700,uid=" + uid, "tmpfs", "" + folder);
            return true;
        } catch (IOException | IllegalStateException e) {
            return false;
        }
    }

    static void unmount(Path folder) {
        asRoot("umount", folder.toString());
    }

    /** Fills what is left of it, to the last byte; deleting the file that is answered makes room again. */
    static Path fill(Path folder) throws IOException {
        Path filler = folder.resolve("filler");
        byte[] megabyte = new byte[1 << 20];
        for (byte[] some = megabyte; some.length > 0; some = new byte[some.length / 16]) {
            try (OutputStream out = Files.newOutputStream(filler, CREATE, APPEND)) {
                while (true) {
                    out.write(some);
                }
            } catch (IOException full) {
                // and on with smaller pieces
            }
        }
        return filler;
    }

    private static void asRoot(String... command) {
        List<String> whole = new ArrayList<>();
        if (!"root".equals(System.getProperty("user.name"))) {
            whole.addAll(List.of("sudo", "-n"));
        }
        whole.addAll(List.of(command));
        RunningEskiz.run(Map.of(), whole);
    }
}
