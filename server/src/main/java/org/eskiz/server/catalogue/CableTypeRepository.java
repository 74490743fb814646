package org.eskiz.server.catalogue;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface CableTypeRepository extends JpaRepository<CableTypeEntity, UUID> {

    Optional<CableTypeEntity> findByKeyAndOperatorIdIsNull(String key);

    Optional<CableTypeEntity> findByKeyAndOperatorId(String key, UUID operator);

    @Query("""
            select t.key from CableTypeEntity t
            where t.retiredAt is not null and (t.operatorId is null or t.operatorId = :operator)""")
    Set<String> retiredKeys(UUID operator);

    @Query(value = """
            select t.key from favourite_cable f join cable_type t on t.id = f.cable_type_id
            where f.operator_id = :operator""", nativeQuery = true)
    Set<String> favouriteKeys(UUID operator);

    @Modifying
    @Query(value = """
            insert into favourite_cable (operator_id, cable_type_id) values (:operator, :type)
            on conflict do nothing""", nativeQuery = true)
    void addFavourite(UUID operator, UUID type);

    @Modifying
    @Query(
            value = "delete from favourite_cable where operator_id = :operator and cable_type_id = :type",
            nativeQuery = true)
    void removeFavourite(UUID operator, UUID type);

    @Query("select coalesce(max(t.position), 0) from CableTypeEntity t")
    int lastPosition();

    @Query("select t from CableTypeEntity t where t.operatorId is null or t.operatorId = :operator")
    List<CableTypeEntity> ofOperator(UUID operator);

    /** Built-in types and the operator's own. */
    @Query("""
            select t.id from CableTypeEntity t
            where t.key in :keys and (t.operatorId is null or t.operatorId = :operator)""")
    List<UUID> idsOf(Collection<String> keys, UUID operator);
}
