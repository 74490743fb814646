package org.eskiz.server.backup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.BufferedReader;
import java.io.BufferedWriter;
import java.io.IOException;
import java.io.StringReader;
import java.io.StringWriter;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What is taken out of a script, and what is refused in one. */
class PlainBackupTest {

    private static final String SCRIPT = """
            --
            -- PostgreSQL database dump
            --

            \\restrict QyNIUB0WTbM1ehu8XCs2glBCDCnfT2y9

            SET statement_timeout = 0;
            SET client_encoding = 'UTF8';
            SELECT pg_catalog.set_config('search_path', '', false);

            CREATE FUNCTION public.refuse_change() RETURNS trigger
                LANGUAGE plpgsql
                AS $$
            begin
                raise exception '% is append-only', tg_table_name;
            end $$;

            COPY public.flyway_schema_history (installed_rank, version, success) FROM stdin;
            1\t1\tt
            2\t2\tt
            3\t3\tf
            \\.

            COPY public.operator (id, name, created_at, demo_loaded_at) FROM stdin;
            00000000-0000-4000-8000-000000000001\toperator; drop table plan;\t2026-01-01 00:00:00+00\t\\N
            \\.

            """;

    @Test
    void itsRowsAreTakenOutAndItsVersionIsTold() throws IOException {
        StringWriter rows = new StringWriter();
        assertThat(read(SCRIPT + "\\unrestrict QyNIUB0WTbM1ehu8XCs2glBCDCnfT2y9\n", rows))
                .isEqualTo(2);
        assertThat(rows).hasToString("""
                COPY public.operator (id, name, created_at, demo_loaded_at) FROM stdin;
                00000000-0000-4000-8000-000000000001\toperator; drop table plan;\t2026-01-01 00:00:00+00\t\\N
                \\.
                """);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "\\! touch /tmp/was-here",
                "\\copy plan from program 'touch /tmp/was-here'",
                "\\restrict $(touch /tmp/was-here)",
                "COPY public.plan (id) FROM program 'touch /tmp/was-here';",
                "COPY public.plan TO program 'touch /tmp/was-here';",
                "COPY pg_catalog.pg_authid (rolname) FROM stdin;",
                "CREATE FUNCTION public.refuse_change() RETURNS trigger AS $$ begin perform 1; end $$;",
                "ALTER ROLE eskiz_app SUPERUSER;",
                "DROP TABLE public.plan;",
                "SET role = postgres;",
                "SET search_path = 'x'; DROP TABLE public.plan;",
                "SELECT pg_catalog.set_config('search_path', 'evil', false);",
                "CREATE EXTENSION plpython3u;",
                "DO $$ begin execute 'x'; end $$;",
                "select 1 \\gexec"
            })
    void whatABackupOfOursDoesNotContainIsRefused(String more) {
        assertThatThrownBy(() -> read(SCRIPT + more + "\n;\n", new StringWriter()))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("line 2");
    }

    @Test
    void oneThatIsCutOffIsRefused() {
        assertThatThrownBy(() -> read(SCRIPT.substring(0, SCRIPT.length() - 5), new StringWriter()))
                .hasMessageContaining("cut off");
        assertThatThrownBy(() -> read("", new StringWriter())).hasMessageContaining("cut off");
    }

    private static int read(String script, StringWriter rows) throws IOException {
        try (BufferedWriter out = new BufferedWriter(rows)) {
            return PlainBackup.read(new BufferedReader(new StringReader(script)), out);
        }
    }
}
