package org.eskiz.server.catalogue;

import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.eskiz.server.catalogue.CatalogueImportResponse.ImportedTypeResponse;
import org.eskiz.server.catalogue.CatalogueImportResponse.What;
import org.eskiz.server.http.Faults;
import org.eskiz.server.http.InvalidRequestException;
import org.eskiz.server.http.NotHereException;
import org.eskiz.server.operator.OperatorService;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Cable types out of files: shown before anything is stored, stored whole or not at all, and taken back again. */
@Service
class CatalogueImports {

    private static final int MOST_TYPES = 2000;

    private final CatalogueService catalogues;
    private final OwnCables own;
    private final OperatorService operators;
    private final JdbcTemplate sql;
    private final JsonMapper json;
    private final Clock clock;

    CatalogueImports(
            CatalogueService catalogues,
            OwnCables own,
            OperatorService operators,
            JdbcTemplate sql,
            JsonMapper json,
            Clock clock) {
        this.catalogues = catalogues;
        this.own = own;
        this.operators = operators;
        this.sql = sql;
        this.json = json;
        this.clock = clock;
    }

    /** What a file would bring. */
    @Transactional(readOnly = true)
    CatalogueImportResponse preview(CatalogueImportRequest request) {
        Faults.in(request).refuse();
        return new CatalogueImportResponse(
                null, judged(types(request)).stream().map(Judged::response).toList());
    }

    /** Stores what is wanted of a file, all of it or nothing. */
    @Transactional
    CatalogueImportResponse take(CatalogueImportRequest request) {
        Faults faults = Faults.in(request);
        faults.refuse();
        List<Judged> all = judged(types(request));
        Set<Integer> wanted = request.lines() == null
                ? all.stream().map(j -> j.read.line()).collect(Collectors.toSet())
                : Set.copyOf(request.lines());
        for (Integer line : request.lines() == null ? List.<Integer>of() : request.lines()) {
            all.stream()
                    .filter(j -> j.read.line() == line)
                    .findFirst()
                    .ifPresentOrElse(
                            j -> {
                                if (j.what == What.REFUSED) {
                                    faults.add("lines", "line %d cannot be taken: %s".formatted(line, j.why));
                                }
                            },
                            () -> faults.add("lines", "there is no type in line " + line));
        }
        faults.refuse();
        UUID id = UUID.randomUUID();
        sql.update(
                "insert into catalogue_import (id, operator_id, file_name, imported_at) values (?, ?, ?, ?)",
                id,
                operators.current(),
                request.fileName(),
                Timestamp.from(Instant.now(clock)));
        List<ImportedTypeResponse> rows = new ArrayList<>();
        for (Judged j : all) {
            if (wanted.contains(j.read.line())) {
                store(id, j);
            }
            rows.add(j.response());
        }
        return new CatalogueImportResponse(id, rows);
    }

    private void store(UUID id, Judged j) {
        if (j.what == What.NEW) {
            note(id, own.create(j.read.said()), null);
        } else if (j.what == What.CHANGED) {
            note(id, j.read.key(), j.before.revision());
            own.revise(j.read.key(), j.read.said());
        }
    }

    private void note(UUID id, String key, Integer revisionBefore) {
        own.flush();
        sql.update(
                "insert into catalogue_import_item (import_id, cable_type_id, revision_before) values (?, ?, ?)",
                id,
                catalogues.typeIds(List.of(key)).get(0),
                revisionBefore);
    }

    /** Takes an import back: what was new is retired, what was changed says again what it said; taken back twice is once. */
    @Transactional
    void undo(UUID id) {
        int open = sql.update(
                "update catalogue_import set undone_at = ? where id = ? and operator_id = ? and undone_at is null",
                Timestamp.from(Instant.now(clock)),
                id,
                operators.current());
        if (open == 0) {
            Integer known = sql.queryForObject(
                    "select count(*) from catalogue_import where id = ? and operator_id = ?",
                    Integer.class,
                    id,
                    operators.current());
            if (known == null || known == 0) {
                throw new NotHereException("import", id);
            }
            return;
        }
        List<Map<String, Object>> items = sql.queryForList("""
                select t.key, i.revision_before from catalogue_import_item i
                join cable_type t on t.id = i.cable_type_id where i.import_id = ?""", id);
        for (Map<String, Object> item : items) {
            String key = (String) item.get("key");
            Integer before = (Integer) item.get("revision_before");
            if (before == null) {
                own.retire(key, true);
            } else {
                own.goBackTo(key, before);
            }
        }
    }

    private List<ReadType> types(CatalogueImportRequest request) {
        List<ReadType> types;
        try {
            types = request.fileName().toLowerCase(Locale.ROOT).endsWith(".json")
                    ? ofJson(request.text())
                    : CatalogueCsv.read(request.text());
        } catch (IllegalArgumentException e) {
            throw new InvalidRequestException("text", e.getMessage());
        }
        if (types.isEmpty()) {
            throw new InvalidRequestException("text", "there is no cable type in this file");
        }
        if (types.size() > MOST_TYPES) {
            throw new InvalidRequestException(
                    "text", "%d cable types; at most %d can be read at once".formatted(types.size(), MOST_TYPES));
        }
        return types;
    }

    private List<ReadType> ofJson(String text) {
        JsonNode file;
        try {
            file = json.readTree(text);
        } catch (JacksonException e) {
            throw new IllegalArgumentException("this is not JSON: " + e.getOriginalMessage());
        }
        int version = file.path("schemaVersion").asInt(-1);
        if (version != CatalogueFile.SCHEMA_VERSION || !file.path("cableTypes").isArray()) {
            throw new IllegalArgumentException("this is no catalogue of schemaVersion %d with a list of cableTypes"
                    .formatted(CatalogueFile.SCHEMA_VERSION));
        }
        JsonNode list = file.get("cableTypes");
        return IntStream.range(0, list.size())
                .mapToObj(i -> ofJson(list.get(i), i + 1))
                .toList();
    }

    private ReadType ofJson(JsonNode type, int line) {
        String key = type.path("key").asString(null);
        try {
            return ReadType.of(line, key, json.treeToValue(type, CableTypeRequest.class));
        } catch (JacksonException e) {
            return ReadType.refused(line, key, type.path("name").asString(null), e.getOriginalMessage());
        }
    }

    private List<Judged> judged(List<ReadType> types) {
        Catalogue catalogue = catalogues.current();
        Set<String> seen = new HashSet<>();
        return types.stream()
                .map(t -> {
                    boolean isTwice = t.key() != null && !seen.add(t.key());
                    return isTwice
                            ? new Judged(t, What.REFUSED, "the key \"" + t.key() + "\" is there twice", null)
                            : judged(t, catalogue);
                })
                .toList();
    }

    private static Judged judged(ReadType type, Catalogue catalogue) {
        if (type.why() != null) {
            return new Judged(type, What.REFUSED, type.why(), null);
        }
        Optional<String> fault = OwnCables.faultIn(type.said());
        if (fault.isPresent()) {
            return new Judged(type, What.REFUSED, fault.get(), null);
        }
        Optional<CableType> stored = type.key() == null ? Optional.empty() : catalogue.cableType(type.key());
        if (stored.isEmpty()) {
            return new Judged(type, What.NEW, null, null);
        }
        CableType before = stored.get();
        if (Differences.between(before.facts(), OwnCables.facts(type.said())).isEmpty()) {
            return new Judged(type, What.SAME, null, before);
        }
        return before.builtIn()
                ? new Judged(
                        type,
                        What.REFUSED,
                        "\"" + type.key() + "\" came with Eskiz and stays as it is; give it another key",
                        before)
                : new Judged(type, What.CHANGED, null, before);
    }

    /** A type of a file, and what becomes of it. */
    private record Judged(ReadType read, What what, String why, CableType before) {

        ImportedTypeResponse response() {
            List<String> changed = what == What.CHANGED
                    ? Differences.between(before.facts(), OwnCables.facts(read.said()))
                    : List.of();
            return new ImportedTypeResponse(read.line(), read.key(), read.name(), what, why, changed);
        }
    }
}
