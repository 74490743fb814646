package org.eskiz.server.transfer;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.io.OutputStream;
import java.time.Clock;
import java.time.Instant;
import java.util.Collection;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.eskiz.server.bench.BenchTransfer;
import org.eskiz.server.bench.TestInFile;
import org.eskiz.server.catalogue.CatalogueTransfer;
import org.eskiz.server.catalogue.ConnectorRequest;
import org.eskiz.server.device.DeviceTransfer;
import org.eskiz.server.locker.LockerTransfer;
import org.eskiz.server.locker.PieceInFile;
import org.eskiz.server.locker.kit.KitTransfer;
import org.eskiz.server.operator.SettingsService;
import org.eskiz.server.plan.PlanInFile;
import org.eskiz.server.plan.PlanTransfer;
import org.eskiz.server.site.SiteInFile;
import org.eskiz.server.site.SiteTransfer;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Isolation;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.JsonGenerator;
import tools.jackson.databind.json.JsonMapper;

/** Writes files, a few parts at a time, all of them as they were at one moment. */
@Service
class TransferWriter {

    /** As many parts are in memory at once. */
    private static final int AT_ONCE = 100;

    private final CatalogueTransfer catalogue;
    private final LockerTransfer locker;
    private final KitTransfer kits;
    private final BenchTransfer bench;
    private final PlanTransfer plans;
    private final SiteTransfer sites;
    private final DeviceTransfer devices;
    private final SettingsService settings;
    private final JsonMapper withoutNulls;
    private final Clock clock;

    TransferWriter(
            CatalogueTransfer catalogue,
            LockerTransfer locker,
            KitTransfer kits,
            BenchTransfer bench,
            PlanTransfer plans,
            SiteTransfer sites,
            DeviceTransfer devices,
            SettingsService settings,
            JsonMapper json,
            Clock clock) {
        this.catalogue = catalogue;
        this.locker = locker;
        this.kits = kits;
        this.bench = bench;
        this.plans = plans;
        this.sites = sites;
        this.devices = devices;
        this.settings = settings;
        this.withoutNulls = json.rebuild()
                .changeDefaultPropertyInclusion(all -> all.withValueInclusion(JsonInclude.Include.NON_NULL))
                .build();
        this.clock = clock;
    }

    /** Everything that the operator has. */
    @Transactional(readOnly = true, isolation = Isolation.REPEATABLE_READ)
    void workspace(OutputStream out) {
        try (JsonGenerator file = begin(out)) {
            Set<UUID> pieces = new HashSet<>(locker.ids());
            array(file, Section.PLANS, inParts(plans.ids(), plans::some));
            array(file, Section.CABLE_TYPES, catalogue.ownTypes().stream());
            array(file, Section.CONNECTORS, catalogue.ownConnectors().stream());
            array(file, Section.PIECES, inParts(locker.ids(), locker::of));
            array(file, Section.KITS, kits.all().stream());
            Set<UUID> sweeps = new LinkedHashSet<>();
            array(
                    file,
                    Section.TESTS,
                    inParts(bench.ids(), bench::some)
                            .map(t -> t.withPieceAmong(pieces))
                            .peek(t -> sweeps.addAll(bench.sweepsOf(t))));
            array(file, Section.SWEEPS, sweeps.stream().map(bench::sweep));
            array(file, Section.SITES, sites.all().stream());
            array(file, Section.DEVICES, devices.all().stream());
            array(file, Section.FAVOURITES, catalogue.favourites().stream());
            array(file, Section.RETIRED, catalogue.retired().stream());
            file.writePOJOProperty("settings", settings.get());
            file.writeEndObject();
        }
    }

    /**
     * A plan with its cable types, its connectors, its pieces, and their tests and sweeps.
     *
     * @param plan that is there
     */
    @Transactional(readOnly = true, isolation = Isolation.REPEATABLE_READ)
    void plan(PlanInFile plan, OutputStream out) {
        write(List.of(plan), List.of(), out);
    }

    /**
     * What is said of a site, with all of its plans and what they need.
     *
     * @param ofSite its plans
     */
    @Transactional(readOnly = true, isolation = Isolation.REPEATABLE_READ)
    void site(String name, List<PlanInFile> ofSite, OutputStream out) {
        write(ofSite, sites.stored(name).stream().toList(), out);
    }

    private void write(List<PlanInFile> chosen, List<SiteInFile> ofSite, OutputStream out) {
        Set<String> keys = new HashSet<>();
        Set<UUID> pieceIds = new HashSet<>();
        chosen.forEach(plan -> {
            PlanTransfer.References used = plans.references(plan);
            keys.addAll(used.cableKeys());
            pieceIds.addAll(used.pieces());
        });
        List<PieceInFile> pieces = locker.of(pieceIds);
        pieces.forEach(p -> keys.add(p.piece().cableKey()));
        Map<UUID, TestInFile> testsById = new LinkedHashMap<>();
        chosen.forEach(plan -> bench.of(pieceIds, plan.id(), keys)
                .forEach(t -> testsById.put(t.noted().id(), t)));
        List<TestInFile> tests = among(pieces, List.copyOf(testsById.values()));
        String documents = chosen.stream().map(p -> p.document().toString()).collect(Collectors.joining());
        tests.forEach(t -> Stream.of(
                        t.noted().cableKey(),
                        t.noted().wattmeter() == null
                                ? null
                                : t.noted().wattmeter().leadCableKey())
                .forEach(keys::add));
        tests.forEach(t -> keys.addAll(t.madeTypes()));
        keys.remove(null);
        Stream<ConnectorRequest> connectors =
                catalogue.ownConnectors().stream().filter(c -> isNamed(c.key(), documents, pieces, tests));
        try (JsonGenerator file = begin(out)) {
            array(file, Section.PLANS, chosen.stream());
            array(file, Section.CABLE_TYPES, catalogue.types(keys).stream());
            array(file, Section.CONNECTORS, connectors);
            array(file, Section.PIECES, pieces.stream());
            array(file, Section.KITS, Stream.empty());
            array(file, Section.TESTS, tests.stream());
            array(
                    file,
                    Section.SWEEPS,
                    tests.stream()
                            .flatMap(t -> bench.sweepsOf(t).stream())
                            .distinct()
                            .map(bench::sweep));
            array(file, Section.SITES, ofSite.stream());
            array(file, Section.DEVICES, Stream.empty());
            array(file, Section.FAVOURITES, Stream.empty());
            array(file, Section.RETIRED, Stream.empty());
            file.writeEndObject();
        }
    }

    private JsonGenerator begin(OutputStream out) {
        JsonGenerator file = withoutNulls.createGenerator(out);
        file.writeStartObject();
        file.writeStringProperty("format", TransferFile.FORMAT);
        file.writeNumberProperty("schemaVersion", TransferFile.SCHEMA_VERSION);
        file.writePOJOProperty("writtenAt", Instant.now(clock));
        return file;
    }

    private static <T> void array(JsonGenerator file, Section<T> section, Stream<? extends T> parts) {
        file.writeName(section.field());
        file.writeStartArray();
        parts.forEach(file::writePOJO);
        file.writeEndArray();
    }

    private static <T> Stream<T> inParts(List<UUID> ids, Function<Collection<UUID>, List<T>> some) {
        return Stream.iterate(0, from -> from < ids.size(), from -> from + AT_ONCE)
                .flatMap(from -> some.apply(ids.subList(from, Math.min(ids.size(), from + AT_ONCE))).stream());
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
}
