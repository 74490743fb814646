package org.eskiz.server.happening;

import java.nio.charset.StandardCharsets;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.DateTimeException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.eskiz.server.operator.NameOf;
import org.eskiz.server.operator.WorkshopService;
import org.eskiz.server.problem.InvalidRequestException;
import org.eskiz.server.store.KeysetOrder;
import org.eskiz.server.store.KeysetOrder.Part;
import org.eskiz.server.store.ListPage;
import org.eskiz.server.store.Search;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;

/** Reads what happened, the newest first, in parts. */
@Service
class HappeningService {

    private static final String FROM = """
            from happening h left join operator o on o.id = h.done_by
            where h.workshop_id = ?""";

    private static final Base64.Encoder TO_TEXT = Base64.getUrlEncoder().withoutPadding();

    private final JdbcTemplate sql;
    private final WorkshopService workshops;

    HappeningService(JdbcTemplate sql, WorkshopService workshops) {
        this.sql = sql;
        this.workshops = workshops;
    }

    /** What is looked for; null for anything. */
    record Wanted(
            HappeningResponse.@Nullable Kind kind, @Nullable UUID person, Search find) {}

    private record Item(HappeningResponse happening, String cursor) {}

    ListPage<HappeningResponse> list(Wanted wanted, Part part) {
        List<Object> values = new ArrayList<>();
        String where = where(wanted, values);
        if (part.after() != null) {
            where += " and (h.at, h.kind || h.id) < (?, ?)";
            values.addAll(cursor(part.after()));
        }
        values.add(part.limit() + 1);
        List<Item> found = sql.query(
                "select h.*, " + NameOf.OPERATOR + " as person " + where
                        + " order by h.at desc, h.kind || h.id desc limit ?",
                (row, n) -> item(row),
                values.toArray());
        List<Item> shown = found.subList(0, Math.min(found.size(), part.limit()));
        Optional<String> next = found.size() > part.limit()
                ? Optional.of(shown.get(shown.size() - 1).cursor())
                : Optional.empty();
        return new ListPage<>(shown.stream().map(Item::happening).toList(), next);
    }

    long count(Wanted wanted) {
        List<Object> values = new ArrayList<>();
        String where = where(wanted, values);
        Long count = sql.queryForObject("select count(*) " + where, Long.class, values.toArray());
        return count == null ? 0 : count;
    }

    private String where(Wanted wanted, List<Object> values) {
        StringBuilder where = new StringBuilder(FROM);
        values.add(workshops.current());
        if (wanted.kind() != null) {
            where.append(" and h.kind = ?");
            values.add(wanted.kind().name());
        }
        if (wanted.person() != null) {
            where.append(" and h.done_by = ?");
            values.add(wanted.person());
        }
        for (String word : wanted.find().words()) {
            where.append(" and position(? in lower(concat_ws(' ', h.subject, h.detail, " + NameOf.OPERATOR + "))) > 0");
            values.add(word);
        }
        return where.toString();
    }

    private static Item item(ResultSet row) throws SQLException {
        Instant at = row.getTimestamp("at").toInstant();
        var kind = HappeningResponse.Kind.valueOf(row.getString("kind"));
        var happening = new HappeningResponse(
                kind + row.getString("id"),
                kind,
                at,
                row.getString("person"),
                row.getObject("subject_id", UUID.class),
                row.getString("subject"),
                row.getString("detail"));
        String last = at + " " + happening.id();
        return new Item(happening, TO_TEXT.encodeToString(last.getBytes(StandardCharsets.UTF_8)));
    }

    private static List<Object> cursor(String after) {
        try {
            String last = new String(Base64.getUrlDecoder().decode(after), StandardCharsets.UTF_8);
            int space = last.indexOf(' ');
            return List.of(
                    Timestamp.from((Instant) KeysetOrder.instant(last.substring(0, space))),
                    KeysetOrder.text(last.substring(space + 1)));
        } catch (IllegalArgumentException | DateTimeException | IndexOutOfBoundsException notOurs) {
            throw new InvalidRequestException(
                    "after", "must be what the link to the next part of this list said, not " + after);
        }
    }
}
