package org.eskiz.server.transfer;

import java.time.Clock;
import java.time.Instant;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.eskiz.server.bench.BenchTransfer;
import org.eskiz.server.bench.TestInFile;
import org.eskiz.server.catalogue.CatalogueTransfer;
import org.eskiz.server.locker.LockerTransfer;
import org.eskiz.server.locker.PieceInFile;
import org.eskiz.server.operator.SettingsService;
import org.eskiz.server.plan.PlanInFile;
import org.eskiz.server.plan.PlanTransfer;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Writes files. */
@Service
class TransferWriting {

    private final CatalogueTransfer catalogue;
    private final LockerTransfer locker;
    private final BenchTransfer bench;
    private final PlanTransfer plans;
    private final SettingsService settings;
    private final Clock clock;

    TransferWriting(
            CatalogueTransfer catalogue,
            LockerTransfer locker,
            BenchTransfer bench,
            PlanTransfer plans,
            SettingsService settings,
            Clock clock) {
        this.catalogue = catalogue;
        this.locker = locker;
        this.bench = bench;
        this.plans = plans;
        this.settings = settings;
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
}
