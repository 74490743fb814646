package org.eskiz.server.transfer;

import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.eskiz.server.bench.SweepInFile;
import org.eskiz.server.bench.TestInFile;
import org.eskiz.server.catalogue.CableTypeRequest;
import org.eskiz.server.catalogue.ConnectorRequest;
import org.eskiz.server.device.DeviceRequest;
import org.eskiz.server.locker.PieceInFile;
import org.eskiz.server.locker.kit.KitRequest;
import org.eskiz.server.plan.PlanInFile;
import org.eskiz.server.site.SiteInFile;

/**
 * A list of parts in a file, gone through one part at a time, so that a file may be longer than any memory.
 *
 * @param field its name in the file
 */
record Section<T>(String field, Class<T> type) {

    static final Section<CableTypeRequest> CABLE_TYPES = new Section<>("cableTypes", CableTypeRequest.class);
    static final Section<ConnectorRequest> CONNECTORS = new Section<>("connectors", ConnectorRequest.class);
    static final Section<PieceInFile> PIECES = new Section<>("pieces", PieceInFile.class);
    static final Section<KitRequest> KITS = new Section<>("kits", KitRequest.class);
    static final Section<SweepInFile> SWEEPS = new Section<>("sweeps", SweepInFile.class);
    static final Section<TestInFile> TESTS = new Section<>("tests", TestInFile.class);
    static final Section<PlanInFile> PLANS = new Section<>("plans", PlanInFile.class);
    static final Section<SiteInFile> SITES = new Section<>("sites", SiteInFile.class);
    static final Section<DeviceRequest> DEVICES = new Section<>("devices", DeviceRequest.class);
    static final Section<String> FAVOURITES = new Section<>("favourites", String.class);
    static final Section<String> RETIRED = new Section<>("retired", String.class);

    /** Names of all of them. */
    static final Set<String> FIELDS = List.of(
                    CABLE_TYPES, CONNECTORS, PIECES, KITS, SWEEPS, TESTS, PLANS, SITES, DEVICES, FAVOURITES, RETIRED)
            .stream()
            .map(Section::field)
            .collect(Collectors.toUnmodifiableSet());
}
