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

    Optional<CableTypeEntity> findByKeyAndWorkshopIdIsNull(String key);

    Optional<CableTypeEntity> findByKeyAndWorkshopId(String key, UUID workshop);

    @Query("""
            select t.key from CableTypeEntity t
            where t.retiredAt is not null and (t.workshopId is null or t.workshopId = :workshop)""")
    Set<String> retiredKeys(UUID workshop);

    @Query(value = """
            select t.key from favourite_cable f join cable_type t on t.id = f.cable_type_id
            where f.workshop_id = :workshop""", nativeQuery = true)
    Set<String> favouriteKeys(UUID workshop);

    @Modifying
    @Query(value = """
            insert into favourite_cable (workshop_id, cable_type_id) values (:workshop, :type)
            on conflict do nothing""", nativeQuery = true)
    void addFavourite(UUID workshop, UUID type);

    @Modifying
    @Query(
            value = "delete from favourite_cable where workshop_id = :workshop and cable_type_id = :type",
            nativeQuery = true)
    void removeFavourite(UUID workshop, UUID type);

    /** What tells the catalogue of this moment from that of another: all that it says of types, connectors and prices. */
    @Query(nativeQuery = true, value = """
            select concat_ws(' ',
                (select count(*) || ':' || coalesce(sum(cast(uuid_hash(r.id) as bigint)), 0) from cable_type_revision r),
                (select md5(string_agg(cast(c as text), ',' order by c.position, c.id)) from connector c),
                (select md5(string_agg(t.id || cast(t.retired_at as text), ',' order by t.id))
                    from cable_type t where t.retired_at is not null),
                (select 'likes' || md5(string_agg(cast(f.cable_type_id as text), ',' order by f.cable_type_id))
                    from favourite_cable f where f.workshop_id = :workshop),
                (select md5(cast(s.document as text)) from workshop_settings s where s.workshop_id = :workshop))""")
    String stamp(UUID workshop);

    @Query("select coalesce(max(t.position), 0) from CableTypeEntity t")
    int lastPosition();

    @Query("select t from CableTypeEntity t where t.workshopId is null or t.workshopId = :workshop")
    List<CableTypeEntity> ofWorkshop(UUID workshop);

    /** Built-in types and the operator's own. */
    @Query("""
            select t.id from CableTypeEntity t
            where t.key in :keys and (t.workshopId is null or t.workshopId = :workshop)""")
    List<UUID> idsOf(Collection<String> keys, UUID workshop);
}
