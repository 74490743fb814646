package org.eskiz.server.transfer;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.eskiz.server.bench.BenchTransfer;
import org.eskiz.server.bench.SweepInFile;
import org.eskiz.server.catalogue.CableTypeRequest;
import org.eskiz.server.catalogue.CatalogueTransfer;
import org.eskiz.server.catalogue.ConnectorRequest;
import org.eskiz.server.locker.KitRequest;
import org.eskiz.server.locker.LockerTransfer;
import org.eskiz.server.operator.SettingsService;
import org.eskiz.server.plan.PlanInFile;
import org.eskiz.server.plan.PlanTransfer;
import org.eskiz.server.problem.Faults;
import org.eskiz.server.problem.FieldFault;
import org.eskiz.server.problem.InvalidRequestException;
import org.eskiz.server.transfer.TransferRequest.Take;
import org.eskiz.server.transfer.TransferResponse.PartResponse;
import org.eskiz.server.transfer.TransferResponse.State;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Shows what a file would bring, and takes it: whole, or not at all. */
@Service
class Transfers {

    private final CatalogueTransfer catalogue;
    private final LockerTransfer locker;
    private final BenchTransfer bench;
    private final PlanTransfer plans;
    private final SettingsService settings;
    private final TransferReading reading;
    private final TransferJudging judging;

    Transfers(
            CatalogueTransfer catalogue,
            LockerTransfer locker,
            BenchTransfer bench,
            PlanTransfer plans,
            SettingsService settings,
            TransferReading reading,
            TransferJudging judging) {
        this.catalogue = catalogue;
        this.locker = locker;
        this.bench = bench;
        this.plans = plans;
        this.settings = settings;
        this.reading = reading;
        this.judging = judging;
    }

    /** What a file would bring. */
    @Transactional(readOnly = true)
    TransferResponse preview(TransferRequest request) {
        Faults.in(request).refuse();
        TransferFile file = reading.file(reading.tree(request.text()));
        return new TransferResponse(judging.parts(file), file.sweeps().size(), false);
    }

    /** Takes a file, with a choice for everything that clashes. */
    @Transactional
    TransferResponse take(TransferRequest request) {
        Faults.in(request).refuse();
        ObjectNode tree = reading.tree(request.text());
        TransferFile asWritten = reading.file(tree);
        List<PartResponse> parts = judging.parts(asWritten);
        Map<String, Take> fate = fates(parts, request);
        rename(tree, asWritten, fate);
        // what was renamed is read anew, and goes by the place that it has in the file
        TransferFile file = reading.file(tree);
        takeCatalogue(file, asWritten, fate);
        takeLocker(file, asWritten, fate);
        takeTests(tree, file, asWritten, fate);
        each(
                file.plans(),
                asWritten.plans(),
                PartKind.PLAN,
                PlanInFile::id,
                fate,
                PlanInFile::name,
                plans::add,
                plans::replace);
        takeRest(file, fate);
        return new TransferResponse(parts, file.sweeps().size(), true);
    }

    private void takeCatalogue(TransferFile file, TransferFile asWritten, Map<String, Take> fate) {
        each(
                file.cableTypes(),
                asWritten.cableTypes(),
                PartKind.CABLE_TYPE,
                CableTypeRequest::key,
                fate,
                CableTypeRequest::name,
                catalogue::add,
                catalogue::replace);
        each(
                file.connectors(),
                asWritten.connectors(),
                PartKind.CONNECTOR,
                ConnectorRequest::key,
                fate,
                ConnectorRequest::name,
                catalogue::add,
                catalogue::replace);
    }

    private void takeLocker(TransferFile file, TransferFile asWritten, Map<String, Take> fate) {
        each(
                file.pieces(),
                asWritten.pieces(),
                PartKind.PIECE,
                p -> p.piece().id(),
                fate,
                p -> p.piece().label(),
                locker::add,
                locker::replace);
        each(
                file.kits(),
                asWritten.kits(),
                PartKind.KIT,
                KitRequest::id,
                fate,
                KitRequest::name,
                locker::add,
                locker::replace);
    }

    /**
     * Takes parts of one kind by what was decided of each.
     *
     * @param parts as they go by their names here
     * @param asWritten the same as the file has them, one for one
     */
    private static <T> void each(
            List<T> parts,
            List<T> asWritten,
            PartKind kind,
            Function<T, Object> id,
            Map<String, Take> fate,
            Function<T, String> name,
            Consumer<T> add,
            Consumer<T> replace) {
        for (int i = 0; i < parts.size(); i++) {
            T part = parts.get(i);
            Take take = fate.get(id(kind, id.apply(asWritten.get(i))));
            if (take == Take.BOTH) {
                inFile(name.apply(part), () -> add.accept(part));
            } else if (take == Take.THEIRS) {
                inFile(name.apply(part), () -> replace.accept(part));
            }
        }
    }

    private void takeTests(ObjectNode tree, TransferFile file, TransferFile asWritten, Map<String, Take> fate) {
        Renaming sweeps = new Renaming();
        for (SweepInFile sweep : file.sweeps()) {
            inFile(
                    sweep.fileName(),
                    () -> sweeps.put(sweep.id().toString(), bench.add(sweep).toString()));
        }
        sweeps.applyTo(tree.path("tests"));
        each(
                reading.file(tree).tests(),
                asWritten.tests(),
                PartKind.TEST,
                t -> t.noted().id(),
                fate,
                t -> "test of " + Objects.requireNonNullElse(t.noted().piece(), "a cable"),
                bench::add,
                bench::replace);
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
            renaming.applyTo(tree);
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
