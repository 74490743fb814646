package org.eskiz.server.transfer;

import jakarta.persistence.EntityManager;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.eskiz.server.bench.BenchTransfer;
import org.eskiz.server.catalogue.CableTypeRequest;
import org.eskiz.server.catalogue.CatalogueTransfer;
import org.eskiz.server.catalogue.ConnectorRequest;
import org.eskiz.server.device.DeviceRequest;
import org.eskiz.server.device.DeviceTransfer;
import org.eskiz.server.locker.LockerTransfer;
import org.eskiz.server.locker.kit.KitRequest;
import org.eskiz.server.locker.kit.KitTransfer;
import org.eskiz.server.operator.SettingsService;
import org.eskiz.server.plan.PlanInFile;
import org.eskiz.server.plan.PlanTransfer;
import org.eskiz.server.problem.FieldError;
import org.eskiz.server.problem.InvalidRequestException;
import org.eskiz.server.problem.ValidationErrors;
import org.eskiz.server.site.SiteInFile;
import org.eskiz.server.site.SiteTransfer;
import org.eskiz.server.transfer.TransferRequest.Take;
import org.eskiz.server.transfer.TransferResponse.PartResponse;
import org.eskiz.server.transfer.TransferResponse.State;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Shows what a file would bring, and takes it: whole, or not at all. */
@Service
class TransferService {

    private final CatalogueTransfer catalogue;
    private final LockerTransfer locker;
    private final KitTransfer kits;
    private final BenchTransfer bench;
    private final PlanTransfer plans;
    private final SiteTransfer sites;
    private final DeviceTransfer devices;
    private final SettingsService settings;
    private final TransferReader reader;
    private final TransferPreview preview;
    private final TransferUploads uploads;
    private final EntityManager database;

    TransferService(
            CatalogueTransfer catalogue,
            LockerTransfer locker,
            KitTransfer kits,
            BenchTransfer bench,
            PlanTransfer plans,
            SiteTransfer sites,
            DeviceTransfer devices,
            SettingsService settings,
            TransferReader reader,
            TransferPreview preview,
            TransferUploads uploads,
            EntityManager database) {
        this.catalogue = catalogue;
        this.locker = locker;
        this.kits = kits;
        this.bench = bench;
        this.plans = plans;
        this.sites = sites;
        this.devices = devices;
        this.settings = settings;
        this.reader = reader;
        this.preview = preview;
        this.uploads = uploads;
        this.database = database;
    }

    /** What a file would bring. */
    TransferResponse preview(TransferRequest request) {
        OpenFile file = reader.open(request);
        return new TransferResponse(preview.parts(file), sweepsIn(file), false);
    }

    /** Takes a file, with a choice for everything that clashes. */
    @Transactional
    TransferResponse take(TransferRequest request) {
        OpenFile file = reader.open(request);
        List<PartResponse> parts = preview.parts(file);
        int sweeps = sweepsIn(file);
        Map<String, Take> fates = fates(parts, request);
        new Taking(file, fates, copies(parts, fates)).take();
        if (request.uploadId() != null) {
            uploads.delete(request.uploadId());
        }
        return new TransferResponse(parts, sweeps, true);
    }

    private static int sweepsIn(OpenFile file) {
        int[] count = {0};
        file.each(Section.SWEEPS, (i, tree, sweep) -> count[0]++);
        return count[0];
    }

    /** What becomes of each part: THEIRS comes in over mine, BOTH and what is new comes in as new, MINE stays out. */
    private static Map<String, Take> fates(List<PartResponse> parts, TransferRequest request) {
        Map<String, Take> chosen = new HashMap<>();
        Stream.ofNullable(request.choices())
                .flatMap(List::stream)
                .forEach(c -> chosen.put(id(c.kind(), c.id()), c.take()));
        ValidationErrors errors = ValidationErrors.none();
        Map<String, Take> fates = new HashMap<>();
        for (PartResponse part : parts) {
            String id = id(part.kind(), part.id());
            if (fates.containsKey(id)) {
                errors.add("text", "\"%s\" is in the file twice".formatted(part.name()));
            }
            Take take = switch (part.state()) {
                case NEW -> Take.BOTH;
                case SAME -> Take.MINE;
                case CLASH -> chosen.get(id);
            };
            if (take == null || (part.state() == State.CLASH && !part.offered().contains(take))) {
                errors.add(
                        "choices",
                        "\"%s\" clashes with what is here: choose one of %s".formatted(part.name(), part.offered()));
            }
            fates.put(id, take);
        }
        errors.throwIfAny();
        return fates;
    }

    /** Parts that come in beside mine. */
    private static Set<String> copies(List<PartResponse> parts, Map<String, Take> fates) {
        return parts.stream()
                .filter(p -> p.state() == State.CLASH)
                .map(p -> id(p.kind(), p.id()))
                .filter(id -> fates.get(id) == Take.BOTH)
                .collect(Collectors.toSet());
    }

    private static String id(PartKind kind, Object id) {
        return kind + " " + id;
    }

    /** One file on its way in: first what is to go by another name here, then the parts, one after the other. */
    private final class Taking {

        private final OpenFile file;
        private final Map<String, Take> fate;
        private final Set<String> copies;
        private final Renaming renaming = new Renaming();

        Taking(OpenFile file, Map<String, Take> fate, Set<String> copies) {
            this.file = file;
            this.fate = fate;
            this.copies = copies;
        }

        void take() {
            name();
            each(
                    Section.CABLE_TYPES,
                    PartKind.CABLE_TYPE,
                    CableTypeRequest::key,
                    CableTypeRequest::name,
                    catalogue::add,
                    catalogue::replace);
            each(
                    Section.CONNECTORS,
                    PartKind.CONNECTOR,
                    ConnectorRequest::key,
                    ConnectorRequest::name,
                    catalogue::add,
                    catalogue::replace);
            each(
                    Section.PIECES,
                    PartKind.PIECE,
                    p -> p.piece().id(),
                    p -> p.piece().label(),
                    locker::add,
                    locker::replace);
            each(Section.KITS, PartKind.KIT, KitRequest::id, KitRequest::name, kits::add, kits::replace);
            takeSweeps();
            each(
                    Section.TESTS,
                    PartKind.TEST,
                    t -> t.noted().id(),
                    t -> "test of " + Objects.requireNonNullElse(t.noted().piece(), "a cable"),
                    bench::add,
                    bench::replace);
            each(Section.PLANS, PartKind.PLAN, PlanInFile::id, PlanInFile::name, plans::add, plans::replace);
            each(Section.SITES, PartKind.SITE, SiteInFile::name, SiteInFile::name, sites::put, sites::put);
            each(
                    Section.DEVICES,
                    PartKind.DEVICE,
                    DeviceRequest::id,
                    DeviceRequest::name,
                    devices::add,
                    devices::replace);
            file.each(Section.FAVOURITES, (i, tree, k) -> inFile(k, () -> catalogue.favour(renaming.of(k))));
            file.each(Section.RETIRED, (i, tree, k) -> inFile(k, () -> catalogue.retire(renaming.of(k))));
            if (fate.get(id(PartKind.SETTINGS, "settings")) == Take.THEIRS) {
                file.settings().ifPresent(s -> inFile("settings", () -> settings.replace(s)));
            }
        }

        /** Gives a name of its own to what comes in beside mine, and mine to what stays out for it. */
        private void name() {
            file.each(Section.CABLE_TYPES, (i, tree, t) -> freeKey(PartKind.CABLE_TYPE, t.key()));
            file.each(Section.CONNECTORS, (i, tree, c) -> freeKey(PartKind.CONNECTOR, c.key()));
            file.each(Section.PIECES, (i, tree, p) -> {
                UUID id = p.piece().id();
                if (fate.get(id(PartKind.PIECE, id)) == Take.MINE) {
                    locker.labelled(p.piece().label()).ifPresent(mine -> renaming.put(id.toString(), mine.toString()));
                }
                freshId(PartKind.PIECE, id, locker.stored(id).isPresent(), tree.path("changes"));
            });
            file.each(Section.KITS, (i, tree, k) -> freshId(PartKind.KIT, k.id(), true, tree.path("decisions")));
            file.each(
                    Section.TESTS,
                    (i, tree, t) -> freshId(PartKind.TEST, t.noted().id(), true, tree.path("decisions")));
            file.each(Section.DEVICES, (i, tree, d) -> freshId(PartKind.DEVICE, d.id(), true, tree.path("changes")));
            file.each(Section.PLANS, (i, tree, p) -> freshId(PartKind.PLAN, p.id(), true, tree.path("decisions")));
        }

        private void freeKey(PartKind kind, String key) {
            if (copies.contains(id(kind, key))) {
                renaming.put(key, catalogue.freeKey(key));
            }
        }

        private void freshId(PartKind kind, UUID id, boolean isTaken, JsonNode parts) {
            if (copies.contains(id(kind, id)) && isTaken) {
                renaming.put(id.toString(), UUID.randomUUID().toString());
                renaming.freshIds(parts);
            }
        }

        /** The same text that is here already is one sweep, and tests refer to it by the id that it has here. */
        private void takeSweeps() {
            file.each(Section.SWEEPS, (i, tree, sweep) -> {
                inFile(
                        sweep.fileName(),
                        () -> renaming.put(
                                sweep.id().toString(), bench.add(sweep).toString()));
                forgetWhatIsStored();
            });
        }

        private <T> void each(
                Section<T> section,
                PartKind kind,
                Function<T, Object> idOf,
                Function<T, String> name,
                Consumer<T> add,
                Consumer<T> replace) {
            file.each(section, (i, tree, asWritten) -> {
                String id = id(kind, idOf.apply(asWritten));
                Take take = fate.get(id);
                if (take == Take.MINE) {
                    return;
                }
                renaming.applyTo(tree);
                if (copies.contains(id)) {
                    tellApart(kind, (ObjectNode) tree);
                }
                T part = file.typed(section, tree, i);
                inFile(name.apply(part), () -> (take == Take.BOTH ? add : replace).accept(part));
                forgetWhatIsStored();
            });
        }

        /** A copy is told from what it was copied from by its name, or its label. */
        private void tellApart(PartKind kind, ObjectNode tree) {
            if (kind == PartKind.PIECE) {
                ObjectNode piece = (ObjectNode) tree.path("piece");
                String label = piece.path("label").asString();
                if (locker.labelled(label).isPresent()) {
                    piece.put("label", locker.freeLabel(label));
                }
            } else if (kind == PartKind.KIT || kind == PartKind.PLAN || kind == PartKind.DEVICE) {
                tree.put("name", tree.path("name").asString() + " (from a file)");
            }
        }

        private void forgetWhatIsStored() {
            database.flush();
            database.clear();
        }
    }

    /** Says which part of the file a fault is in. */
    private static void inFile(String name, Runnable step) {
        try {
            step.run();
        } catch (InvalidRequestException e) {
            throw new InvalidRequestException(e.errors().stream()
                    .map(f -> new FieldError(
                            "text",
                            "\"%s\": %s %s"
                                    .formatted(name, f.path(), f.message())
                                    .strip()))
                    .toList());
        }
    }
}
