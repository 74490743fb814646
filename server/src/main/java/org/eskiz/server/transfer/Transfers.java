package org.eskiz.server.transfer;

import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.eskiz.server.bench.BenchTransfer;
import org.eskiz.server.bench.SweepInFile;
import org.eskiz.server.bench.TestInFile;
import org.eskiz.server.catalogue.CableTypeRequest;
import org.eskiz.server.catalogue.CatalogueTransfer;
import org.eskiz.server.catalogue.ConnectorRequest;
import org.eskiz.server.http.Faults;
import org.eskiz.server.http.FieldFault;
import org.eskiz.server.http.InvalidRequestException;
import org.eskiz.server.locker.KitRequest;
import org.eskiz.server.locker.LockerTransfer;
import org.eskiz.server.locker.PieceInFile;
import org.eskiz.server.operator.SettingsService;
import org.eskiz.server.plan.PlanInFile;
import org.eskiz.server.plan.PlanTransfer;
import org.eskiz.server.transfer.TransferRequest.Take;
import org.eskiz.server.transfer.TransferResponse.PartResponse;
import org.eskiz.server.transfer.TransferResponse.State;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Writes files, shows what one would bring, and takes it: whole, or not at all. */
@Service
class Transfers {

    private final CatalogueTransfer catalogue;
    private final LockerTransfer locker;
    private final BenchTransfer bench;
    private final PlanTransfer plans;
    private final SettingsService settings;
    private final TransferReading reading;
    private final Clock clock;

    Transfers(
            CatalogueTransfer catalogue,
            LockerTransfer locker,
            BenchTransfer bench,
            PlanTransfer plans,
            SettingsService settings,
            TransferReading reading,
            Clock clock) {
        this.catalogue = catalogue;
        this.locker = locker;
        this.bench = bench;
        this.plans = plans;
        this.settings = settings;
        this.reading = reading;
        this.clock = clock;
    }

    /** Everything that the operator has. */
    @Transactional(readOnly = true)
    TransferFile workspace() {
        List<PieceInFile> pieces = locker.all();
        List<TestInFile> tests = among(pieces, bench.all());

        return new TransferFile(
                TransferFile.FORMAT,
                TransferFile.SCHEMA_VERSION,
                Instant.now(clock),
                plans.all(),
                catalogue.ownTypes(),
                catalogue.ownConnectors(),
                pieces,
                locker.allKits(),
                tests,
                bench.sweepsOf(tests),
                catalogue.favourites(),
                catalogue.retired(),
                settings.get());
    }

    /** A plan with its cable types, its connectors, its pieces, and their tests and sweeps. */
    @Transactional(readOnly = true)
    TransferFile plan(UUID id) {
        PlanInFile plan = plans.one(id);
        PlanTransfer.References used = plans.references(plan);
        List<PieceInFile> pieces = locker.of(used.pieces());
        Set<String> keys = new HashSet<>(used.cableKeys());
        pieces.forEach(p -> keys.add(p.piece().cableKey()));
        List<TestInFile> tests = among(pieces, bench.of(used.pieces(), id, keys));
        tests.forEach(t -> Stream.of(
                        t.noted().cableKey(),
                        t.noted().wattmeter() == null
                                ? null
                                : t.noted().wattmeter().leadCableKey())
                .forEach(keys::add));
        tests.forEach(t -> keys.addAll(t.madeTypes()));
        keys.remove(null);
        String whole = plan.document().toString();
        return new TransferFile(
                TransferFile.FORMAT,
                TransferFile.SCHEMA_VERSION,
                Instant.now(clock),
                List.of(plan),
                catalogue.types(keys),
                catalogue.ownConnectors().stream()
                        .filter(c -> isNamed(c.key(), whole, pieces, tests))
                        .toList(),
                pieces,
                List.of(),
                tests,
                bench.sweepsOf(tests),
                List.of(),
                List.of(),
                null);
    }

    /** A test may be of a piece that was taken out of the locker since; then its label is all that is left. */
    private static List<TestInFile> among(List<PieceInFile> pieces, List<TestInFile> tests) {
        Set<UUID> ids = pieces.stream().map(p -> p.piece().id()).collect(Collectors.toSet());
        return tests.stream().map(t -> t.withPieceAmong(ids)).toList();
    }

    private static boolean isNamed(String connector, String plan, List<PieceInFile> pieces, List<TestInFile> tests) {
        return plan.contains("\"" + connector + "\"")
                || pieces.stream()
                        .flatMap(p -> Stream.of(p.piece().near(), p.piece().far()))
                        .filter(Objects::nonNull)
                        .anyMatch(e -> connector.equals(e.connectorKey()))
                || tests.stream()
                        .flatMap(t -> Stream.ofNullable(t.noted().joints()).flatMap(List::stream))
                        .anyMatch(j -> connector.equals(j.connectorKey()));
    }

    /** What a file would bring. */
    @Transactional(readOnly = true)
    TransferResponse preview(TransferRequest request) {
        Faults.in(request).refuse();
        TransferFile file = reading.file(reading.tree(request.text()));
        return new TransferResponse(judged(file), file.sweeps().size(), false);
    }

    private List<PartResponse> judged(TransferFile file) {
        List<PartResponse> parts = new ArrayList<>();
        file.cableTypes().forEach(t -> parts.add(judged(t)));
        file.connectors().forEach(c -> parts.add(judged(c)));
        file.pieces().forEach(p -> parts.add(judged(p)));
        file.kits()
                .forEach(k -> parts.add(part(
                        PartKind.KIT,
                        k.id(),
                        k.name(),
                        locker.storedKit(k.id()).map(k::equals).orElse(null))));
        file.tests().forEach(t -> parts.add(judged(t)));
        file.plans()
                .forEach(p -> parts.add(part(
                        PartKind.PLAN,
                        p.id(),
                        p.site() + ", " + p.name(),
                        plans.stored(p.id())
                                .map(s -> PlanTransfer.saysTheSame(s, p))
                                .orElse(null))));
        if (file.settings() != null) {
            boolean isSame = settings.get().saysTheSameAs(file.settings());
            parts.add(new PartResponse(
                    PartKind.SETTINGS,
                    "settings",
                    "settings",
                    isSame ? State.SAME : State.CLASH,
                    isSame ? List.of() : List.of(Take.MINE, Take.THEIRS)));
        }
        return parts;
    }

    private PartResponse judged(CableTypeRequest type) {
        return keyed(
                PartKind.CABLE_TYPE,
                type.key(),
                type.name(),
                catalogue.storedType(type.key()).map(type::equals).orElse(null));
    }

    private PartResponse judged(ConnectorRequest connector) {
        return keyed(
                PartKind.CONNECTOR,
                connector.key(),
                connector.name(),
                catalogue
                        .storedConnector(connector.key())
                        .map(connector::equals)
                        .orElse(null));
    }

    private PartResponse keyed(PartKind kind, String key, String name, Boolean same) {
        if (key == null) {
            throw new InvalidRequestException("text", "\"" + name + "\" has no key in this file");
        }
        return Boolean.FALSE.equals(same) && catalogue.isBuiltIn(key)
                ? new PartResponse(kind, key, name, State.CLASH, List.of(Take.MINE, Take.BOTH))
                : part(kind, key, name, same);
    }

    private PartResponse judged(PieceInFile p) {
        UUID id = p.piece().id();
        String label = p.piece().label();
        boolean isLabelTaken =
                locker.labelled(label).filter(other -> !other.equals(id)).isPresent();
        return isLabelTaken
                ? new PartResponse(PartKind.PIECE, text(id, label), label, State.CLASH, List.of(Take.MINE, Take.BOTH))
                : part(
                        PartKind.PIECE,
                        id,
                        label,
                        locker.stored(id).map(p::equals).orElse(null));
    }

    private PartResponse judged(TestInFile t) {
        String name = "%s, %s"
                .formatted(
                        Objects.requireNonNullElse(t.noted().piece(), "a cable"),
                        t.noted().testedOn());
        return part(
                PartKind.TEST,
                t.noted().id(),
                name,
                bench.stored(t.noted().id())
                        .map(s -> s.noted().equals(t.noted()))
                        .orElse(null));
    }

    /** @param same null where there is nothing of this id here */
    private static PartResponse part(PartKind kind, Object id, String name, Boolean same) {
        State state = same == null ? State.NEW : same ? State.SAME : State.CLASH;
        return new PartResponse(
                kind,
                text(id, name),
                name,
                state,
                state == State.CLASH ? List.of(Take.MINE, Take.THEIRS, Take.BOTH) : List.of());
    }

    private static String text(Object id, String name) {
        if (id == null) {
            throw new InvalidRequestException("text", "\"" + name + "\" has no id in this file");
        }
        return id.toString();
    }

    /** Takes a file, with a choice for everything that clashes. */
    @Transactional
    TransferResponse take(TransferRequest request) {
        Faults.in(request).refuse();
        ObjectNode tree = reading.tree(request.text());
        TransferFile asWritten = reading.file(tree);
        List<PartResponse> parts = judged(asWritten);
        Map<String, Take> fate = fates(parts, request);
        rename(tree, asWritten, fate);
        // what was renamed is read anew, and goes by the place that it has in the file
        TransferFile file = reading.file(tree);
        for (int i = 0; i < file.cableTypes().size(); i++) {
            CableTypeRequest type = file.cableTypes().get(i);
            store(
                    fate.get(id(
                            PartKind.CABLE_TYPE, asWritten.cableTypes().get(i).key())),
                    type.name(),
                    () -> catalogue.add(type),
                    () -> catalogue.replace(type));
        }
        for (int i = 0; i < file.connectors().size(); i++) {
            ConnectorRequest connector = file.connectors().get(i);
            store(
                    fate.get(
                            id(PartKind.CONNECTOR, asWritten.connectors().get(i).key())),
                    connector.name(),
                    () -> catalogue.add(connector),
                    () -> catalogue.replace(connector));
        }
        for (int i = 0; i < file.pieces().size(); i++) {
            PieceInFile piece = file.pieces().get(i);
            store(
                    fate.get(
                            id(PartKind.PIECE, asWritten.pieces().get(i).piece().id())),
                    piece.piece().label(),
                    () -> locker.add(piece),
                    () -> locker.replace(piece));
        }
        for (int i = 0; i < file.kits().size(); i++) {
            KitRequest kit = file.kits().get(i);
            store(
                    fate.get(id(PartKind.KIT, asWritten.kits().get(i).id())),
                    kit.name(),
                    () -> locker.add(kit),
                    () -> locker.replace(kit));
        }
        takeTests(tree, file, asWritten, fate);
        for (int i = 0; i < file.plans().size(); i++) {
            PlanInFile plan = file.plans().get(i);
            store(
                    fate.get(id(PartKind.PLAN, asWritten.plans().get(i).id())),
                    plan.name(),
                    () -> plans.add(plan),
                    () -> plans.replace(plan));
        }
        takeRest(file, fate);
        return new TransferResponse(parts, file.sweeps().size(), true);
    }

    private void takeTests(ObjectNode tree, TransferFile file, TransferFile asWritten, Map<String, Take> fate) {
        Renaming sweeps = new Renaming();
        for (SweepInFile sweep : file.sweeps()) {
            inFile(
                    sweep.fileName(),
                    () -> sweeps.put(sweep.id().toString(), bench.add(sweep).toString()));
        }
        sweeps.applyTo(tree.path("tests"));
        List<TestInFile> tests = reading.file(tree).tests();
        for (int i = 0; i < tests.size(); i++) {
            TestInFile test = tests.get(i);
            store(
                    fate.get(id(PartKind.TEST, asWritten.tests().get(i).noted().id())),
                    "test of " + Objects.requireNonNullElse(test.noted().piece(), "a cable"),
                    () -> bench.add(test),
                    () -> bench.replace(test));
        }
    }

    private void takeRest(TransferFile file, Map<String, Take> fate) {
        file.favourites().forEach(k -> inFile(k, () -> catalogue.favour(k)));
        file.retired().forEach(k -> inFile(k, () -> catalogue.retire(k)));
        if (fate.get(id(PartKind.SETTINGS, "settings")) == Take.THEIRS) {
            inFile("settings", () -> settings.replace(file.settings()));
        }
    }

    /** What becomes of each part: THEIRS comes in over mine, BOTH and what is new comes in as new, MINE stays out. */
    private static Map<String, Take> fates(List<PartResponse> parts, TransferRequest request) {
        Map<String, Take> chosen = new HashMap<>();
        Stream.ofNullable(request.choices())
                .flatMap(List::stream)
                .forEach(c -> chosen.put(id(c.kind(), c.id()), c.take()));
        Faults faults = Faults.in(request);
        Map<String, Take> fates = new HashMap<>();
        for (PartResponse part : parts) {
            String id = id(part.kind(), part.id());
            if (fates.containsKey(id)) {
                faults.add("text", "\"%s\" is in the file twice".formatted(part.name()));
            }
            Take take = switch (part.state()) {
                case NEW -> Take.BOTH;
                case SAME -> Take.MINE;
                case CLASH -> chosen.get(id);
            };
            if (take == null || (part.state() == State.CLASH && !part.offered().contains(take))) {
                faults.add(
                        "choices",
                        "\"%s\" clashes with what is here: choose one of %s".formatted(part.name(), part.offered()));
            }
            fates.put(id, take);
        }
        faults.refuse();
        return fates;
    }

    private static String id(PartKind kind, Object id) {
        return kind + " " + id;
    }

    /** Gives a name of its own to what comes in beside mine, and mine to what stays out for it. */
    private void rename(ObjectNode tree, TransferFile file, Map<String, Take> fate) {
        Renaming renaming = new Renaming();
        file.cableTypes().stream()
                .map(CableTypeRequest::key)
                .filter(k -> fate.get(id(PartKind.CABLE_TYPE, k)) == Take.BOTH
                        && catalogue.storedType(k).isPresent())
                .forEach(k -> renaming.put(k, catalogue.freeKey(k)));
        file.connectors().stream()
                .map(ConnectorRequest::key)
                .filter(k -> fate.get(id(PartKind.CONNECTOR, k)) == Take.BOTH
                        && catalogue.storedConnector(k).isPresent())
                .forEach(k -> renaming.put(k, catalogue.freeKey(k)));
        renamePieces(tree.path("pieces"), file, fate, renaming);
        copies(
                tree.path("kits"),
                PartKind.KIT,
                "id",
                fate,
                renaming,
                id -> locker.storedKit(id).isPresent());
        tree.path("tests").forEach(t -> {
            UUID id = UUID.fromString(t.path("noted").path("id").asString());
            if (fate.get(id(PartKind.TEST, id)) == Take.BOTH && bench.stored(id).isPresent()) {
                renaming.put(id.toString(), UUID.randomUUID().toString());
            }
        });
        copies(
                tree.path("plans"),
                PartKind.PLAN,
                "id",
                fate,
                renaming,
                id -> plans.stored(id).isPresent());
        if (!renaming.isEmpty()) {
            tree.properties().forEach(p -> renaming.applyTo(p.getValue()));
            for (String list : new String[] {"favourites", "retired"}) {
                renaming.applyTo(tree.objectNode().set(list, tree.path(list)));
            }
        }
    }

    private void renamePieces(JsonNode pieces, TransferFile file, Map<String, Take> fate, Renaming renaming) {
        for (int i = 0; i < file.pieces().size(); i++) {
            UUID id = file.pieces().get(i).piece().id();
            String label = file.pieces().get(i).piece().label();
            Take take = fate.get(id(PartKind.PIECE, id));
            UUID mine = locker.labelled(label).orElse(id);
            if (take == Take.MINE) {
                renaming.put(id.toString(), mine.toString());
            } else if (take == Take.BOTH && locker.stored(id).isPresent()) {
                renaming.put(id.toString(), UUID.randomUUID().toString());
                renaming.freshIds(pieces.get(i).path("changes"));
            }
            if (take == Take.BOTH && locker.labelled(label).isPresent()) {
                ((ObjectNode) pieces.get(i).path("piece")).put("label", locker.freeLabel(label));
            }
        }
    }

    private interface IsHere {
        boolean test(UUID id);
    }

    private static void copies(
            JsonNode parts, PartKind kind, String field, Map<String, Take> fate, Renaming renaming, IsHere isHere) {
        parts.forEach(part -> {
            UUID id = UUID.fromString(part.path(field).asString());
            if (fate.get(id(kind, id)) == Take.BOTH && isHere.test(id)) {
                renaming.put(id.toString(), UUID.randomUUID().toString());
                renaming.freshIds(part.path("decisions"));
                ((ObjectNode) part).put("name", part.path("name").asString() + " (from a file)");
            }
        });
    }

    private static void store(Take fate, String name, Runnable add, Runnable replace) {
        if (fate == Take.BOTH) {
            inFile(name, add);
        } else if (fate == Take.THEIRS) {
            inFile(name, replace);
        }
    }

    /** Says which part of the file a fault is in. */
    private static void inFile(String name, Runnable step) {
        try {
            step.run();
        } catch (InvalidRequestException e) {
            throw new InvalidRequestException(e.faults().stream()
                    .map(f -> new FieldFault(
                            "text",
                            "\"%s\": %s %s"
                                    .formatted(name, f.path(), f.message())
                                    .strip()))
                    .collect(Collectors.toList()));
        }
    }
}
