package org.eskiz.server.operator.signin;

import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.UUID;
import org.eskiz.server.operator.Role;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface MembershipRepository extends Repository<MembershipEntity, MembershipEntity.Key> {

    MembershipEntity saveAndFlush(MembershipEntity membership);

    void delete(MembershipEntity membership);

    boolean existsById(MembershipEntity.Key key);

    /** Those of a workshop, locked: who is the last keeper is not for two to decide at once. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    List<MembershipEntity> findByWorkshopIdOrderByOperatorId(UUID workshopId);

    /** Where an operator works who has not left, by name of the workshop. */
    @Query("""
            select new org.eskiz.server.operator.signin.MembershipRepository$Place(w.id, w.name, o.name, m.role)
            from MembershipEntity m
                join OperatorEntity o on o.id = m.operatorId
                join WorkshopEntity w on w.id = m.workshopId
            where o.id = :operator and o.closedAt is null order by w.name, w.id""")
    List<Place> placesOf(UUID operator);

    @Query("""
            select new org.eskiz.server.operator.signin.PersonResponse(o.id, o.name, m.role, m.since)
            from MembershipEntity m join OperatorEntity o on o.id = m.operatorId
            where m.workshopId = :workshop and o.closedAt is null order by lower(o.name), o.id""")
    List<PersonResponse> peopleOf(UUID workshop);

    /** A workshop that an operator belongs to. */
    record Place(UUID workshop, String workshopName, String operatorName, Role role) {}
}
