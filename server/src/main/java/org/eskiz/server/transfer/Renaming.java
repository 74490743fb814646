package org.eskiz.server.transfer;

import java.util.HashMap;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;
import tools.jackson.databind.node.StringNode;

/** Ids, keys and labels of a file that go by other names here; whatever refers to them is changed along. */
final class Renaming {

    /** Fields that say what something is called or refer to it, wherever they stand. */
    private static final Set<String> NAMES = Set.of(
            "id",
            "key",
            "cableKey",
            "leadCableKey",
            "connectorKey",
            "radioSocketKey",
            "antennaSocketKey",
            "pieceId",
            "planId",
            "run",
            "first",
            "second",
            "throughFileId",
            "openFileId",
            "shortedFileId",
            "terminatedFileId");

    /** Lists of keys. */
    private static final Set<String> LISTS = Set.of("madeTypes", "favourites", "retired", "runs");

    private final Map<String, String> names = new HashMap<>();

    void put(String from, String to) {
        names.put(from, to);
    }

    boolean isEmpty() {
        return names.isEmpty();
    }

    /** The name that stands for another one here. */
    String of(String name) {
        return names.getOrDefault(name, name);
    }

    /** Changes a tree in place. */
    void applyTo(JsonNode node) {
        if (node instanceof ObjectNode object) {
            object.properties().forEach(p -> {
                JsonNode value = p.getValue();
                if (NAMES.contains(p.getKey()) && value.isString()) {
                    object.put(p.getKey(), of(value.asString()));
                } else if (LISTS.contains(p.getKey()) && value instanceof ArrayNode list) {
                    renameAll(list);
                } else {
                    applyTo(value);
                }
            });
        } else if (node instanceof ArrayNode list) {
            list.forEach(this::applyTo);
        }
    }

    private void renameAll(ArrayNode list) {
        for (int i = 0; i < list.size(); i++) {
            if (list.get(i).isString()) {
                list.set(i, StringNode.valueOf(of(list.get(i).asString())));
            }
        }
    }

    /** Gives every part below a node an id of its own, so that a copy shares none with what it was copied from. */
    void freshIds(JsonNode parts) {
        parts.forEach(part -> {
            if (part.path("id").isString()) {
                put(part.path("id").asString(), UUID.randomUUID().toString());
            }
        });
    }
}
