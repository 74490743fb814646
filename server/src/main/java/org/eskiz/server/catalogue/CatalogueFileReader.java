package org.eskiz.server.catalogue;

import java.util.List;
import java.util.Locale;
import java.util.stream.IntStream;
import org.eskiz.server.catalogue.csv.CatalogueCsv;
import org.eskiz.server.catalogue.csv.ConnectorCsv;
import org.eskiz.server.catalogue.csv.CsvCells;
import org.eskiz.server.catalogue.csv.ReadRow;
import org.eskiz.server.problem.InvalidRequestException;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * What stands in a file of cable types, of connectors or of both; nothing is judged yet.
 *
 * @param connectors numbered after the cable types where a file has both
 */
record CatalogueFileReader(List<ReadRow<CableTypeRequest>> cableTypes, List<ReadRow<ConnectorRequest>> connectors) {

    private static final int MOST = 2000;

    /** Reads a file; one that is no catalogue at all is refused with why. */
    static CatalogueFileReader read(CatalogueImportRequest file, JsonMapper json) {
        CatalogueFileReader rows;
        try {
            rows = file.fileName().toLowerCase(Locale.ROOT).endsWith(".json")
                    ? ofJson(file.text(), json)
                    : ofCsv(file.text());
        } catch (IllegalArgumentException e) {
            throw new InvalidRequestException("text", e.getMessage());
        }
        int count = rows.cableTypes.size() + rows.connectors.size();
        if (count == 0) {
            throw new InvalidRequestException("text", "there is no cable type in this file, and no connector");
        }
        if (count > MOST) {
            throw new InvalidRequestException(
                    "text",
                    String.format(
                            Locale.ROOT, "%d cable types and connectors; at most %d can be read at once", count, MOST));
        }
        return rows;
    }

    private static CatalogueFileReader ofCsv(String text) {
        return ConnectorCsv.isMeantBy(CsvCells.columns(text))
                ? new CatalogueFileReader(List.of(), ConnectorCsv.read(text))
                : new CatalogueFileReader(CatalogueCsv.read(text), List.of());
    }

    private static CatalogueFileReader ofJson(String text, JsonMapper json) {
        JsonNode file;
        try {
            file = json.readTree(text);
        } catch (JacksonException e) {
            throw new IllegalArgumentException("this is not JSON: " + e.getOriginalMessage());
        }
        int version = file.path("schemaVersion").asInt(-1);
        if (version != CatalogueFile.SCHEMA_VERSION
                || !file.path("cableTypes").isArray()
                || !(file.path("connectors").isMissingNode()
                        || file.path("connectors").isArray())) {
            throw new IllegalArgumentException(String.format(
                    Locale.ROOT,
                    "this is no catalogue of schemaVersion %d with a list of cableTypes, and perhaps one of connectors",
                    CatalogueFile.SCHEMA_VERSION));
        }
        JsonNode types = file.get("cableTypes");
        return new CatalogueFileReader(
                ofJson(types, 0, CableTypeRequest.class, json),
                ofJson(file.path("connectors"), types.size(), ConnectorRequest.class, json));
    }

    private static <T> List<ReadRow<T>> ofJson(JsonNode list, int before, Class<T> as, JsonMapper json) {
        return IntStream.range(0, list.size())
                .mapToObj(i -> row(list.get(i), before + i + 1, as, json))
                .toList();
    }

    private static <T> ReadRow<T> row(JsonNode node, int line, Class<T> as, JsonMapper json) {
        String key = node.path("key").asString(null);
        String name = node.path("name").asString(null);
        try {
            return new ReadRow<>(line, key, name, json.treeToValue(node, as), null);
        } catch (JacksonException e) {
            return ReadRow.refused(line, key, name, e.getOriginalMessage());
        }
    }
}
