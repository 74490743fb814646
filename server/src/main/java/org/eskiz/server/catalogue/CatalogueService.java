package org.eskiz.server.catalogue;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.Collection;
import java.util.Currency;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import org.eskiz.server.operator.Settings;
import org.eskiz.server.operator.SettingsService;
import org.eskiz.server.operator.WorkshopService;
import org.eskiz.server.problem.NotFoundException;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What cables and connectors there are. */
@Service
public class CatalogueService {

    private static final int MOST_KNOWN = 8;

    private final CableTypeRepository types;
    private final CableTypeRevisionRepository revisions;
    private final ConnectorRepository connectors;
    private final WorkshopService workshops;
    private final SettingsService settings;
    private final ObjectProvider<PieceLookup> locker;

    /** By revision, which never changes; so two servers on one database cannot disagree. */
    private final Map<UUID, CableType> byRevision = new ConcurrentHashMap<>();

    private final Cache<Moment, Catalogue> known =
            Caffeine.newBuilder().maximumSize(MOST_KNOWN).build();

    CatalogueService(
            CableTypeRepository types,
            CableTypeRevisionRepository revisions,
            ConnectorRepository connectors,
            WorkshopService workshops,
            SettingsService settings,
            ObjectProvider<PieceLookup> locker) {
        this.types = types;
        this.revisions = revisions;
        this.connectors = connectors;
        this.workshops = workshops;
        this.settings = settings;
        this.locker = locker;
    }

    /**
     * The catalogue as it stands, every type at its newest revision, at the prices that the operator pays. It changes seldom and
     * is asked for with every key: what was read is kept as long as the database tells the same stamp.
     */
    public Catalogue current() {
        UUID workshop = workshops.current();
        var now = new Moment(workshop, types.stamp(workshop));
        Catalogue kept = known.getIfPresent(now);
        return (kept == null ? read(now) : kept)
                .lookingUp(wanted -> locker.getObject().find(wanted, workshop));
    }

    private Catalogue read(Moment moment) {
        Settings prices = settings.get();
        Catalogue read = with(prices.currency(), t -> t.pricedFor(prices), c -> c.pricedFor(prices));
        // what was changed while it was read belongs to no moment
        if (types.stamp(moment.workshop()).equals(moment.stamp())) {
            known.put(moment, read);
        }
        return read;
    }

    private record Moment(UUID workshop, String stamp) {}

    /** The same at the prices that are stored with it: what files carry, and are compared with. */
    @Transactional(readOnly = true)
    public Catalogue asStored() {
        return with(settings.get().currency(), t -> t, c -> c);
    }

    private Catalogue with(String currency, UnaryOperator<CableType> type, UnaryOperator<Connector> connector) {
        List<UUID> newest = revisions.newestIds(workshops.current());
        List<UUID> unread =
                newest.stream().filter(id -> !byRevision.containsKey(id)).toList();
        if (!unread.isEmpty()) {
            revisions.withPoints(unread).forEach(r -> byRevision.put(r.id, RevisionMapper.read(r)));
        }
        UUID workshop = workshops.current();
        return new Catalogue(
                newest.stream().map(byRevision::get).map(type).toList(),
                connectors().stream().map(connector).toList(),
                Optional.of(Currency.getInstance(currency)),
                types.retiredKeys(workshop),
                types.favouriteKeys(workshop),
                wanted -> locker.getObject().find(wanted, workshop));
    }

    /** Every revision of a type, newest first. */
    @Transactional(readOnly = true)
    public List<CableType> history(String key) {
        List<CableType> history = revisions.history(key, workshops.current()).stream()
                .map(RevisionMapper::read)
                .toList();
        if (history.isEmpty()) {
            throw new NotFoundException("cable type", key);
        }
        return history;
    }

    /** Ids of the types behind some keys, for foreign keys. */
    @Transactional(readOnly = true)
    public List<UUID> typeIds(Collection<String> keys) {
        return keys.isEmpty() ? List.of() : types.idsOf(keys, workshops.current());
    }

    /** Keys of all types by their ids. */
    @Transactional(readOnly = true)
    public Map<UUID, String> keys() {
        return types.ofWorkshop(workshops.current()).stream().collect(Collectors.toMap(t -> t.id, t -> t.key));
    }

    private List<Connector> connectors() {
        return connectors.ofWorkshop(workshops.current()).stream()
                .map(ConnectorEntity::connector)
                .toList();
    }
}
