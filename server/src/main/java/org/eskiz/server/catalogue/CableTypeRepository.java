package org.eskiz.server.catalogue;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface CableTypeRepository extends Repository<CableTypeEntity, UUID> {

    CableTypeEntity save(CableTypeEntity type);

    Optional<CableTypeEntity> findByKeyAndOperatorIdIsNull(String key);

    /** Built-in types and the operator's own. */
    @Query("""
            select t.id from CableTypeEntity t
            where t.key in :keys and (t.operatorId is null or t.operatorId = :operator)""")
    List<UUID> idsOf(Collection<String> keys, UUID operator);
}
