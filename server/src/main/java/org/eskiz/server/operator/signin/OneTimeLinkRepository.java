package org.eskiz.server.operator.signin;

import jakarta.persistence.LockModeType;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface OneTimeLinkRepository extends Repository<OneTimeLinkEntity, UUID> {

    OneTimeLinkEntity saveAndFlush(OneTimeLinkEntity link);

    Optional<OneTimeLinkEntity> findByDigestAndUsedAtIsNullAndEndsAtAfter(String digest, Instant now);

    /** The same, locked until it is used. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select l from OneTimeLinkEntity l where l.digest = :digest and l.usedAt is null and l.endsAt > :now")
    Optional<OneTimeLinkEntity> toUse(String digest, Instant now);

    @Query("""
            select new org.eskiz.server.operator.signin.LinkResponse(l.id, l.role, o.name, m.name, l.endsAt)
            from OneTimeLinkEntity l
                left join OperatorEntity o on o.id = l.operatorId
                left join OperatorEntity m on m.id = l.madeBy
            where l.workshopId = :workshop and l.usedAt is null and l.endsAt > :now order by l.madeAt, l.id""")
    List<LinkResponse> waiting(UUID workshop, Instant now);

    @Modifying
    @Query("delete from OneTimeLinkEntity l where l.id = :id and l.workshopId = :workshop and l.usedAt is null")
    int takeBack(UUID id, UUID workshop);

    /** Those that would let somebody back in who got in by another, or is no longer of the workshop. */
    @Modifying
    @Query("delete from OneTimeLinkEntity l where l.operatorId = :operator and l.usedAt is null")
    void takeBackAllOf(UUID operator);
}
