package org.eskiz.server.operator.signin.passkey;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Repository;

/** Keys and what they are to sign, as the database keeps them. */
@Repository
class Passkeys {

    /** Whoever asks for more without end is not worked for. */
    private static final int MOST_CHALLENGES = 10_000;

    private final JdbcTemplate sql;

    Passkeys(JdbcTemplate sql) {
        this.sql = sql;
    }

    /** A key as it is stored. */
    record Stored(UUID id, UUID operator, byte[] credential, long signatureCount) {}

    List<PasskeyResponse> of(UUID operator) {
        return sql.query(
                "select id, name, made_at, used_at from passkey where operator_id = ? order by made_at, id",
                (row, i) -> new PasskeyResponse(
                        row.getObject("id", UUID.class),
                        row.getString("name"),
                        row.getTimestamp("made_at").toInstant(),
                        instant(row, "used_at")),
                operator);
    }

    private static @Nullable Instant instant(ResultSet row, String column) throws SQLException {
        Timestamp at = row.getTimestamp(column);
        return at == null ? null : at.toInstant();
    }

    List<byte[]> credentialIds(UUID operator) {
        return sql.queryForList("select credential_id from passkey where operator_id = ?", byte[].class, operator);
    }

    Optional<Stored> by(byte[] credentialId) {
        return sql
                .query(
                        "select id, operator_id, credential, signature_count from passkey where credential_id = ? for update",
                        (row, i) -> new Stored(
                                row.getObject("id", UUID.class),
                                row.getObject("operator_id", UUID.class),
                                row.getBytes("credential"),
                                row.getLong("signature_count")),
                        (Object) credentialId)
                .stream()
                .findFirst();
    }

    void add(UUID operator, PasskeyResponse key, byte[] credentialId, byte[] credential, long signatureCount) {
        sql.update(
                "insert into passkey (id, operator_id, name, credential_id, credential, signature_count, made_at)"
                        + " values (?, ?, ?, ?, ?, ?, ?)",
                key.id(),
                operator,
                key.name(),
                credentialId,
                credential,
                signatureCount,
                Timestamp.from(key.madeAt()));
    }

    void used(UUID id, long signatureCount, Instant now) {
        sql.update(
                "update passkey set signature_count = ?, used_at = ? where id = ?",
                signatureCount,
                Timestamp.from(now),
                id);
    }

    /** @return whether there was one */
    boolean remove(UUID id, UUID operator) {
        return sql.update("delete from passkey where id = ? and operator_id = ?", id, operator) > 0;
    }

    /** @return whether there was room for it */
    boolean ask(byte[] challenge, @Nullable UUID operator, Instant now, Instant end) {
        sql.update("delete from passkey_challenge where ends_at < ?", Timestamp.from(now));
        return sql.update(
                        "insert into passkey_challenge (challenge, operator_id, ends_at)"
                                + " select ?, ?, ? where (select count(*) from passkey_challenge) < ?",
                        challenge,
                        operator,
                        Timestamp.from(end),
                        MOST_CHALLENGES)
                > 0;
    }

    /** Takes a challenge, which is good for one answer. */
    boolean take(byte[] challenge, @Nullable UUID operator, Instant now) {
        return sql.update(
                        "delete from passkey_challenge where challenge = ? and operator_id is not distinct from ? and ends_at >= ?",
                        challenge,
                        operator,
                        Timestamp.from(now))
                > 0;
    }
}
