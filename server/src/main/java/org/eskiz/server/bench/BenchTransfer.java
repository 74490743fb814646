package org.eskiz.server.bench;

import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.eskiz.server.catalogue.CatalogueService;
import org.eskiz.server.operator.WorkshopService;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** Tests and sweeps on their way into and out of files, within the caller's transaction. */
@Service
public class BenchTransfer {

    private final BenchService bench;
    private final BenchTestRepository tests;
    private final BenchTestRevisionRepository revisions;

    private final SweepFileService files;
    private final BenchFileRepository stored;
    private final CatalogueService catalogues;
    private final WorkshopService workshops;
    private final JsonMapper json;

    BenchTransfer(
            BenchService bench,
            BenchTestRepository tests,
            BenchTestRevisionRepository revisions,
            SweepFileService files,
            BenchFileRepository stored,
            CatalogueService catalogues,
            WorkshopService workshops,
            JsonMapper json) {
        this.bench = bench;
        this.tests = tests;
        this.revisions = revisions;

        this.files = files;
        this.stored = stored;
        this.catalogues = catalogues;
        this.workshops = workshops;
        this.json = json;
    }

    /** Ids of every test that is there, the earliest first. */
    @Transactional(readOnly = true)
    public List<UUID> ids() {
        return tests.ids(workshops.current());
    }

    /** Some tests. */
    @Transactional(readOnly = true)
    public List<TestInFile> some(Collection<UUID> ids) {
        return inFile(revisions.newestAmong(ids, workshops.current()), t -> true);
    }

    /** Tests of some pieces, of the run of a plan, and those that some types were made of. */
    @Transactional(readOnly = true)
    public List<TestInFile> of(Set<UUID> pieces, UUID plan, Set<String> madeTypes) {
        return inFile(
                revisions.newest(workshops.current()),
                t -> (t.noted().pieceId() != null && pieces.contains(t.noted().pieceId()))
                        || plan.equals(t.noted().planId())
                        || t.madeTypes().stream().anyMatch(madeTypes::contains));
    }

    private List<TestInFile> inFile(List<BenchTestRevisionEntity> newest, Predicate<TestInFile> wanted) {
        Map<UUID, BenchTestEntity> present =
                tests.findByIdIn(newest.stream().map(r -> r.key.testId()).toList()).stream()
                        .collect(Collectors.toMap(t -> t.id, t -> t));
        Map<UUID, String> keys = catalogues.keys();
        return newest.stream()
                .map(r -> inFile(r, present.get(r.key.testId()), keys))
                .filter(wanted)
                .sorted(Comparator.comparing((TestInFile t) -> t.noted().testedOn())
                        .thenComparing(t -> t.noted().id()))
                .toList();
    }

    private TestInFile inFile(BenchTestRevisionEntity newest, BenchTestEntity test, Map<UUID, String> keys) {
        return new TestInFile(
                json.readValue(newest.document, BenchTestRequest.class).withId(test.id),
                test.madeTypes.stream()
                        .map(keys::get)
                        .filter(Objects::nonNull)
                        .sorted()
                        .toList());
    }

    /** A test of this id; empty where there is none. */
    @Transactional(readOnly = true)
    public Optional<TestInFile> stored(UUID id) {
        return tests.findByIdAndWorkshopIdAndRemovedAtIsNull(id, workshops.current())
                .map(t -> inFile(revisions.history(t.id).get(0), t, catalogues.keys()));
    }

    /** The sweeps that a test refers to. */
    public List<UUID> sweepsOf(TestInFile test) {
        return SweepFileService.ids(test.noted()).toList();
    }

    /** A sweep that is there. */
    @Transactional(readOnly = true)
    public SweepInFile sweep(UUID id) {
        BenchFileEntity file =
                stored.findByIdAndWorkshopId(id, workshops.current()).orElseThrow();
        return new SweepInFile(file.id, file.fileName, file.content);
    }

    /**
     * Keeps a sweep.
     *
     * @return the id by which it goes here; the same text that is here already is one sweep
     */
    @Transactional
    public UUID add(SweepInFile sweep) {
        return files.store(new BenchFileRequest(sweep.fileName(), sweep.text()), sweep.id())
                .id();
    }

    /** Stores a test that is new. */
    @Transactional
    public void add(TestInFile test) {
        bench.create(test.noted());
        link(test);
    }

    /** Corrects the test that is there to what a file says of it. */
    @Transactional
    public void replace(TestInFile test) {
        UUID id = test.noted().id();
        bench.correct(id, test.noted().correcting(bench.get(id).summary().revision()));
        link(test);
    }

    private void link(TestInFile test) {
        List<String> made = Objects.requireNonNullElse(test.madeTypes(), List.of());
        if (!made.isEmpty()) {
            tests.findById(test.noted().id()).orElseThrow().madeTypes.addAll(catalogues.typeIds(made));
            tests.flush();
        }
    }
}
