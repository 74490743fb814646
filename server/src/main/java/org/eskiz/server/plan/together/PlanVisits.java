package org.eskiz.server.plan.together;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.eskiz.server.operator.NameOf;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Repository;

/** Who has a plan open, at all servers. */
@Repository
class PlanVisits {

    /** A visit is seen three times as often. */
    private static final String NOT_OVER = "seen_at > now() - interval '60 seconds'";

    private final JdbcTemplate sql;

    PlanVisits(JdbcTemplate sql) {
        this.sql = sql;
    }

    /** A window that has a plan open. */
    record Visit(UUID id, PlanEvents.Person person) {}

    void begin(UUID visit, UUID plan, UUID operator) {
        sql.update("insert into plan_visit (id, plan_id, operator_id) values (?, ?, ?)", visit, plan, operator);
    }

    void end(UUID visit) {
        sql.update("delete from plan_visit where id = ?", visit);
    }

    /** They are still there; what was not seen for long is cleared away. */
    void seen(Collection<UUID> visits) {
        sql.update("update plan_visit set seen_at = now() where id = any (?)", (Object) visits.toArray(UUID[]::new));
        sql.update("delete from plan_visit where seen_at < now() - interval '10 minutes'");
    }

    List<Visit> of(UUID plan) {
        return sql.query(
                "select v.id, o.id as operator, o.name from plan_visit v join operator o on o.id = v.operator_id"
                        + " where v.plan_id = ? and v." + NOT_OVER + " order by o.name, v.id",
                (row, i) -> new Visit(
                        row.getObject("id", UUID.class),
                        new PlanEvents.Person(row.getObject("operator", UUID.class), row.getString("name"))),
                plan);
    }

    @Nullable
    String nameOf(UUID operator) {
        return sql.queryForList("select " + NameOf.OPERATOR + " from operator o where o.id = ?", String.class, operator)
                .get(0);
    }
}
