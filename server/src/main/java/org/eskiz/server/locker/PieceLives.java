package org.eskiz.server.locker;

import java.nio.charset.StandardCharsets;
import java.text.Normalizer;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.eskiz.core.bench.Upkeep;
import org.eskiz.server.bench.PieceTest;
import org.eskiz.server.bench.PieceTests;
import org.eskiz.server.catalogue.Catalogue;
import org.eskiz.server.catalogue.CatalogueService;
import org.eskiz.server.operator.Settings;
import org.eskiz.server.operator.SettingsService;
import org.eskiz.server.operator.WorkshopService;
import org.eskiz.server.web.Client;
import org.springframework.stereotype.Component;
import org.springframework.util.DigestUtils;
import tools.jackson.databind.PropertyNamingStrategies;
import tools.jackson.databind.annotation.JsonNaming;
import tools.jackson.databind.json.JsonMapper;

/**
 * What is known of pieces, in short. To read every test and outing of a large locker takes long: what they come to is kept
 * beside the piece until something else becomes known of it, which the database counts.
 */
@Component
class PieceLives {

    /** Tests are much text to read: so many pieces' are in the memory at once. */
    private static final int AT_A_TIME = 400;

    /** To be counted up when something else is kept, or by another rule: what an earlier version kept is worked out anew. */
    private static final int RULES = 1;

    /** Digits of the longest number in a label that is put in order as a number. */
    private static final int DIGITS = 12;

    private static final Pattern NUMBER = Pattern.compile("\\d+");

    private static final Pattern MARKS = Pattern.compile("\\p{M}+");

    private final PieceLifeRepository kept;
    private final OutingRepository outings;
    private final PieceTests tests;
    private final CatalogueService catalogues;
    private final SettingsService settings;
    private final WorkshopService workshops;
    private final JsonMapper json;
    private final Clock clock;

    PieceLives(
            PieceLifeRepository kept,
            OutingRepository outings,
            PieceTests tests,
            CatalogueService catalogues,
            SettingsService settings,
            WorkshopService workshops,
            JsonMapper json,
            Clock clock) {
        this.kept = kept;
        this.outings = outings;
        this.tests = tests;
        this.catalogues = catalogues;
        this.settings = settings;
        this.workshops = workshops;
        this.json = json;
        this.clock = clock;
    }

    /** Of every piece that is there; all of them are kept then. */
    Map<UUID, PieceLife> all() {
        keepUp();
        return read(kept.allStanding(workshops.current(), basis()));
    }

    /** Of some. */
    Map<UUID, PieceLife> of(Collection<UUID> pieces) {
        Map<UUID, PieceLife> lives = read(kept.standing(pieces, basis()));
        List<UUID> unkept = pieces.stream().filter(id -> !lives.containsKey(id)).toList();
        if (!unkept.isEmpty()) {
            lives.putAll(workedOut(unkept));
        }
        return lives;
    }

    private Map<UUID, PieceLife> read(List<PieceLifeEntity> some) {
        return some.stream().collect(Collectors.toMap(l -> l.pieceId, l -> json.readValue(l.life, PieceLife.class)));
    }

    private Map<UUID, PieceLife> workedOut(List<UUID> pieces) {
        Map<UUID, List<PieceTest>> testsOf = tests.of(pieces, workshops.current(), catalogues.current());
        Map<UUID, List<OutingEntity>> outingsOf =
                outings.findByPieceIdInOrderByTakenOn(pieces).stream().collect(Collectors.groupingBy(o -> o.pieceId));
        Map<UUID, PieceLife> lives = new HashMap<>();
        for (UUID piece : pieces) {
            lives.put(
                    piece,
                    PieceLife.of(testsOf.getOrDefault(piece, List.of()), outingsOf.getOrDefault(piece, List.of())));
        }
        return lives;
    }

    /** Works out what is not kept, and says of all how urgent they are today. No connection is held while it works. */
    void keepUp() {
        UUID workshop = workshops.current();
        LocalDate today = LocalDate.now(clock);
        Settings.Upkeep asked = settings.get().upkeep();
        String basis = basis(asked);
        List<PieceEntity> gone = kept.gone(workshop, basis);
        for (int from = 0; from < gone.size(); from += AT_A_TIME) {
            Client.requireListening();
            List<PieceEntity> some = gone.subList(from, Math.min(gone.size(), from + AT_A_TIME));
            Map<UUID, PieceLife> lives = workedOut(some.stream().map(p -> p.id).toList());
            List<Kept> rows = some.stream()
                    .map(p -> row(p, lives.get(p.id), asked, basis))
                    .toList();
            kept.keep(json.writeValueAsString(rows), today);
        }
        kept.turn(workshop, today);
    }

    /** What lives rest on besides what was noted of the piece. */
    private String basis() {
        return basis(settings.get().upkeep());
    }

    private String basis(Settings.Upkeep asked) {
        Catalogue catalogue = catalogues.current();
        String connectors = catalogue.connectors().stream()
                .map(c -> c.key() + " " + c.revision())
                .collect(Collectors.joining(","));
        return DigestUtils.md5DigestAsHex((asked + connectors + RULES).getBytes(StandardCharsets.UTF_8));
    }

    private static Kept row(PieceEntity p, PieceLife life, Settings.Upkeep asked, String basis) {
        var history = new PieceHistory(p, Optional.empty(), life);
        Upkeep upkeep = history.upkeep(asked);
        return new Kept(
                p.id,
                p.workshopId,
                p.touched,
                basis,
                life,
                p.demo,
                p.cableTypeId,
                p.lengthM,
                labelKey(p.label),
                Stream.of(p.label, p.keptAt, life.outTo(), p.note)
                        .filter(text -> text != null)
                        .collect(Collectors.joining(" "))
                        .toLowerCase(Locale.ROOT),
                life.outSince() != null,
                p.retiredOn != null,
                history.isFailing(upkeep),
                upkeep.testAgain().on(),
                history.wellAgedOn().orElse(null));
    }

    /** A label as it is put in order: whatever its capitals and accents, 9 before 10. */
    static String labelKey(String label) {
        String plain = MARKS.matcher(Normalizer.normalize(label.strip(), Normalizer.Form.NFKD))
                .replaceAll("")
                .toLowerCase(Locale.ROOT);
        return NUMBER.matcher(plain)
                .replaceAll(n -> "0".repeat(Math.max(0, DIGITS - n.group().length())) + n.group());
    }

    /** A row of what is kept, as the database reads it. */
    @JsonNaming(PropertyNamingStrategies.SnakeCaseStrategy.class)
    private record Kept(
            UUID pieceId,
            UUID workshopId,
            long touched,
            String basis,
            PieceLife life,
            boolean demo,
            UUID cableTypeId,
            double lengthM,
            String labelKey,
            String words,
            boolean isOut,
            boolean isRetired,
            boolean isFailing,
            LocalDate dueOn,
            LocalDate wellAgedOn) {}
}
