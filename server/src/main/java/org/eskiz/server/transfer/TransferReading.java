package org.eskiz.server.transfer;

import org.eskiz.server.problem.Faults;
import org.eskiz.server.problem.InvalidRequestException;
import org.springframework.stereotype.Component;
import tools.jackson.core.TokenStreamLocation;
import tools.jackson.core.exc.StreamReadException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Reads a file, of this form or an older one. */
@Component
class TransferReading {

    private final JsonMapper json;

    TransferReading(JsonMapper json) {
        this.json = json;
    }

    /**
     * The file as a tree, brought up to the form of today.
     *
     * @throws InvalidRequestException when it is cut off, is not one of ours, or comes from a later version
     */
    ObjectNode tree(String text) {
        JsonNode read = parsed(text.replaceFirst("^\uFEFF", ""));
        if (!(read instanceof ObjectNode file)) {
            throw new InvalidRequestException("text", "this is no file of Eskiz: it does not begin with {");
        }
        return upToDate(file);
    }

    private JsonNode parsed(String text) {
        if (text.isBlank()) {
            throw new InvalidRequestException("text", "the file is empty");
        }
        try {
            return json.readTree(text);
        } catch (StreamReadException e) {
            TokenStreamLocation where = e.getLocation();
            throw new InvalidRequestException(
                    "text",
                    "this is not whole, or not JSON: line %d, column %d: %s"
                            .formatted(where.getLineNr(), where.getColumnNr(), e.getOriginalMessage()));
        }
    }

    private static ObjectNode upToDate(ObjectNode file) {
        JsonNode version = file.path("schemaVersion");
        if (!version.isIntegralNumber()) {
            throw new InvalidRequestException("text", "this is no file of Eskiz: it has no schemaVersion");
        }
        if (version.asLong() > TransferFile.SCHEMA_VERSION) {
            throw new InvalidRequestException(
                    "text",
                    "this file is of form %s and comes from a later Eskiz; form %d is the newest known here"
                            .formatted(version.asString(), TransferFile.SCHEMA_VERSION));
        }
        // files of a catalogue alone are older than this form, and have no name for themselves
        if (file.path("format").isMissingNode() && file.path("cableTypes").isArray()) {
            file.put("format", TransferFile.FORMAT);
        }
        if (!TransferFile.FORMAT.equals(file.path("format").asString("")) || version.asLong() < 1) {
            throw new InvalidRequestException("text", "this is no file of Eskiz: its format is not \"eskiz\"");
        }
        return file;
    }

    /** The parts of a tree, checked. */
    TransferFile file(ObjectNode tree) {
        TransferFile file = json.treeToValue(tree, TransferFile.class);
        Faults.in(file).refuse();
        return file.withLists();
    }
}
