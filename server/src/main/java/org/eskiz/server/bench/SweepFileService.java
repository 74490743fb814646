package org.eskiz.server.bench;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Clock;
import java.time.Instant;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.eskiz.core.bench.Sweep;
import org.eskiz.core.bench.Touchstone;
import org.eskiz.core.bench.TouchstoneException;
import org.eskiz.server.operator.WorkshopService;
import org.eskiz.server.problem.InvalidRequestException;
import org.eskiz.server.problem.NotFoundException;
import org.eskiz.server.problem.ValidationErrors;
import org.eskiz.server.store.IdempotentStore;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps what instruments wrote, as they wrote it; the same text twice is one file. */
@Service
public class SweepFileService {

    private final BenchFileRepository files;
    private final WorkshopService workshops;
    private final IdempotentStore store;
    private final SweepQuota quota;
    private final Clock clock;

    SweepFileService(
            BenchFileRepository files,
            WorkshopService workshops,
            IdempotentStore store,
            SweepQuota quota,
            Clock clock) {
        this.quota = quota;
        this.files = files;
        this.workshops = workshops;
        this.store = store;
        this.clock = clock;
    }

    /**
     * Keeps what an instrument has just measured.
     *
     * @param text in the Touchstone format
     */
    public BenchFileResponse keep(String fileName, String text) {
        return store(new BenchFileRequest(fileName, text));
    }

    BenchFileResponse store(BenchFileRequest request) {
        return store(request, UUID.randomUUID());
    }

    /**
     * Keeps a file under an id that it had elsewhere; where the same text is here already, that file stands.
     *
     * @param id taken where it is free
     */
    BenchFileResponse store(BenchFileRequest request, UUID id) {
        ValidationErrors.in(request).throwIfAny();
        String text = request.text().replaceFirst("^\uFEFF", "");
        if (text.indexOf('\0') >= 0) {
            throw new InvalidRequestException(
                    "text", "this is not text but a binary file; a sweep is a text file (.s1p, .s2p)");
        }
        Touchstone.Reading sweep = reading(text);
        String digest = digest(text);
        return store.createOrRepeat(
                () -> files.findByWorkshopIdAndDigest(workshops.current(), digest)
                        .map(f -> response(f, sweep)),
                () -> {
                    quota.requireRoomFor(text.getBytes(StandardCharsets.UTF_8).length);
                    return response(
                            files.saveAndFlush(BenchFileEntity.of(
                                    files.existsById(id) ? UUID.randomUUID() : id,
                                    workshops.current(),
                                    new BenchFileRequest(request.fileName(), text),
                                    digest,
                                    Instant.now(clock))),
                            sweep);
                });
    }

    @Transactional(readOnly = true)
    List<BenchFileResponse> of(BenchTestRequest test) {
        return ids(test)
                .map(id -> existing(id))
                .map(f -> response(f, Touchstone.reading(f.content)))
                .toList();
    }

    /** The sweeps that a test refers to, by the ids of their files. */
    @Transactional(readOnly = true)
    Map<UUID, Touchstone.Reading> sweeps(BenchTestRequest test) {
        return ids(test).collect(Collectors.toMap(id -> id, id -> Touchstone.reading(existing(id).content)));
    }

    /** Errors where a test refers to a file that is not there. */
    @Transactional(readOnly = true)
    void check(BenchTestRequest test, ValidationErrors errors) {
        Map.of(
                        "throughFileId", Stream.ofNullable(test.throughFileId()).toList(),
                        "openFileId", Stream.ofNullable(test.openFileId()).toList(),
                        "shortedFileId", Stream.ofNullable(test.shortedFileId()).toList(),
                        "terminatedFileId",
                                Stream.ofNullable(test.terminatedFileId()).toList())
                .forEach((field, ids) -> ids.stream()
                        .filter(id -> files.findByIdAndWorkshopId(id, workshops.current())
                                .isEmpty())
                        .forEach(id -> errors.add(field, "there is no sweep " + id)));
    }

    @Transactional(readOnly = true)
    Sweep sweep(UUID id) {
        return files.findByIdAndWorkshopId(id, workshops.current())
                .map(f -> Touchstone.read(f.content))
                .orElseThrow(() -> new InvalidRequestException("fileId", "there is no sweep " + id));
    }

    /** A sweep in the form that is asked for. */
    @Transactional(readOnly = true)
    String touchstone(UUID id, Touchstone.Form form) {
        Touchstone.Reading reading = Touchstone.reading(existing(id).content);
        String text = Touchstone.write(reading.sweep(), form);
        return reading.isUncalibrated() ? Touchstone.UNCALIBRATED + text : text;
    }

    @Transactional(readOnly = true)
    String name(UUID id) {
        return existing(id).fileName;
    }

    static Stream<UUID> ids(BenchTestRequest test) {
        return Stream.of(test.throughFileId(), test.openFileId(), test.shortedFileId(), test.terminatedFileId())
                .filter(Objects::nonNull)
                .distinct();
    }

    private BenchFileEntity existing(UUID id) {
        return files.findByIdAndWorkshopId(id, workshops.current())
                .orElseThrow(() -> new NotFoundException("sweep", id));
    }

    private static Touchstone.Reading reading(String text) {
        try {
            return Touchstone.reading(text);
        } catch (TouchstoneException e) {
            throw new InvalidRequestException("text", e.getMessage());
        }
    }

    private static BenchFileResponse response(BenchFileEntity file, Touchstone.Reading reading) {
        Sweep sweep = reading.sweep();
        List<Double> f = sweep.frequenciesMHz();
        return new BenchFileResponse(
                file.id,
                file.fileName,
                sweep instanceof Sweep.TwoPort ? 2 : 1,
                f.size(),
                f.get(0),
                f.get(f.size() - 1),
                sweep.referenceOhm(),
                reading.hadZero(),
                reading.wasSorted(),
                reading.isUncalibrated());
    }

    private static String digest(String text) {
        try {
            byte[] hash = MessageDigest.getInstance("SHA-256").digest(text.getBytes(StandardCharsets.UTF_8));
            return HexFormat.of().formatHex(hash);
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has it", e);
        }
    }
}
