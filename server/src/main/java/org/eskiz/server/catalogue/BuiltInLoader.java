package org.eskiz.server.catalogue;

import static org.eskiz.server.catalogue.RevisionMapper.facts;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Brings the stored catalogue up to the files that come with the application: a type whose figures changed gets a new
 * revision, and what plans and decisions refer to stays as it was.
 */
@Component
public class BuiltInLoader {

    /** Any number, as long as every server of this application takes the same lock. */
    private static final long LOCK = 0x45736b697aL;

    private final CableTypeRepository types;
    private final CableTypeRevisionRepository revisions;
    private final ConnectorRepository connectors;
    private final EntityManager database;
    private final Clock clock;

    BuiltInLoader(
            CableTypeRepository types,
            CableTypeRevisionRepository revisions,
            ConnectorRepository connectors,
            EntityManager database,
            Clock clock) {
        this.types = types;
        this.revisions = revisions;
        this.connectors = connectors;
        this.database = database;
        this.clock = clock;
    }

    /** @throws IllegalStateException where the catalogue was not brought up yet to what this program knows */
    @Transactional(readOnly = true)
    public void require() {
        if (!isOfThisEditionOrNewer()) {
            throw new IllegalStateException(
                    "the built-in catalogue in the database is older than this Eskiz: ./eskiz migrate brings it up");
        }
    }

    /** Does nothing when this edition or a newer one is there. A second server waits for the first. */
    @Transactional
    public void load() {
        database.createNativeQuery("select pg_advisory_xact_lock(:lock)")
                .setParameter("lock", LOCK)
                .getSingleResult();
        if (isOfThisEditionOrNewer()) {
            return;
        }
        int position = 0;
        for (BuiltInFiles.BuiltInType read : BuiltInFiles.cableTypes()) {
            loadType(read.key(), read.revision(), position++);
        }
        BuiltInFiles.connectors().forEach(this::loadConnector);
        database.createNativeQuery("""
                        insert into built_in_catalogue (edition) values (:edition)
                        on conflict (only_one) do update set edition = excluded.edition""")
                .setParameter("edition", BuiltInFiles.EDITION)
                .executeUpdate();
    }

    /** An older program beside a newer one leaves its figures alone. */
    private boolean isOfThisEditionOrNewer() {
        for (Object loaded : database.createNativeQuery("select edition from built_in_catalogue")
                .getResultList()) {
            if ((Integer) loaded >= BuiltInFiles.EDITION) {
                return true;
            }
        }
        return false;
    }

    private void loadType(String key, CableTypeRevisionEntity read, int position) {
        Instant now = Instant.now(clock);
        CableTypeEntity type = types.findByKeyAndWorkshopIdIsNull(key)
                .orElseGet(() -> types.save(CableTypeEntity.builtIn(key, position, now)));
        Optional<CableTypeRevisionEntity> newest = revisions.findFirstByTypeOrderByNumberDesc(type);
        if (newest.isEmpty() || !facts(newest.get()).equals(facts(read))) {
            int number = newest.map(r -> r.number).orElse(0) + 1;
            revisions.save(read.placed(type, number, now));
        }
    }

    private void loadConnector(ConnectorEntity read) {
        connectors
                .findByKeyAndWorkshopIdIsNull(read.key)
                .ifPresentOrElse(stored -> stored.sayInstead(read, Instant.now(clock)), () -> connectors.save(read));
    }
}
