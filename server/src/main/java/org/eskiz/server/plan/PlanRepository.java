package org.eskiz.server.plan;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaSpecificationExecutor;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface PlanRepository extends Repository<PlanEntity, UUID>, JpaSpecificationExecutor<PlanEntity> {

    /** For a plan that is new; one that was loaded is written by the flush. */
    PlanEntity save(PlanEntity plan);

    void flush();

    /** Piece, plan, site and name, of plans that have some pieces of the locker in them. */
    @Query("""
            select u, p.id, p.site, p.name from PlanEntity p join p.pieces u
            where p.workshopId = :workshop and p.deletedAt is null and u in :pieces order by p.site, p.name""")
    List<Object[]> withPieces(Collection<UUID> pieces, UUID workshop);

    /** How many plans somebody made that are not in the bin. */
    @Query(nativeQuery = true, value = "select count(*) from plan where made_by = :operator and deleted_at is null")
    long madeBy(UUID operator);

    @Query(nativeQuery = true, value = "select pg_try_advisory_xact_lock(:lock)")
    boolean takeLock(long lock);

    @Query(nativeQuery = true, value = "select thin_plan_revisions(:until, :most)")
    int thin(Instant until, int most);

    /** Pieces that lie in the runs of some plans. */
    @Query("select distinct u from PlanEntity p join p.pieces u where p.id in :plans")
    List<UUID> piecesIn(Collection<UUID> plans);

    /** Plans of which no drawing is kept, the last changed first. */
    @Query("""
            select p from PlanEntity p
            where p.workshopId = :workshop and p.deletedAt is null
              and not exists (select s from PlanSketchEntity s where s.planId = p.id)
            order by p.updatedAt desc""")
    List<PlanEntity> undrawn(UUID workshop, Limit limit);

    /** Those of some plans that have pieces of the locker in their runs. */
    @Query("select distinct p.id from PlanEntity p join p.pieces u where p.id in :plans")
    List<UUID> withPiecesAmong(Collection<UUID> plans);

    @Query("""
            select p.id from PlanEntity p
            where p.workshopId = :workshop and p.deletedAt is null order by p.site, p.name, p.id""")
    List<UUID> ids(UUID workshop);

    List<PlanEntity> findByIdInAndWorkshopIdOrderBySiteAscNameAscIdAsc(Collection<UUID> ids, UUID workshopId);

    List<PlanEntity> findByWorkshopIdAndSiteAndDeletedAtIsNullOrderByNameAscIdAsc(
            UUID workshopId, String site, Limit limit);

    /** Names of sites and how many plans each has. */
    @Query("""
            select p.site, count(p) from PlanEntity p
            where p.workshopId = :workshop and p.deletedAt is null group by p.site order by p.site""")
    List<Object[]> sites(UUID workshop);

    Optional<PlanEntity> findById(UUID id);

    Optional<PlanEntity> findByIdAndWorkshopId(UUID id, UUID workshopId);

    List<PlanEntity> findByWorkshopIdAndDeletedAtIsNullOrderBySiteAscNameAscIdAsc(UUID workshopId);

    /** The bin; plans of the demo are not kept in it. */
    List<PlanEntity> findByWorkshopIdAndDeletedAtIsNotNullAndDemoFalseOrderByDeletedAtDesc(UUID workshopId);

    List<PlanEntity> findByWorkshopIdAndDeletedAtIsNullAndDemoTrue(UUID workshopId);
}
