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
            where t.workshopId = :workshop and t.removedAt is null
            and r.key.number = t.newestNumber""")
    List<BenchTestRevisionEntity> newest(UUID workshop);

    /** The newest of some tests. */
    @Query("""
            select r from BenchTestRevisionEntity r join BenchTestEntity t on t.id = r.key.testId
            where t.workshopId = :workshop and t.id in :ids
            and r.key.number = t.newestNumber""")
    List<BenchTestRevisionEntity> newestAmong(Collection<UUID> ids, UUID workshop);

    /** Test, piece, and in short what it came to, of the newest of every test of some pieces. */
    @Query(nativeQuery = true, value = """
            select r.test_id, r.piece_id, cast(r.in_short as text)
            from bench_test_revision r join bench_test t on t.id = r.test_id and t.newest_number = r.number
            where t.workshop_id = :workshop and t.removed_at is null and r.piece_id in (:pieces)""")
    List<Object[]> newestOf(Collection<UUID> pieces, UUID workshop);

    /** Every revision of a test, the newest first. */
    @Query("select r from BenchTestRevisionEntity r where r.key.testId = :test order by r.key.number desc")
    List<BenchTestRevisionEntity> history(UUID test);
}
