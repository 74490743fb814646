package org.eskiz.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.boot.SpringApplication;
import org.springframework.jdbc.core.JdbcTemplate;

/** The server reads and writes rows, and can do nothing else to its database. */
@ExtendWith(RealServer.class)
class DatabaseRolesTest {

    @ParameterizedTest
    @ValueSource(
            strings = {
                "create table x (a int)",
                "drop table plan",
                "alter table plan add column x int",
                "alter table plan disable trigger all",
                "create function x() returns int language sql as 'select 1'",
                "create temporary table x (a int)",
                "copy plan to program 'cat'",
                "copy plan from '/etc/passwd'",
                "select pg_read_file('/etc/passwd')",
                "set role eskiz_owner",
                "alter role eskiz_app superuser",
                "truncate plan cascade"
            })
    void theServerCannotDoMore(String statement, JdbcTemplate sql) {
        assertThatThrownBy(() -> sql.execute(statement))
                .rootCause()
                .hasMessageMatching("(?s).*(permission denied|must be owner|must be superuser|must have).*");
    }

    @Test
    void nothingIsWaitedForWithoutEnd(JdbcTemplate sql) {
        for (String limit : new String[] {"statement_timeout", "lock_timeout", "idle_in_transaction_session_timeout"}) {
            assertThat(sql.queryForObject("show " + limit, String.class))
                    .as(limit)
                    .matches("[1-9]\\d*s");
        }
    }

    @Test
    void oneThatComesFromANewerEskizIsLeftAlone() {
        try (ThrowAwayCluster cluster = ThrowAwayCluster.start()) {
            JdbcTemplate owner = new JdbcTemplate(cluster.as("eskiz_owner"));
            owner.update(
                    "insert into flyway_schema_history select 1 + max(installed_rank), '999', 'later', 'SQL', 'V999__later.sql', 1, 'x', now(), 1, true from flyway_schema_history");
            assertThatThrownBy(() -> SpringApplication.run(EskizServer.class, RealServer.arguments(cluster.url())))
                    .rootCause()
                    .hasMessageContaining("the database is of version 999 and was made by a newer Eskiz");
            owner.update("delete from flyway_schema_history where version = '999'");
            int newest = owner.queryForObject("select max(version::int) from flyway_schema_history", Integer.class);
            owner.update("delete from flyway_schema_history where version = ?", Integer.toString(newest));
            assertThatThrownBy(() -> SpringApplication.run(EskizServer.class, RealServer.arguments(cluster.url())))
                    .rootCause()
                    .hasMessageContaining(
                            "the database is of version %d, this Eskiz needs version %d".formatted(newest - 1, newest));
        }
    }
}
