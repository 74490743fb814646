package org.eskiz.server.plan.sharing;

import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.eskiz.server.operator.AtWork;
import org.eskiz.server.operator.LinkedVisits;
import org.eskiz.server.operator.Secrets;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Repository;

/** The links to plans, as the database keeps them. */
@Repository
class SharedLinks implements LinkedVisits {

    private static final String STANDS = "taken_back_at is null and ends_on >= ?";

    private final JdbcTemplate sql;
    private final Clock clock;

    SharedLinks(JdbcTemplate sql, Clock clock) {
        this.sql = sql;
        this.clock = clock;
    }

    /** Links end on a day of the world's time, so that all servers end them together. */
    LocalDate today() {
        return LocalDate.ofInstant(Instant.now(clock), ZoneOffset.UTC);
    }

    @Override
    public Optional<AtWork> by(String secret) {
        return sql
                .query(
                        "select plan_id, workshop_id from plan_share where digest = ? and " + STANDS,
                        (row, i) -> AtWork.visiting(
                                row.getObject("plan_id", UUID.class), row.getObject("workshop_id", UUID.class)),
                        Secrets.digest(secret),
                        today())
                .stream()
                .findFirst();
    }

    Optional<LocalDate> endOf(String secret) {
        return sql
                .queryForList(
                        "select ends_on from plan_share where digest = ?", LocalDate.class, Secrets.digest(secret))
                .stream()
                .findFirst();
    }

    List<ShareResponse> of(UUID plan, UUID workshop) {
        return sql.query(
                "select s.id, s.made_at, o.name, s.ends_on from plan_share s left join operator o on o.id = s.done_by"
                        + " where s.plan_id = ? and s.workshop_id = ? and s." + STANDS + " order by s.made_at, s.id",
                (row, i) -> new ShareResponse(
                        row.getObject("id", UUID.class),
                        row.getTimestamp("made_at").toInstant(),
                        row.getString("name"),
                        row.getObject("ends_on", LocalDate.class)),
                plan,
                workshop,
                today());
    }

    void add(UUID id, UUID plan, UUID workshop, String secret, LocalDate endsOn) {
        sql.update(
                "insert into plan_share (id, plan_id, workshop_id, digest, made_at, ends_on) values (?, ?, ?, ?, ?, ?)",
                id,
                plan,
                workshop,
                Secrets.digest(secret),
                Timestamp.from(Instant.now(clock)),
                endsOn);
    }

    /** @return whether there was one to take back */
    boolean takeBack(UUID id, UUID plan, UUID workshop) {
        return sql.update(
                        "update plan_share set taken_back_at = ? where id = ? and plan_id = ? and workshop_id = ?"
                                + " and taken_back_at is null",
                        Timestamp.from(Instant.now(clock)),
                        id,
                        plan,
                        workshop)
                > 0;
    }
}
