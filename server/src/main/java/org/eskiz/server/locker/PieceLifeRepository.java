package org.eskiz.server.locker;

import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaSpecificationExecutor;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;
import org.springframework.transaction.annotation.Transactional;

interface PieceLifeRepository extends Repository<PieceLifeEntity, UUID>, JpaSpecificationExecutor<PieceLifeEntity> {

    /** What is kept of some pieces and still stands. */
    @Query("""
            select l from PieceLifeEntity l join PieceEntity p on p.id = l.pieceId
            where p.id in :pieces and l.touched = p.touched and l.basis = :basis""")
    List<PieceLifeEntity> standing(Collection<UUID> pieces, String basis);

    @Query("""
            select l from PieceLifeEntity l join PieceEntity p on p.id = l.pieceId
            where l.workshopId = :workshop and p.deletedAt is null and l.touched = p.touched and l.basis = :basis""")
    List<PieceLifeEntity> allStanding(UUID workshop, String basis);

    /** Pieces of which nothing is kept, or what does not stand any more. */
    @Query("""
            select p from PieceEntity p left join PieceLifeEntity l on l.pieceId = p.id
            where p.workshopId = :workshop and p.deletedAt is null
              and (l.pieceId is null or l.touched <> p.touched or l.basis <> :basis)
            order by p.id""")
    List<PieceEntity> gone(UUID workshop, String basis);

    /**
     * Keeps lives, in whatever order two lists are made at the same moment; of a piece that was touched meanwhile nothing
     * is kept.
     *
     * @param lives an array of objects, one a piece, that name the columns
     */
    @Modifying
    @Transactional
    @Query(nativeQuery = true, value = """
            insert into piece_life (piece_id, workshop_id, touched, basis, life, demo, cable_type_id, length_m, label_key,
                words, is_out, is_retired, is_failing, due_on, well_aged_on, urgency)
            select made.piece_id, made.workshop_id, made.touched, made.basis, made.life, made.demo, made.cable_type_id,
                made.length_m, made.label_key, made.words, made.is_out, made.is_retired, made.is_failing, made.due_on,
                made.well_aged_on, piece_urgency(made.is_retired, made.is_failing, made.due_on, :today)
            from jsonb_populate_recordset(cast(null as piece_life), cast(:lives as jsonb)) made
            join piece p on p.id = made.piece_id and p.deleted_at is null and p.touched = made.touched
            order by made.piece_id
            for share of p
            on conflict (piece_id) do update set
                touched = excluded.touched, basis = excluded.basis, life = excluded.life, demo = excluded.demo,
                cable_type_id = excluded.cable_type_id, length_m = excluded.length_m, label_key = excluded.label_key,
                words = excluded.words, is_out = excluded.is_out, is_retired = excluded.is_retired,
                is_failing = excluded.is_failing, due_on = excluded.due_on, well_aged_on = excluded.well_aged_on,
                urgency = excluded.urgency""")
    void keep(String lives, LocalDate today);

    @Query("""
            select new org.eskiz.server.locker.LockerOverviewResponse(
                count(l), count(case when l.urgency = 0 then 1 end), count(case when l.urgency = 1 then 1 end),
                count(case when l.urgency = 2 then 1 end), count(case when l.urgency = 3 then 1 end),
                count(case when l.isOut then 1 end), coalesce(max(l.lengthM), 0.0))
            from PieceLifeEntity l
            where l.workshopId = :workshop and (cast(:demo as boolean) is null or l.demo = :demo)""")
    LockerOverviewResponse overview(UUID workshop, Boolean demo);

    /** Says of every piece how urgent it is on a day. */
    @Modifying
    @Transactional
    @Query(nativeQuery = true, value = """
            with now as (
                select piece_id, piece_urgency(is_retired, is_failing, due_on, :today) as urgency
                from piece_life where workshop_id = :workshop),
            moved as (
                select l.piece_id, now.urgency from piece_life l join now using (piece_id)
                where l.urgency <> now.urgency order by l.piece_id for update of l skip locked)
            update piece_life l set urgency = moved.urgency from moved where l.piece_id = moved.piece_id""")
    void turn(UUID workshop, LocalDate today);
}
