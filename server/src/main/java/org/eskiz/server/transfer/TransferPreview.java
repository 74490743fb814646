package org.eskiz.server.transfer;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import java.util.stream.Collectors;
import org.eskiz.server.bench.BenchTransfer;
import org.eskiz.server.bench.TestInFile;
import org.eskiz.server.catalogue.CableTypeRequest;
import org.eskiz.server.catalogue.CatalogueTransfer;
import org.eskiz.server.catalogue.ConnectorRequest;
import org.eskiz.server.device.DeviceRequest;
import org.eskiz.server.device.DeviceTransfer;
import org.eskiz.server.locker.LockerTransfer;
import org.eskiz.server.locker.PieceInFile;
import org.eskiz.server.locker.kit.KitRequest;
import org.eskiz.server.locker.kit.KitTransfer;
import org.eskiz.server.operator.Settings;
import org.eskiz.server.operator.SettingsService;
import org.eskiz.server.plan.PlanTransfer;
import org.eskiz.server.problem.InvalidRequestException;
import org.eskiz.server.site.SiteInFile;
import org.eskiz.server.site.SiteTransfer;
import org.eskiz.server.transfer.TransferRequest.Take;
import org.eskiz.server.transfer.TransferResponse.PartResponse;
import org.eskiz.server.transfer.TransferResponse.State;
import org.springframework.stereotype.Service;

/** Holds the parts of a file against what is here: new, the same, or a clash and what may become of it. */
@Service
class TransferPreview {

    private final CatalogueTransfer catalogue;
    private final LockerTransfer locker;
    private final KitTransfer kits;
    private final BenchTransfer bench;
    private final PlanTransfer plans;
    private final SiteTransfer sites;
    private final DeviceTransfer devices;
    private final SettingsService settings;

    TransferPreview(
            CatalogueTransfer catalogue,
            LockerTransfer locker,
            KitTransfer kits,
            BenchTransfer bench,
            PlanTransfer plans,
            SiteTransfer sites,
            DeviceTransfer devices,
            SettingsService settings) {
        this.catalogue = catalogue;
        this.locker = locker;
        this.kits = kits;
        this.bench = bench;
        this.plans = plans;
        this.sites = sites;
        this.devices = devices;
        this.settings = settings;
    }

    /** One judgement a part, in the order in which parts are taken; no part stays in memory. */
    List<PartResponse> parts(OpenFile file) {
        List<PartResponse> parts = new ArrayList<>();
        CatalogueTransfer.Here types = catalogue.here();
        file.each(Section.CABLE_TYPES, (i, tree, t) -> parts.add(judged(t, types)));
        file.each(Section.CONNECTORS, (i, tree, c) -> parts.add(judged(c, types)));
        List<PieceInFile> here = locker.all();
        Map<UUID, PieceInFile> byId =
                here.stream().collect(Collectors.toMap(p -> p.piece().id(), p -> p));
        Map<String, UUID> byLabel = here.stream()
                .collect(Collectors.toMap(
                        p -> folded(p.piece().label()), p -> p.piece().id()));
        file.each(Section.PIECES, (i, tree, p) -> parts.add(judged(p, byId, byLabel)));
        Map<UUID, KitRequest> kitsHere = kits.byId();
        file.each(
                Section.KITS,
                (i, tree, k) -> parts.add(part(
                        PartKind.KIT,
                        k.id(),
                        k.name(),
                        kitsHere.containsKey(k.id()) ? k.equals(kitsHere.get(k.id())) : null)));
        file.each(Section.TESTS, (i, tree, t) -> parts.add(judged(t)));
        file.each(
                Section.PLANS,
                (i, tree, p) -> parts.add(part(
                        PartKind.PLAN,
                        p.id(),
                        p.site() + ", " + p.name(),
                        plans.stored(p.id())
                                .map(s -> PlanTransfer.saysTheSame(s, p))
                                .orElse(null))));
        file.each(Section.SITES, (i, tree, s) -> parts.add(judged(s)));
        Map<UUID, DeviceRequest> devicesHere = devices.byId();
        file.each(
                Section.DEVICES,
                (i, tree, d) -> parts.add(part(
                        PartKind.DEVICE,
                        d.id(),
                        d.name(),
                        devicesHere.containsKey(d.id()) ? d.equals(devicesHere.get(d.id())) : null)));
        file.settings().ifPresent(s -> parts.add(judged(s)));
        return parts;
    }

    /** A site has one sheet: it cannot stand beside mine. */
    private PartResponse judged(SiteInFile site) {
        State state = sites.stored(site.name())
                .map(mine -> mine.equals(site) ? State.SAME : State.CLASH)
                .orElse(State.NEW);
        return new PartResponse(
                PartKind.SITE,
                site.name(),
                site.name(),
                state,
                state == State.CLASH ? List.of(Take.MINE, Take.THEIRS) : List.of());
    }

    private PartResponse judged(Settings theirs) {
        boolean isSame = settings.get().saysTheSameAs(theirs);
        return new PartResponse(
                PartKind.SETTINGS,
                "settings",
                "settings",
                isSame ? State.SAME : State.CLASH,
                isSame ? List.of() : List.of(Take.MINE, Take.THEIRS));
    }

    private static PartResponse judged(CableTypeRequest type, CatalogueTransfer.Here here) {
        return keyed(
                PartKind.CABLE_TYPE,
                type.key(),
                type.name(),
                here.type(type.key()).map(type::equals).orElse(null),
                here);
    }

    private static PartResponse judged(ConnectorRequest connector, CatalogueTransfer.Here here) {
        return keyed(
                PartKind.CONNECTOR,
                connector.key(),
                connector.name(),
                here.connector(connector.key()).map(connector::equals).orElse(null),
                here);
    }

    private static PartResponse keyed(
            PartKind kind, String key, String name, Boolean same, CatalogueTransfer.Here here) {
        if (key == null) {
            throw new InvalidRequestException("text", "\"" + name + "\" has no key in this file");
        }
        return Boolean.FALSE.equals(same) && here.isBuiltIn(key)
                ? new PartResponse(kind, key, name, State.CLASH, List.of(Take.MINE, Take.BOTH))
                : part(kind, key, name, same);
    }

    private static String folded(String label) {
        return label.strip().toLowerCase(Locale.ROOT);
    }

    private static PartResponse judged(PieceInFile p, Map<UUID, PieceInFile> byId, Map<String, UUID> byLabel) {
        UUID id = p.piece().id();
        String label = p.piece().label();
        boolean isLabelTaken = byLabel.containsKey(folded(label))
                && !byLabel.get(folded(label)).equals(id);
        return isLabelTaken
                ? new PartResponse(PartKind.PIECE, text(id, label), label, State.CLASH, List.of(Take.MINE, Take.BOTH))
                : part(PartKind.PIECE, id, label, byId.containsKey(id) ? p.equals(byId.get(id)) : null);
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
}
