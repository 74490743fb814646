package org.eskiz.server.plan;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;
import org.springframework.transaction.annotation.Transactional;

interface PlanSketchRepository extends Repository<PlanSketchEntity, UUID> {

    @Modifying
    @Transactional
    @Query("delete from PlanSketchEntity s where s.planId = :plan")
    void forget(UUID plan);

    List<PlanSketchEntity> findByPlanIdIn(Collection<UUID> plans);

    /** Keeps drawings, in whatever order two lists are made at the same moment. */
    @Modifying
    @Transactional
    @Query(nativeQuery = true, value = """
            insert into plan_sketch (plan_id, stamp, sketch, words)
            select made.plan_id, made.stamp, cast(made.sketch as jsonb), made.words
            from unnest(cast(:plans as uuid[]), cast(:stamps as text[]), cast(:sketches as text[]), cast(:words as text[]))
                as made (plan_id, stamp, sketch, words)
            order by made.plan_id
            on conflict (plan_id) do update
            set stamp = excluded.stamp, sketch = excluded.sketch, words = excluded.words""")
    void keep(UUID[] plans, String[] stamps, String[] sketches, String[] words);
}
