package org.eskiz.server.catalogue;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.Collection;
import java.util.Currency;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.eskiz.server.catalogue.PieceLookup.FoundPiece;

/** Cable types and connectors as they stood at one moment, found by their keys. */
public final class Catalogue {

    private static final int MOST_MADE = 16;

    private final Optional<Currency> currency;
    private final List<CableType> cableTypes;
    private final List<Connector> connectors;
    private final Set<String> retired;
    private final Set<String> favourites;
    private final Map<String, CableType> typesByKey;
    private final Map<String, Connector> connectorsByKey;

    private final Function<Collection<UUID>, Map<UUID, FoundPiece>> locker;
    private final Map<UUID, Optional<FoundPiece>> pieces = new ConcurrentHashMap<>();

    /** What was made of it, as long as it stands. */
    private final Cache<Object, Object> made;

    /** One in which nothing is bought. */
    public Catalogue(List<CableType> cableTypes, List<Connector> connectors) {
        this(cableTypes, connectors, Optional.empty(), Set.of(), Set.of(), ids -> Map.of());
    }

    /**
     * A catalogue.
     *
     * @param currency in which the operator pays; empty where nothing is bought
     * @param retired keys of types that are not offered any more; plans that have them still find them
     * @param favourites keys of types that the operator likes to have at the top
     * @param locker finds pieces that the operator owns
     */
    Catalogue(
            List<CableType> cableTypes,
            List<Connector> connectors,
            Optional<Currency> currency,
            Set<String> retired,
            Set<String> favourites,
            Function<Collection<UUID>, Map<UUID, FoundPiece>> locker) {
        this.locker = locker;
        this.currency = currency;
        this.retired = Set.copyOf(retired);
        this.favourites = Set.copyOf(favourites);
        this.cableTypes = List.copyOf(cableTypes);
        this.connectors = List.copyOf(connectors);
        this.typesByKey = cableTypes.stream().collect(Collectors.toMap(CableType::key, Function.identity()));
        this.connectorsByKey = connectors.stream().collect(Collectors.toMap(Connector::key, Function.identity()));
        this.made = Caffeine.newBuilder().maximumSize(MOST_MADE).build();
    }

    /** The same for catalogues of the same moment, and no others. */
    public Object moment() {
        return made;
    }

    /**
     * Something that is made of all of it, made once.
     *
     * @param of what else it rests on
     */
    @SuppressWarnings("unchecked")
    public <K, T> T once(K of, Function<K, T> make) {
        return (T) made.get(of, key -> make.apply((K) key));
    }

    /** The same with a locker of another moment. */
    Catalogue lookingUp(Function<Collection<UUID>, Map<UUID, FoundPiece>> then) {
        return new Catalogue(this, then);
    }

    private Catalogue(Catalogue same, Function<Collection<UUID>, Map<UUID, FoundPiece>> locker) {
        this.locker = locker;
        this.currency = same.currency;
        this.retired = same.retired;
        this.favourites = same.favourites;
        this.cableTypes = same.cableTypes;
        this.connectors = same.connectors;
        this.typesByKey = same.typesByKey;
        this.connectorsByKey = same.connectorsByKey;
        this.made = same.made;
    }

    /** All of it that a comparison without pieces of the locker rests on; equal for two catalogues that say the same. */
    public State state() {
        return new State(
                cableTypes.stream().map(CableType::revisionId).toList(),
                cableTypes.stream().map(t -> t.facts().price()).toList(),
                connectors,
                currency,
                retired);
    }

    /** What tells one catalogue from another. */
    public record State(
            List<UUID> revisions,
            List<Price> prices,
            List<Connector> connectors,
            Optional<Currency> currency,
            Set<String> retired) {

        /** The same for two that say the same, on any machine. */
        public String text() {
            return Stream.of(revisions, prices, connectors, currency, new TreeSet<>(retired))
                    .map(Object::toString)
                    .collect(Collectors.joining());
        }
    }

    /** In which the operator pays; empty where nothing is bought. */
    public Optional<Currency> currency() {
        return currency;
    }

    public List<CableType> cableTypes() {
        return cableTypes;
    }

    /** The types that may be chosen anew. */
    public List<CableType> offered() {
        return cableTypes.stream().filter(t -> !isRetired(t.key())).toList();
    }

    public boolean isRetired(String key) {
        return retired.contains(key);
    }

    public boolean isFavourite(String key) {
        return favourites.contains(key);
    }

    public List<Connector> connectors() {
        return connectors;
    }

    public Optional<CableType> cableType(String key) {
        return Optional.ofNullable(typesByKey.get(key));
    }

    /** A piece of the locker; asked for as it is needed, since a locker may hold thousands. */
    public Optional<FoundPiece> piece(UUID id) {
        return pieces.computeIfAbsent(
                id, one -> Optional.ofNullable(locker.apply(List.of(one)).get(one)));
    }

    /** Asks for pieces at once that will be asked for one by one. */
    public void lookUp(Collection<UUID> ids) {
        List<UUID> unknown =
                ids.stream().filter(id -> !pieces.containsKey(id)).distinct().toList();
        if (!unknown.isEmpty()) {
            Map<UUID, FoundPiece> found = locker.apply(unknown);
            unknown.forEach(id -> pieces.put(id, Optional.ofNullable(found.get(id))));
        }
    }

    /** A piece that somebody has looked up already. */
    public void know(FoundPiece piece) {
        pieces.put(piece.id(), Optional.of(piece));
    }

    public Optional<Connector> connector(String key) {
        return Optional.ofNullable(connectorsByKey.get(key));
    }
}
