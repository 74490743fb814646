package org.eskiz.server.operator.signin;

import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface OperatorRepository extends Repository<OperatorEntity, UUID> {

    Optional<OperatorEntity> findById(UUID id);

    @Query("select o from OperatorEntity o where lower(o.name) = lower(:name) and o.closedAt is null")
    Optional<OperatorEntity> named(String name);

    /** Takes the keys away by which somebody's devices sign in. */
    @Modifying
    @Query(nativeQuery = true, value = "delete from passkey where operator_id = :operator")
    void forgetPasskeysOf(UUID operator);

    OperatorEntity saveAndFlush(OperatorEntity operator);
}
