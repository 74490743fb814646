package org.eskiz.server.transfer;

import java.util.Locale;
import java.util.Optional;
import java.util.function.Supplier;
import org.eskiz.server.operator.Settings;
import org.eskiz.server.problem.InvalidRequestException;
import org.eskiz.server.problem.ValidationErrors;
import org.eskiz.server.web.Client;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.core.TokenStreamLocation;
import tools.jackson.core.exc.StreamReadException;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.ObjectReader;
import tools.jackson.databind.json.JsonMapper;

/**
 * A file that is gone through, part by part, as often as one likes; of this form or an older one. Never more of it than one part
 * is in memory.
 */
final class OpenFile {

    /** Of each kind of part. */
    private static final int MOST_PARTS = 500_000;

    private static final String FORMAT = "format";
    private static final String VERSION = "schemaVersion";
    private static final String WRITTEN_AT = "writtenAt";
    private static final String SETTINGS = "settings";

    private final JsonMapper json;

    /** Takes one value off a parser that goes on behind it. */
    private final ObjectReader one;

    private final Supplier<JsonParser> opening;

    OpenFile(JsonMapper json, Supplier<JsonParser> opening) {
        this.json = json;
        this.one = json.reader().without(DeserializationFeature.FAIL_ON_TRAILING_TOKENS);
        this.opening = opening;
    }

    /** Looks at one part, as it is written; it may change the tree, which is its own. */
    interface Visit<T> {
        void part(int position, JsonNode tree, T part);
    }

    /**
     * Goes through it once.
     *
     * @throws InvalidRequestException when it is cut off, is not one of ours, or comes from a later version
     */
    void requireOurs() {
        JsonNode[] head = new JsonNode[2];
        boolean[] hasTypes = {false};
        String[] unknown = new String[1];
        fields((field, parser) -> {
            switch (field) {
                case FORMAT -> head[0] = one.readTree(parser);
                case VERSION -> head[1] = one.readTree(parser);
                case WRITTEN_AT, SETTINGS -> parser.skipChildren();
                default -> {
                    hasTypes[0] |= field.equals(Section.CABLE_TYPES.field());
                    if (Section.FIELDS.contains(field)) {
                        count(field, parser);
                    } else {
                        unknown[0] = field;
                        parser.skipChildren();
                    }
                }
            }
        });
        requireForm(head[0], head[1], hasTypes[0]);
        if (unknown[0] != null) {
            throw refused("the field \"%s\" is not known here".formatted(unknown[0]));
        }
    }

    private static void count(String field, JsonParser parser) {
        if (parser.hasToken(JsonToken.VALUE_NULL)) {
            return;
        }
        if (!parser.hasToken(JsonToken.START_ARRAY)) {
            throw refused("\"%s\" must be a list".formatted(field));
        }
        for (int count = 0; parser.nextToken() != JsonToken.END_ARRAY; count++) {
            if (count == MOST_PARTS) {
                throw refused(String.format(Locale.ROOT, "\"%s\" must be at most %d", field, MOST_PARTS));
            }
            parser.skipChildren();
        }
    }

    private static void requireForm(JsonNode format, JsonNode version, boolean hasTypes) {
        if (version == null || !version.isIntegralNumber()) {
            throw refused("this is no file of Eskiz: it has no schemaVersion");
        }
        if (version.asLong() > TransferFile.SCHEMA_VERSION) {
            throw refused(String.format(
                    Locale.ROOT,
                    "this file is of form %s and comes from a later Eskiz; form %d is the newest known here",
                    version.asString(),
                    TransferFile.SCHEMA_VERSION));
        }
        // files of a catalogue alone are older than this form, and have no name for themselves
        boolean isCatalogue = format == null && hasTypes;
        boolean isOurs = format != null && TransferFile.FORMAT.equals(format.asString(""));
        if ((!isOurs && !isCatalogue) || version.asLong() < 1) {
            throw refused("this is no file of Eskiz: its format is not \"eskiz\"");
        }
    }

    /** Goes through the parts of one kind, each checked before it is looked at. */
    <T> void each(Section<T> section, Visit<T> visit) {
        fields((field, parser) -> {
            if (!field.equals(section.field()) || !parser.hasToken(JsonToken.START_ARRAY)) {
                parser.skipChildren();
                return;
            }
            for (int i = 0; parser.nextToken() != JsonToken.END_ARRAY; i++) {
                Client.requireListening();
                JsonNode tree = one.readTree(parser);
                visit.part(i, tree, typed(section, tree, i));
            }
        });
    }

    /** A part as it reads after its tree was changed. */
    <T> T typed(Section<T> section, JsonNode tree, int position) {
        String path = String.format(Locale.ROOT, "%s[%d]", section.field(), position);
        T part = read(tree, section.type(), path);
        if (part == null) {
            throw new InvalidRequestException(path, "must not be null");
        }
        ValidationErrors.none().check(part, path).throwIfAny();
        return part;
    }

    private <T> T read(JsonNode tree, Class<T> type, String path) {
        try {
            return json.treeToValue(tree, type);
        } catch (JacksonException e) {
            e.prependPath(TransferFile.class, path);
            throw e;
        }
    }

    /** The settings of a workspace; empty in the file of a plan. */
    Optional<Settings> settings() {
        Settings[] found = new Settings[1];
        fields((field, parser) -> {
            if (field.equals(SETTINGS)) {
                found[0] = read(one.readTree(parser), Settings.class, SETTINGS);
            } else {
                parser.skipChildren();
            }
        });
        Optional<Settings> settings = Optional.ofNullable(found[0]);
        settings.ifPresent(s -> ValidationErrors.none().check(s, SETTINGS).throwIfAny());
        return settings;
    }

    /** Takes the value of a field off a parser that stands on it. */
    private interface Value {
        void of(String field, JsonParser parser);
    }

    private void fields(Value value) {
        try (JsonParser parser = opening.get()) {
            JsonToken first = parser.nextToken();
            if (first == null) {
                throw refused("the file is empty");
            }
            if (first != JsonToken.START_OBJECT) {
                throw refused("this is no file of Eskiz: it does not begin with {");
            }
            while (parser.nextToken() == JsonToken.PROPERTY_NAME) {
                String field = parser.currentName();
                parser.nextToken();
                value.of(field, parser);
            }
            if (parser.nextToken() != null) {
                throw refused("this is no file of Eskiz: it goes on behind its end");
            }
        } catch (StreamReadException e) {
            TokenStreamLocation where = e.getLocation();
            throw refused(String.format(
                    Locale.ROOT,
                    "this is not whole, or not JSON: line %d, column %d: %s",
                    where.getLineNr(),
                    where.getColumnNr(),
                    e.getOriginalMessage()));
        }
    }

    private static InvalidRequestException refused(String why) {
        return new InvalidRequestException("text", why);
    }
}
