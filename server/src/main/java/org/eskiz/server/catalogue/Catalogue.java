package org.eskiz.server.catalogue;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;

/** Cable types and connectors as they stood at one moment, found by their keys. */
public final class Catalogue {

    private final List<CableType> cableTypes;
    private final List<Connector> connectors;
    private final Map<String, CableType> typesByKey;
    private final Map<String, Connector> connectorsByKey;

    public Catalogue(List<CableType> cableTypes, List<Connector> connectors) {
        this.cableTypes = List.copyOf(cableTypes);
        this.connectors = List.copyOf(connectors);
        this.typesByKey = cableTypes.stream().collect(Collectors.toMap(CableType::key, Function.identity()));
        this.connectorsByKey = connectors.stream().collect(Collectors.toMap(Connector::key, Function.identity()));
    }

    public List<CableType> cableTypes() {
        return cableTypes;
    }

    public List<Connector> connectors() {
        return connectors;
    }

    public Optional<CableType> cableType(String key) {
        return Optional.ofNullable(typesByKey.get(key));
    }

    public Optional<Connector> connector(String key) {
        return Optional.ofNullable(connectorsByKey.get(key));
    }
}
