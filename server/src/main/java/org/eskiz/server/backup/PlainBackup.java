package org.eskiz.server.backup;

import java.io.BufferedReader;
import java.io.BufferedWriter;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * Reads a backup of the first Eskiz, which was a script of SQL: {@code PlainBackup SCRIPT ROWS}. A script can do anything, so
 * it is not run. It is gone through line by line, everything that such a backup of ours does not contain is refused, and only
 * its rows are written out, for a schema that is made anew. Tells the version of its schema.
 */
public final class PlainBackup {

    /** Statements that pg_dump wrote of our schemas 1 to 6, one a line with single spaces. */
    private static final String STATEMENTS = "/backup/statements-of-plain-backups.sql";

    private static final Pattern SETTING = Pattern.compile("SET (statement_timeout|lock_timeout"
            + "|idle_in_transaction_session_timeout|transaction_timeout|client_encoding|standard_conforming_strings"
            + "|check_function_bodies|xmloption|client_min_messages|row_security|default_tablespace"
            + "|default_table_access_method) = ('[A-Za-z0-9-]*'|[a-z0-9]+);");

    private static final Pattern ROWS_OF =
            Pattern.compile("COPY public\\.([a-z_0-9]+) \\((\"?[a-z_0-9]+\"?(?:, \"?[a-z_0-9]+\"?)*)\\) FROM stdin;");

    /** pg_dump writes these around what it dumps; they are taken off, and nothing is run between them. */
    private static final Pattern GUARD = Pattern.compile("\\\\(un)?restrict [A-Za-z0-9]+");

    private static final Pattern TABLE = Pattern.compile("CREATE TABLE public\\.([a-z_0-9]+) \\(.*");
    private static final String END_OF_ROWS = "\\.";
    private static final String HISTORY = "flyway_schema_history";
    private static final int SHOWN = 60;

    private final Set<String> known;
    private final Set<String> tables;
    private final List<String> statement = new ArrayList<>();
    private boolean inFunction;
    private int line;
    private int version;

    private PlainBackup() {
        this.known = statements();
        this.tables = known.stream()
                .map(TABLE::matcher)
                .filter(Matcher::matches)
                .map(m -> m.group(1))
                .collect(Collectors.toUnmodifiableSet());
    }

    public static void main(String[] args) throws IOException {
        try (BufferedReader in = Files.newBufferedReader(Path.of(args[0]));
                BufferedWriter out = Files.newBufferedWriter(Path.of(args[1]))) {
            System.out.println(read(in, out));
        } catch (IllegalArgumentException e) {
            System.err.println(e.getMessage());
            System.exit(1);
        }
    }

    /**
     * Takes the rows out of a script.
     *
     * @return the version of its schema
     * @throws IllegalArgumentException when there is anything in it that is no backup of ours, with the line
     */
    static int read(BufferedReader script, BufferedWriter rows) throws IOException {
        PlainBackup backup = new PlainBackup();
        backup.readAll(script, rows);
        if (!backup.statement.isEmpty() || backup.version == 0) {
            throw new IllegalArgumentException("it is cut off after line " + backup.line);
        }
        return backup.version;
    }

    private void readAll(BufferedReader script, BufferedWriter rows) throws IOException {
        for (String text = script.readLine(); text != null; text = script.readLine()) {
            line++;
            if (!statement.isEmpty()) {
                goOn(text);
            } else if (text.startsWith("\\") && !GUARD.matcher(text).matches()) {
                throw refused("a command of psql", text);
            } else if (ROWS_OF.matcher(text).matches()) {
                copy(text, script, rows);
            } else if (!text.isBlank() && !text.startsWith("--") && !text.startsWith("\\")) {
                goOn(text);
            }
        }
    }

    private void goOn(String text) {
        statement.add(text);
        inFunction ^= text.split("\\$\\$", -1).length % 2 == 0;
        if (!inFunction && text.endsWith(";")) {
            String whole = String.join(" ", statement).replaceAll("\\s+", " ").strip();
            if (!known.contains(whole) && !SETTING.matcher(whole).matches()) {
                throw refused("a statement that no backup of Eskiz contains", whole);
            }
            statement.clear();
        }
    }

    private void copy(String header, BufferedReader script, BufferedWriter rows) throws IOException {
        Matcher of = ROWS_OF.matcher(header);
        if (!of.matches() || !tables.contains(of.group(1))) {
            throw refused("rows of a table that Eskiz does not have", header);
        }
        boolean isHistory = of.group(1).equals(HISTORY);
        List<String> columns = Arrays.asList(of.group(2).split(", "));
        if (!isHistory) {
            write(header, rows);
        }
        for (String row = next(script); !row.equals(END_OF_ROWS); row = next(script)) {
            if (isHistory) {
                count(row.split("\t", -1), columns);
            } else {
                write(row, rows);
            }
        }
        if (!isHistory) {
            write(END_OF_ROWS, rows);
        }
    }

    private String next(BufferedReader script) throws IOException {
        line++;
        String row = script.readLine();
        if (row == null) {
            throw new IllegalArgumentException("it is cut off after line " + line);
        }
        return row;
    }

    private void count(String[] migration, List<String> columns) {
        String number = migration[columns.indexOf("version")];
        if (number.matches("\\d{1,4}") && migration[columns.indexOf("success")].equals("t")) {
            version = Math.max(version, Integer.parseInt(number));
        }
    }

    private static void write(String text, BufferedWriter rows) throws IOException {
        rows.write(text);
        rows.write('\n');
    }

    private IllegalArgumentException refused(String what, String text) {
        String shown = text.length() > SHOWN ? text.substring(0, SHOWN) + "…" : text;
        return new IllegalArgumentException(String.format(Locale.ROOT, "line %d is %s: %s", line, what, shown));
    }

    private static Set<String> statements() {
        try (InputStream in = PlainBackup.class.getResourceAsStream(STATEMENTS);
                BufferedReader lines = new BufferedReader(new InputStreamReader(in, StandardCharsets.UTF_8))) {
            return lines.lines().collect(Collectors.toUnmodifiableSet());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
