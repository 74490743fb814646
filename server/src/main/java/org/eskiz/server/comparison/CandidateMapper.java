package org.eskiz.server.comparison;

import static java.util.Objects.requireNonNullElse;

import java.math.BigDecimal;
import java.util.Collections;
import java.util.Comparator;
import java.util.Currency;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.eskiz.core.cable.Mechanics;
import org.eskiz.core.choice.Candidate;
import org.eskiz.core.choice.Money;
import org.eskiz.core.choice.Narrowing;
import org.eskiz.core.choice.Row;
import org.eskiz.server.catalogue.CableType;
import org.eskiz.server.catalogue.Catalogue;
import org.eskiz.server.catalogue.Mechanics.Flexing;
import org.eskiz.server.catalogue.Price;
import org.eskiz.server.catalogue.Source;
import org.eskiz.server.comparison.ComparisonResponse.RowsLeftOutResponse;
import org.eskiz.server.document.BandSpec;
import org.eskiz.server.document.CableSpec;
import org.eskiz.server.document.CandidateSpec;
import org.eskiz.server.document.DocumentMapper;
import org.eskiz.server.document.RatingsMapper;
import org.eskiz.server.document.RunElement;
import org.eskiz.server.document.ToleranceSpec;
import org.eskiz.server.store.Search;
import org.jspecify.annotations.Nullable;

/** The candidates of a request, each once, and where they go. */
final class CandidateMapper {

    /** Id of the row of a present cable that is written out and is no candidate itself. */
    private static final String PRESENT = "present";

    /** Of very many rows so many are shown. */
    private static final int MOST_SHOWN = 100;

    private final ComparisonRequest request;
    private final Catalogue catalogue;

    private final Map<String, Entry> entries = new LinkedHashMap<>();
    private final List<Integer> sections;
    private final Day day;
    private final Map<String, Entry> ofCatalogue;
    private List<String> present;
    private Narrowing narrowed;

    private CandidateMapper(ComparisonRequest request, Catalogue catalogue) {
        this.request = request;
        this.catalogue = catalogue;

        this.day = new Day(request.assessment().isWet(), requireNonNullElse(request.tolerance(), ToleranceSpec.USUAL));
        this.ofCatalogue = catalogue.once(day, CandidateMapper.madeOf(catalogue));
        this.sections = IntStream.range(0, request.run().size())
                .filter(i -> ComparisonValidator.isCandidateLine(request.run().get(i)))
                .boxed()
                .toList();
    }

    static CandidateMapper of(ComparisonRequest request, Catalogue catalogue) {
        var candidates = new CandidateMapper(request, catalogue);
        candidates.addAsked();
        candidates.addPresent();
        candidates.narrow();
        return candidates;
    }

    /** Those that are worth a row. */
    List<Candidate> all() {
        return narrowed.left();
    }

    /** The rows that are shown of a ledger: the first, and those that are worth it wherever they come. */
    List<Row> shown(List<Row> rows) {
        if (rows.size() <= Narrowing.FEW) {
            return rows;
        }
        return IntStream.range(0, rows.size())
                .filter(i -> i < MOST_SHOWN || isShown(rows.get(i)))
                .mapToObj(rows::get)
                .toList();
    }

    private boolean isShown(Row row) {
        return row.id().equals(Row.id(present())) || row.filling().stream().allMatch(this::stays);
    }

    /** What was named, what is a favourite and what stands there is worth a row in any case. */
    private boolean stays(Candidate c) {
        return !request.isOpen()
                || present.contains(c.id())
                || entries.get(c.id()).cableKey() == null
                || catalogue.isFavourite(c.id());
    }

    /** How many have no row, and why; null where all have one. */
    @Nullable
    RowsLeftOutResponse leftOut(int behind) {
        Map<Narrowing.Why, Integer> leftOut = narrowed.leftOut();
        return leftOut.isEmpty() && behind == 0
                ? null
                : new RowsLeftOutResponse(
                        leftOut.getOrDefault(Narrowing.Why.OTHER_IMPEDANCE, 0),
                        leftOut.getOrDefault(Narrowing.Why.SHEET_ENDS_BELOW, 0),
                        behind);
    }

    private void narrow() {
        List<Candidate> every = entries.values().stream().map(Entry::candidate).toList();
        double highestMHz = request.bands().stream()
                .mapToDouble(BandSpec::frequencyMHz)
                .max()
                .orElseThrow();
        narrowed = Narrowing.of(
                every,
                this::stays,
                entries.get(present.get(0)).candidate().cable().impedanceOhm(),
                highestMHz);
    }

    List<Integer> sections() {
        return sections;
    }

    Entry entry(String id) {
        return entries.get(id);
    }

    /** What stands in the sections now, one cable each. */
    List<Candidate> present() {
        return present.stream().map(id -> entries.get(id).candidate()).toList();
    }

    /** Every way to fill the sections that is a row: each cable throughout, and what stands there now. */
    List<List<Candidate>> fillings() {
        Stream<List<Candidate>> throughout = all().stream().map(c -> Collections.nCopies(sections.size(), c));
        // what stands there throughout is a candidate as well
        boolean isMix = present.stream().distinct().count() > 1;
        return (isMix ? Stream.concat(throughout, Stream.of(present())) : throughout).toList();
    }

    /** The cables of a row, among few or many; empty where there is no such row. */
    Optional<List<Candidate>> filling(String rowId) {
        return Stream.concat(
                        Stream.ofNullable(entries.get(rowId))
                                .map(e -> Collections.nCopies(sections.size(), e.candidate())),
                        Stream.of(present()))
                .filter(f -> Row.id(f).equals(rowId))
                .findFirst();
    }

    /** What a cable is called that is bought, a candidate or not. */
    String nameOf(Candidate bought) {
        Entry entry = entries.get(bought.id());
        return entry != null
                ? entry.name()
                : catalogue.cableType(bought.id()).map(t -> t.facts().name()).orElse(bought.id());
    }

    /** Whether its price is a sample. */
    boolean isSample(Candidate bought) {
        Entry entry = entries.get(bought.id());
        return entry != null
                ? entry.samplePrice()
                : catalogue
                        .cableType(bought.id())
                        .map(CandidateMapper::hasSamplePrice)
                        .orElse(false);
    }

    /** What a row is called: its cables, each once. */
    String name(List<Candidate> filling) {
        return filling.stream().map(c -> entries.get(c.id()).name()).distinct().collect(Collectors.joining(" + "));
    }

    /** How far the losses of a filling may be off: of its cables that which may be the farthest. */
    ComparisonResponse.ToleranceResponse tolerance(List<Candidate> filling) {
        Candidate farthest = filling.stream()
                .max(Comparator.comparingDouble(Candidate::tolerance))
                .orElseThrow();
        Source source = entries.get(farthest.id()).source();
        return new ComparisonResponse.ToleranceResponse(
                100 * farthest.tolerance(), source.provenance(), source.withinPercent() != null);
    }

    private void addAsked() {
        if (request.isOpen()) {
            Search search = Search.of(request.find());
            catalogue.offered().stream()
                    .filter(t -> search.isForAnything() || t.isFound(search.words()))
                    .forEach(this::add);
        }
        for (CandidateSpec asked : requireNonNullElse(request.candidates(), List.<CandidateSpec>of())) {
            if (asked.cableKey() != null) {
                add(catalogue.cableType(asked.cableKey()).orElseThrow());
            } else {
                add(asked.id(), asked.name(), asked.cable(), asked.price());
            }
        }
    }

    /** What is in the run now may be chosen too. */
    private void addPresent() {
        present = sections.stream()
                .map(i -> presentRow((RunElement.Line) request.run().get(i)))
                .toList();
    }

    private String presentRow(RunElement.Line line) {
        if (line.cableKey() != null) {
            add(catalogue.cableType(line.cableKey()).orElseThrow());
            return line.cableKey();
        }
        if (line.pieceId() != null) {
            return addPiece(line.pieceId());
        }
        return entries.values().stream()
                .filter(e -> line.cable().equals(e.written()))
                .map(e -> e.candidate().id())
                .findFirst()
                .orElseGet(() -> {
                    String id = line.id() == null || entries.containsKey(line.id()) ? PRESENT : line.id();
                    add(id, line.name(), line.cable(), null);
                    return id;
                });
    }

    private void add(CableType type) {
        entries.putIfAbsent(type.key(), ofCatalogue.get(type.key()));
    }

    /** What all types of a catalogue are as candidates: the same for every request of a day like that. */
    private static Function<Day, Map<String, Entry>> madeOf(Catalogue catalogue) {
        return day -> catalogue.cableTypes().stream().collect(Collectors.toMap(CableType::key, t -> entry(t, day)));
    }

    private static Entry entry(CableType type, Day day) {
        return new Entry(
                candidate(type, day),
                type.facts().name(),
                type.key(),
                null,
                null,
                hasSamplePrice(type),
                type.facts().source());
    }

    /** What a type as a candidate depends on besides itself. */
    private record Day(boolean isWet, ToleranceSpec tolerance) {}

    private String addPiece(UUID piece) {
        CableType cable = catalogue.piece(piece).orElseThrow().cable();
        entries.putIfAbsent(
                cable.key(),
                new Entry(
                        owned(candidate(cable)),
                        cable.facts().name(),
                        null,
                        piece,
                        null,
                        false,
                        cable.facts().source()));
        return cable.key();
    }

    private static Candidate owned(Candidate c) {
        return new Candidate(
                c.id(),
                c.cable(),
                c.balanced(),
                c.pricePerM(),
                c.soldInM(),
                c.mechanics(),
                c.ratings(),
                c.tolerance(),
                true);
    }

    private static boolean hasSamplePrice(CableType type) {
        return type.facts().price() != null && type.facts().price().priceIsSample();
    }

    /** A line that stays as it is, as something to be bought; it may be the same as one of the candidates. */
    Optional<Candidate> ofLine(RunElement.Line line) {
        return line.cable() == null
                ? line.typeIn(catalogue).map(this::candidate)
                : Optional.of(written(line.name() == null ? PRESENT : line.name(), line.cable(), null));
    }

    private Candidate candidate(CableType type) {
        return candidate(type, day);
    }

    private static Candidate candidate(CableType type, Day day) {
        CableType.Facts facts = type.facts();
        return new Candidate(
                type.key(),
                type.cableOn(day.isWet()),
                facts.construction().balanced(),
                price(facts.price()),
                facts.price() == null
                        ? OptionalDouble.empty()
                        : optional(facts.price().soldInM()),
                mechanics(facts),
                RatingsMapper.typical(facts),
                day.tolerance().of(facts.source()));
    }

    private void add(String id, String name, CableSpec cable, CandidateSpec.PriceRequest price) {
        entries.put(
                id,
                new Entry(
                        written(id, cable, price), name == null ? id : name, null, null, cable, false, cable.source()));
    }

    private Candidate written(String id, CableSpec cable, CandidateSpec.PriceRequest price) {
        return new Candidate(
                id,
                DocumentMapper.cable(cable),
                false,
                price(price),
                OptionalDouble.empty(),
                Mechanics.UNKNOWN,
                RatingsMapper.written(cable.ratings()),
                day.tolerance().of(cable.source()));
    }

    private static Mechanics mechanics(CableType.Facts facts) {
        var m = facts.mechanics();
        return new Mechanics(
                optional(m.outerDiameterMm()),
                optional(m.massGPerM()),
                optional(m.bendRadiusOnceMm()),
                optional(m.bendRadiusRepeatedMm()),
                optional(m.minInstallC()),
                Optional.ofNullable(m.sunResistant()),
                Optional.ofNullable(facts.keepsWaterOut()),
                Optional.ofNullable(m.directBurial()),
                Optional.ofNullable(m.flexing()).map(f -> f == Flexing.REPEATED));
    }

    private static OptionalDouble optional(Double value) {
        return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
    }

    private static Optional<Money> price(Price price) {
        return Optional.ofNullable(price)
                .filter(Price::hasFigure)
                .map(p -> new Money(p.pricePerM(), Currency.getInstance(p.priceCurrency())));
    }

    private static Optional<Money> price(CandidateSpec.PriceRequest price) {
        return Optional.ofNullable(price)
                .map(p -> new Money(BigDecimal.valueOf(p.perM()), Currency.getInstance(p.currency())));
    }

    /**
     * A candidate and what the screen calls it.
     *
     * @param cableKey its key; null for one that is not of the catalogue
     * @param pieceId of the locker; null for one that is not
     * @param written as the request has it; null for one of the catalogue or the locker
     * @param samplePrice whether its price is a sample
     * @param source where its losses come from
     */
    record Entry(
            Candidate candidate,
            String name,
            String cableKey,
            UUID pieceId,
            CableSpec written,
            boolean samplePrice,
            Source source) {

        /** As it stands in a section in place of what is there. */
        RunElement.Line inPlaceOf(RunElement.Line line) {
            return line.with(name, cableKey, pieceId, written);
        }
    }
}
