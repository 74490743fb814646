package org.eskiz.server.catalogue;

import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.eskiz.server.catalogue.CatalogueImportResponse.What;
import org.eskiz.server.operator.WorkshopService;
import org.eskiz.server.problem.NotFoundException;
import org.eskiz.server.problem.ValidationErrors;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** Cable types and connectors out of files: shown before anything is stored, stored whole or not at all, and taken back again. */
@Service
class CatalogueImportService {

    private final CatalogueService catalogues;
    private final OwnCableService own;
    private final OwnConnectorService ownConnectors;
    private final WorkshopService workshops;
    private final JdbcTemplate sql;
    private final JsonMapper json;
    private final Clock clock;

    CatalogueImportService(
            CatalogueService catalogues,
            OwnCableService own,
            OwnConnectorService ownConnectors,
            WorkshopService workshops,
            JdbcTemplate sql,
            JsonMapper json,
            Clock clock) {
        this.catalogues = catalogues;
        this.own = own;
        this.ownConnectors = ownConnectors;
        this.workshops = workshops;
        this.sql = sql;
        this.json = json;
        this.clock = clock;
    }

    /** What a file would bring. */
    @Transactional(readOnly = true)
    CatalogueImportResponse preview(CatalogueImportRequest request) {
        ValidationErrors.in(request).throwIfAny();
        return new CatalogueImportResponse(
                null, judged(request).stream().map(ImportRow::response).toList());
    }

    /** Stores what is wanted of a file, all of it or nothing. */
    @Transactional
    CatalogueImportResponse take(CatalogueImportRequest request) {
        ValidationErrors.in(request).throwIfAny();
        List<ImportRow> all = judged(request);
        requireTakable(request, all);
        UUID id = UUID.randomUUID();
        sql.update(
                "insert into catalogue_import (id, workshop_id, file_name, imported_at) values (?, ?, ?, ?)",
                id,
                workshops.current(),
                request.fileName(),
                Timestamp.from(Instant.now(clock)));
        all.stream()
                .filter(row -> request.lines() == null || request.lines().contains(row.line()))
                .forEach(row -> store(id, row));
        return new CatalogueImportResponse(
                id, all.stream().map(ImportRow::response).toList());
    }

    private static void requireTakable(CatalogueImportRequest request, List<ImportRow> all) {
        ValidationErrors errors = ValidationErrors.in(request);
        for (Integer line : request.lines() == null ? List.<Integer>of() : request.lines()) {
            Optional<ImportRow> row = all.stream().filter(r -> r.line() == line).findFirst();
            if (row.isEmpty()) {
                errors.add("lines", "there is nothing to take in line " + line);
            } else if (row.get().what() == What.REFUSED) {
                errors.add(
                        "lines",
                        String.format(
                                Locale.ROOT,
                                "line %d cannot be taken: %s",
                                line,
                                row.get().response().why()));
            }
        }
        errors.throwIfAny();
    }

    private void store(UUID id, ImportRow row) {
        boolean isNew = row.what() == What.NEW;
        if (!isNew && row.what() != What.CHANGED) {
            return;
        }
        if (row.connector() != null) {
            String key = isNew
                    ? ownConnectors.create(row.connector()).key()
                    : ownConnectors.changeOver(row.key(), row.connector()).key();
            sql.update(
                    "insert into catalogue_import_connector (import_id, connector_id, said_before) values (?, ?, ?::jsonb)",
                    id,
                    ownConnectors.id(key),
                    isNew ? null : json.writeValueAsString(row.stored().content()));
        } else {
            String key = isNew ? own.create(row.cableType()) : own.revise(row.key(), row.cableType());
            sql.update(
                    "insert into catalogue_import_item (import_id, cable_type_id, revision_before) values (?, ?, ?)",
                    id,
                    catalogues.typeIds(List.of(key)).get(0),
                    isNew ? null : row.stored().revision());
        }
    }

    /** Takes an import back: what was new is retired, what was changed says again what it said; taken back twice is once. */
    @Transactional
    void undo(UUID id) {
        int open = sql.update(
                "update catalogue_import set undone_at = ? where id = ? and workshop_id = ? and undone_at is null",
                Timestamp.from(Instant.now(clock)),
                id,
                workshops.current());
        if (open == 0) {
            Integer known = sql.queryForObject(
                    "select count(*) from catalogue_import where id = ? and workshop_id = ?",
                    Integer.class,
                    id,
                    workshops.current());
            if (known == null || known == 0) {
                throw new NotFoundException("import", id);
            }
            return;
        }
        takeBackTypes(id);
        takeBackConnectors(id);
    }

    private void takeBackTypes(UUID id) {
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

    private void takeBackConnectors(UUID id) {
        List<Map<String, Object>> items = sql.queryForList("""
                select c.key, i.said_before::text as said_before from catalogue_import_connector i
                join connector c on c.id = i.connector_id where i.import_id = ?""", id);
        for (Map<String, Object> item : items) {
            String key = (String) item.get("key");
            String before = (String) item.get("said_before");
            if (before == null) {
                ownConnectors.retire(key, true);
            } else {
                ownConnectors.changeOver(key, json.readValue(before, ConnectorRequest.class));
            }
        }
    }

    private List<ImportRow> judged(CatalogueImportRequest request) {
        return ImportRow.of(CatalogueFileReader.read(request, json), catalogues.asStored());
    }
}
