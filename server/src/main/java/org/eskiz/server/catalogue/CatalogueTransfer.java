package org.eskiz.server.catalogue;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Cable types and connectors on their way into and out of files, within the caller's transaction. */
@Service
public class CatalogueTransfer {

    private final CatalogueService catalogues;
    private final OwnCableService ownCables;
    private final OwnConnectorService ownConnectors;

    CatalogueTransfer(CatalogueService catalogues, OwnCableService ownCables, OwnConnectorService ownConnectors) {
        this.catalogues = catalogues;
        this.ownCables = ownCables;
        this.ownConnectors = ownConnectors;
    }

    /** Types by their keys; those that nobody knows are left out. */
    @Transactional(readOnly = true)
    public List<CableTypeRequest> types(Collection<String> keys) {
        Catalogue catalogue = catalogues.asStored();
        return keys.stream()
                .sorted()
                .flatMap(k -> catalogue.cableType(k).stream())
                .map(CableTypeRequest::of)
                .toList();
    }

    /** Types of the operator's own. */
    @Transactional(readOnly = true)
    public List<CableTypeRequest> ownTypes() {
        return catalogues.asStored().cableTypes().stream()
                .filter(t -> !t.builtIn())
                .map(CableTypeRequest::of)
                .toList();
    }

    /** Connectors of the operator's own. */
    @Transactional(readOnly = true)
    public List<ConnectorRequest> ownConnectors() {
        return catalogues.asStored().connectors().stream()
                .filter(c -> !c.builtIn())
                .map(ConnectorRequest::of)
                .toList();
    }

    /** What is said here, as it stands at this moment. */
    public Here here() {
        return new Here(catalogues.asStored());
    }

    /** The catalogue as a file would have it. */
    public static final class Here {

        private final Catalogue catalogue;

        private Here(Catalogue catalogue) {
            this.catalogue = catalogue;
        }

        /** What is said here of a type of this key. */
        public Optional<CableTypeRequest> type(String key) {
            return catalogue.cableType(key).map(CableTypeRequest::of);
        }

        /** What is said here of a connector of this key. */
        public Optional<ConnectorRequest> connector(String key) {
            return catalogue.connector(key).map(ConnectorRequest::of);
        }

        /** Whether what goes by a key came with Eskiz, and so stays as it is. */
        public boolean isBuiltIn(String key) {
            return catalogue.cableType(key).map(CableType::builtIn).orElse(false)
                    || catalogue.connector(key).map(Connector::builtIn).orElse(false);
        }
    }

    /** A key that nobody has yet, like another one. */
    @Transactional(readOnly = true)
    public String freeKey(String like) {
        Catalogue catalogue = catalogues.asStored();
        return Keys.free(
                like,
                "copy",
                taken -> catalogue.cableType(taken).isPresent()
                        || catalogue.connector(taken).isPresent());
    }

    @Transactional
    public void add(CableTypeRequest type) {
        ownCables.create(type);
    }

    @Transactional
    public void replace(CableTypeRequest type) {
        ownCables.revise(type.key(), type);
    }

    @Transactional
    public void add(ConnectorRequest connector) {
        ownConnectors.create(connector);
    }

    @Transactional
    public void replace(ConnectorRequest connector) {
        ownConnectors.changeOver(connector.key(), connector);
    }

    /** Keys of types that the operator likes to have at the top. */
    @Transactional(readOnly = true)
    public List<String> favourites() {
        Catalogue catalogue = catalogues.asStored();
        return catalogue.cableTypes().stream()
                .map(CableType::key)
                .filter(catalogue::isFavourite)
                .sorted()
                .toList();
    }

    /** Keys of own types and connectors that are not offered any more. */
    @Transactional(readOnly = true)
    public List<String> retired() {
        Catalogue catalogue = catalogues.asStored();
        Stream<String> types = catalogue.cableTypes().stream()
                .filter(t -> !t.builtIn())
                .map(CableType::key)
                .filter(catalogue::isRetired);
        Stream<String> connectors = catalogue.connectors().stream()
                .filter(c -> !c.builtIn() && c.retired())
                .map(Connector::key);
        return Stream.concat(types, connectors).sorted().toList();
    }

    @Transactional
    public void favour(String key) {
        ownCables.favour(key, true);
    }

    @Transactional
    public void retire(String key) {
        if (catalogues.asStored().connector(key).isPresent()) {
            ownConnectors.retire(key, true);
        } else {
            ownCables.retire(key, true);
        }
    }
}
