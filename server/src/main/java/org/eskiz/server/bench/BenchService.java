package org.eskiz.server.bench;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.eskiz.core.bench.BenchTest;
import org.eskiz.core.bench.TestAnalysis;
import org.eskiz.core.bench.Touchstone;
import org.eskiz.server.bench.BenchTestResponse.BenchTestSummary;
import org.eskiz.server.catalogue.Catalogue;
import org.eskiz.server.catalogue.CatalogueService;
import org.eskiz.server.catalogue.OwnCableService;
import org.eskiz.server.operator.SettingsService;
import org.eskiz.server.operator.WorkshopService;
import org.eskiz.server.problem.ConflictException;
import org.eskiz.server.problem.InvalidRequestException;
import org.eskiz.server.problem.NotFoundException;
import org.eskiz.server.problem.ValidationErrors;
import org.eskiz.server.store.IdempotentStore;
import org.eskiz.server.store.KeysetOrder;
import org.eskiz.server.store.ListPage;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** Works out tests and keeps them. */
@Service
class BenchService {

    private final BenchTestRepository tests;
    private final BenchTestRevisionRepository revisions;
    private final SweepFileService files;
    private final KnownPieces pieces;
    private final CatalogueService catalogues;
    private final OwnCableService ownCables;
    private final SettingsService settings;
    private final WorkshopService workshops;
    private final EntityManager database;
    private final IdempotentStore store;
    private final JsonMapper json;
    private final Clock clock;

    BenchService(
            BenchTestRepository tests,
            BenchTestRevisionRepository revisions,
            SweepFileService files,
            KnownPieces pieces,
            CatalogueService catalogues,
            OwnCableService ownCables,
            SettingsService settings,
            WorkshopService workshops,
            EntityManager database,
            IdempotentStore store,
            JsonMapper json,
            Clock clock) {
        this.tests = tests;
        this.revisions = revisions;
        this.files = files;
        this.pieces = pieces;
        this.catalogues = catalogues;
        this.ownCables = ownCables;
        this.settings = settings;
        this.workshops = workshops;
        this.database = database;
        this.store = store;
        this.json = json;
        this.clock = clock;
    }

    /** What a test comes to, without storing it. */
    BenchAnalysisResponse analyse(BenchTestRequest request) {
        Catalogue catalogue = catalogues.current();
        check(request, catalogue).throwIfAny();
        return analysis(request, catalogue);
    }

    /** A part of the log: tests at their newest revision, the last day first. */
    ListPage<BenchTestSummary> log(BenchLogQuery query, KeysetOrder.Part part) {
        return BenchLogQuery.LAST_DAY_FIRST
                .page(tests, query.of(workshops.current()), part)
                .map(this::summaries);
    }

    /** How many tests fit. */
    long count(BenchLogQuery query) {
        return tests.count(query.of(workshops.current()));
    }

    /** Id of a type that tests may have been made into; null for none. */
    UUID typeMade(String key) {
        if (key == null) {
            return null;
        }
        return catalogues.typeIds(List.of(key)).stream()
                .findFirst()
                .orElseThrow(() -> new InvalidRequestException("made", "there is no cable type \"" + key + "\""));
    }

    /** All of it that fits, read part by part. */
    Stream<BenchTestSummary> wholeLog(BenchLogQuery query) {
        return ListPage.all(after -> log(query, new KeysetOrder.Part(after, ListPage.MOST)));
    }

    private List<BenchTestSummary> summaries(List<BenchTestEntity> found) {
        Map<UUID, String> keys = catalogues.keys();
        Map<UUID, BenchTestRevisionEntity> newest =
                revisions.newestAmong(found.stream().map(t -> t.id).toList(), workshops.current()).stream()
                        .collect(Collectors.toMap(r -> r.key.testId(), r -> r));
        return found.stream().map(t -> summary(newest.get(t.id), t, keys)).toList();
    }

    BenchTestResponse get(UUID id) {
        existing(id);
        return response(revisions.history(id).get(0));
    }

    /** Everything that was ever noted of a test, the newest first. */
    List<BenchTestResponse> history(UUID id) {
        existing(id);
        return revisions.history(id).stream().map(this::response).toList();
    }

    /**
     * Stores a new test under the client's id. Sent again, the same create answers what is stored.
     *
     * @throws ConflictException when the id belongs to a test that says something else
     */
    BenchTestResponse create(BenchTestRequest request) {
        if (request.id() == null) {
            throw new InvalidRequestException("id", "must be given: the client makes it");
        }
        return response(stored(request).orElseGet(() -> {
            WorkedOut worked = workedOut(request);
            return store.createOrRepeat(() -> stored(request), () -> create(request, worked, false));
        }));
    }

    /** Stores a test of the demo, within the caller's transaction. */
    void createDemo(BenchTestRequest request) {
        stored(request).orElseGet(() -> create(request, workedOut(request), true));
    }

    private Optional<BenchTestRevisionEntity> stored(BenchTestRequest request) {
        if (tests.findByIdAndWorkshopId(request.id(), workshops.current()).isEmpty()) {
            return Optional.empty();
        }
        existing(request.id());
        BenchTestRevisionEntity newest = revisions.history(request.id()).get(0);
        if (!read(newest).plain().equals(request.plain())) {
            throw new ConflictException("the id " + request.id() + " belongs to another test", response(newest));
        }
        return Optional.of(newest);
    }

    private BenchTestRevisionEntity create(BenchTestRequest request, WorkedOut worked, boolean demo) {
        database.persist(BenchTestEntity.create(request.id(), workshops.current(), demo, worked.at()));
        database.flush();
        return store(request.id(), 1, request, worked);
    }

    /** What a test comes to, worked out before anything of the database is held. */
    private record WorkedOut(StoredSummary summary, Instant at) {}

    private WorkedOut workedOut(BenchTestRequest request) {
        Catalogue catalogue = catalogues.current();
        checkComplete(request, catalogue);
        return new WorkedOut(summarised(request, catalogue), Instant.now(clock));
    }

    /**
     * Corrects a test: a new revision, and what was noted before stays.
     *
     * @throws ConflictException when it was corrected since it was looked at
     */
    BenchTestResponse correct(UUID id, BenchTestRequest request) {
        if (request.revision() == null) {
            throw new InvalidRequestException("revision", "must be given: the revision that is corrected");
        }
        existing(id);
        WorkedOut worked = workedOut(request);
        return response(store.change(() -> correctOver(id, request, worked), () -> changed(request, get(id))));
    }

    private BenchTestRevisionEntity correctOver(UUID id, BenchTestRequest request, WorkedOut worked) {
        existing(id);
        BenchTestRevisionEntity newest = revisions.history(id).get(0);
        if (newest.key.number() != request.revision()) {
            throw changed(request, response(newest));
        }
        return read(newest).plain().equals(request.plain())
                ? newest
                : store(id, newest.key.number() + 1, request, worked);
    }

    private static ConflictException changed(BenchTestRequest request, BenchTestResponse current) {
        return new ConflictException(
                String.format(
                        Locale.ROOT,
                        "the test was corrected meanwhile: you started from revision %d, it is at revision %d now",
                        request.revision(),
                        current.summary().revision()),
                current);
    }

    /**
     * Makes a cable type of a test: its losses are the law fitted to them, what else is known comes from the type that was
     * tested.
     */
    @Transactional
    BenchTestResponse makeType(UUID id, MadeTypeRequest request) {
        ValidationErrors.in(request).throwIfAny();
        BenchTestEntity test = existing(id);
        BenchTestRevisionEntity newest = revisions.history(id).get(0);
        Catalogue catalogue = catalogues.current();
        BenchTestRequest noted = read(newest);
        String key = ownCables.create(MeasuredCableType.of(request, noted, analysis(noted, catalogue), catalogue));
        test.madeTypes.add(catalogues.typeIds(List.of(key)).get(0));
        tests.flush();
        return response(newest);
    }

    /** Removes the tests of the demo for good. */
    @Transactional
    void removeDemo() {
        Instant now = Instant.now(clock);
        tests.findByWorkshopIdAndRemovedAtIsNullAndDemoTrue(workshops.current()).forEach(t -> t.removedAt = now);
    }

    private BenchTestRevisionEntity store(UUID id, int number, BenchTestRequest request, WorkedOut worked) {
        BenchTestRevisionEntity revision = BenchTestRevisionEntity.of(id, number, worked.at());
        revision.document = json.writeValueAsString(request.plain());
        revision.summary = json.writeValueAsString(worked.summary());
        revision.cableTypeId = request.cableKey() == null
                ? null
                : catalogues.typeIds(List.of(request.cableKey())).get(0);
        revision.pieceId = request.pieceId();
        revision.files.addAll(SweepFileService.ids(request).collect(Collectors.toSet()));
        database.persist(revision);
        tests.findById(id).orElseThrow().list(revision, request, worked.summary());
        database.flush();
        return revision;
    }

    private StoredSummary summarised(BenchTestRequest request, Catalogue catalogue) {
        BenchAnalysisResponse analysis = analysis(request, catalogue);
        String name = request.cableKey() == null
                ? null
                : catalogue.cableType(request.cableKey()).orElseThrow().facts().name();
        Double lengthM = request.lengthM() == null && analysis.line() != null
                ? analysis.line().lengthM()
                : request.lengthM();
        return new StoredSummary(
                name, lengthM, analysis.outcome(), null, analysis.causes(), analysis.worst(), analysis.figures());
    }

    private BenchAnalysisResponse analysis(BenchTestRequest request, Catalogue catalogue) {
        Map<UUID, Touchstone.Reading> sweeps = files.sweeps(request);
        var mapper = new BenchTestMapper(catalogue, sweeps, settings.get().tolerances());
        BenchTest test = mapper.test(request);
        return BenchAnalysisMapper.response(test, TestAnalysis.of(test, mapper.known()), sweeps.values());
    }

    private ValidationErrors check(BenchTestRequest request, Catalogue catalogue) {
        ValidationErrors errors = ValidationErrors.in(request);
        errors.throwIfAny();
        requireType(errors, "cableKey", request.cableKey(), catalogue);
        if (request.wattmeter() != null) {
            requireType(errors, "wattmeter.leadCableKey", request.wattmeter().leadCableKey(), catalogue);
        }
        List<BenchTestRequest.JointInTestRequest> joints = Objects.requireNonNullElse(request.joints(), List.of());
        for (int i = 0; i < joints.size(); i++) {
            requireJoint(errors, "joints[" + i + "]", joints.get(i), catalogue);
        }
        if (request.pieceId() != null && pieces.find(request.pieceId()).isEmpty()) {
            errors.add("pieceId", "there is no piece \"" + request.pieceId() + "\" in the locker");
        }
        files.check(request, errors);
        return errors;
    }

    private static void requireType(ValidationErrors errors, String path, String key, Catalogue catalogue) {
        if (key != null && catalogue.cableType(key).isEmpty()) {
            errors.add(path, "there is no cable type \"" + key + "\"");
        }
    }

    private static void requireJoint(
            ValidationErrors errors, String path, BenchTestRequest.JointInTestRequest joint, Catalogue catalogue) {
        if (joint.lossDb() == null && joint.connectorKey() == null) {
            errors.add(path, "must have a connectorKey or a lossDb");
        } else if (joint.connectorKey() != null
                && catalogue.connector(joint.connectorKey()).isEmpty()) {
            errors.add(path + ".connectorKey", "there is no connector \"" + joint.connectorKey() + "\"");
        }
    }

    /** A test that is kept needs a day, and something that was read. */
    private void checkComplete(BenchTestRequest request, Catalogue catalogue) {
        ValidationErrors errors = check(request, catalogue);
        if (request.testedOn() == null) {
            errors.add("testedOn", "must be given: the day of the test");
        }
        errors.throwIfAny();
        if (request.terminatedFileId() == null
                && analysis(request, catalogue).figures().isEmpty()) {
            errors.add("readings", "there is nothing to keep yet: no reading comes to a loss");
        }
        errors.throwIfAny();
    }

    private BenchTestEntity existing(UUID id) {
        return tests.findByIdAndWorkshopIdAndRemovedAtIsNull(id, workshops.current())
                .orElseThrow(() -> new NotFoundException("bench test", id));
    }

    private BenchTestResponse response(BenchTestRevisionEntity revision) {
        BenchTestRequest document = read(revision);
        return new BenchTestResponse(
                summary(revision, existing(revision.key.testId()), catalogues.keys()),
                document,
                files.of(document),
                analysis(document, catalogues.current()));
    }

    private BenchTestRequest read(BenchTestRevisionEntity revision) {
        return json.readValue(revision.document, BenchTestRequest.class);
    }

    private BenchTestSummary summary(BenchTestRevisionEntity revision, BenchTestEntity test, Map<UUID, String> keys) {
        BenchTestRequest noted = read(revision);
        StoredSummary day = json.readValue(revision.summary, StoredSummary.class);
        return new BenchTestSummary(
                revision.key.testId(),
                revision.key.number(),
                revision.storedAt,
                test.demo,
                Boolean.TRUE.equals(noted.setAside()),
                noted.method(),
                noted.testedOn(),
                noted.piece(),
                noted.pieceId(),
                noted.cableKey(),
                day.cableName(),
                day.lengthM(),
                day.outcome(),
                day.causes(),
                day.worst(),
                day.figures(),
                test.madeTypes.stream()
                        .map(keys::get)
                        .filter(Objects::nonNull)
                        .sorted()
                        .toList());
    }
}
