package org.eskiz.server.catalogue;

import java.util.List;

/**
 * Cable types and connectors as JSON: the same fields as one that is stored over HTTP.
 *
 * @param schemaVersion always {@link #SCHEMA_VERSION}
 */
public record CatalogueFile(int schemaVersion, List<CableTypeRequest> cableTypes, List<ConnectorRequest> connectors) {

    static final int SCHEMA_VERSION = 1;

    static CatalogueFile of(List<CableType> types, List<Connector> connectors) {
        return new CatalogueFile(
                SCHEMA_VERSION,
                types.stream().map(CableTypeRequest::of).toList(),
                connectors.stream().map(ConnectorRequest::of).toList());
    }
}
