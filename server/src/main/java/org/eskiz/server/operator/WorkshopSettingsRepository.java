package org.eskiz.server.operator;

import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface WorkshopSettingsRepository extends Repository<WorkshopSettingsEntity, UUID> {

    Optional<WorkshopSettingsEntity> findById(UUID workshopId);

    WorkshopSettingsEntity saveAndFlush(WorkshopSettingsEntity settings);

    /** One save of an operator after the other: the second sees what the first has stored. */
    @Query(nativeQuery = true, value = "select id from operator where id = :operator for update")
    UUID hold(UUID operator);

    /** What stands for an operator of a workshop; a version of 0 is that nothing is stored, Hibernate counts the first as 0. */
    @Query(nativeQuery = true, value = """
            select coalesce(w.version + 1, 0) + coalesce(o.version + 1, 0) as version,
                cast(w.document as text) as facts, cast(o.document as text) as taste
            from (select 1) nothing
                left join workshop_settings w on w.workshop_id = :workshop
                left join operator_settings o on o.operator_id = :operator""")
    StoredSettings stored(UUID workshop, @Nullable UUID operator);
}
