package org.eskiz.server.bench;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface BenchTestRevisionRepository extends Repository<BenchTestRevisionEntity, BenchTestRevisionEntity.Key> {

    /** The newest of every test that is there. */
    @Query("""
            select r from BenchTestRevisionEntity r join BenchTestEntity t on t.id = r.key.testId
            where t.operatorId = :operator and t.removedAt is null
            and r.key.number = (select max(n.key.number) from BenchTestRevisionEntity n where n.key.testId = t.id)""")
    List<BenchTestRevisionEntity> newest(UUID operator);

    /** The newest of some tests. */
    @Query("""
            select r from BenchTestRevisionEntity r join BenchTestEntity t on t.id = r.key.testId
            where t.operatorId = :operator and t.id in :ids
            and r.key.number = (select max(n.key.number) from BenchTestRevisionEntity n where n.key.testId = t.id)""")
    List<BenchTestRevisionEntity> newestAmong(Collection<UUID> ids, UUID operator);

    /** The newest of every test of some pieces. */
    @Query("""
            select r from BenchTestRevisionEntity r join BenchTestEntity t on t.id = r.key.testId
            where t.operatorId = :operator and t.removedAt is null and r.pieceId in :pieces
            and r.key.number = (select max(n.key.number) from BenchTestRevisionEntity n where n.key.testId = t.id)""")
    List<BenchTestRevisionEntity> newestOf(Collection<UUID> pieces, UUID operator);

    /** Every revision of a test, the newest first. */
    @Query("select r from BenchTestRevisionEntity r where r.key.testId = :test order by r.key.number desc")
    List<BenchTestRevisionEntity> history(UUID test);
}
