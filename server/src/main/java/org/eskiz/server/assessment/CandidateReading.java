package org.eskiz.server.assessment;

import java.math.BigDecimal;
import java.util.Currency;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import org.eskiz.core.choice.Candidate;
import org.eskiz.core.choice.Money;
import org.eskiz.server.catalogue.CableType;
import org.eskiz.server.catalogue.Catalogue;

/** The candidates of a request, each once, and where they go. */
final class CandidateReading {

    /** Id of the row of a present cable that is written out and is no candidate itself. */
    private static final String PRESENT = "present";

    private final ComparisonRequest request;
    private final Catalogue catalogue;
    private final CoreReading reading;
    private final Map<String, Entry> entries = new LinkedHashMap<>();
    private final List<Integer> sections;
    private String presentId;

    private CandidateReading(ComparisonRequest request, Catalogue catalogue) {
        this.request = request;
        this.catalogue = catalogue;
        this.reading = new CoreReading(catalogue);
        this.sections = IntStream.range(0, request.run().size())
                .filter(i -> ComparisonCheck.isCandidateLine(request.run().get(i)))
                .boxed()
                .toList();
    }

    static CandidateReading of(ComparisonRequest request, Catalogue catalogue) {
        var candidates = new CandidateReading(request, catalogue);
        candidates.addAsked();
        candidates.addPresent();
        return candidates;
    }

    List<Candidate> all() {
        return entries.values().stream().map(Entry::candidate).toList();
    }

    List<Integer> sections() {
        return sections;
    }

    String presentId() {
        return presentId;
    }

    Entry entry(String id) {
        return entries.get(id);
    }

    /** The connector of every joint that touches one of the sections, where it is a known one. */
    List<Optional<Money>> connectorPrices() {
        return IntStream.range(0, request.run().size())
                .filter(i -> sections.contains(i - 1) || sections.contains(i + 1))
                .mapToObj(i -> request.run().get(i))
                .flatMap(e -> e instanceof ElementRequest.Joint joint
                        ? catalogue.connector(String.valueOf(joint.connectorKey())).stream()
                        : java.util.stream.Stream.empty())
                .map(c -> Optional.of(new Money(c.price(), Currency.getInstance(c.priceCurrency()))))
                .toList();
    }

    private void addAsked() {
        if (request.candidates() == null || request.candidates().isEmpty()) {
            catalogue.cableTypes().forEach(this::add);
            return;
        }
        for (CandidateRequest asked : request.candidates()) {
            if (asked.cableKey() != null) {
                add(catalogue.cableType(asked.cableKey()).orElseThrow());
            } else {
                add(asked.id(), asked.name(), asked.cable(), asked.price());
            }
        }
    }

    /** The present cable is always a row; where several lines are candidates and differ, each of theirs is. */
    private void addPresent() {
        List<String> present = sections.stream()
                .map(i -> presentRow((ElementRequest.Line) request.run().get(i)))
                .distinct()
                .toList();
        presentId = present.size() == 1 ? present.get(0) : null;
    }

    private String presentRow(ElementRequest.Line line) {
        if (line.cableKey() != null) {
            add(catalogue.cableType(line.cableKey()).orElseThrow());
            return line.cableKey();
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
        CableType.Facts facts = type.facts();
        Double mass = facts.mechanics().massGPerM();
        var candidate = new Candidate(
                type.key(),
                type.fittedCable(),
                facts.balanced(),
                price(facts.price()),
                mass == null ? OptionalDouble.empty() : OptionalDouble.of(mass));
        boolean sample = facts.price() != null && facts.price().sample();
        entries.putIfAbsent(type.key(), new Entry(candidate, facts.name(), type.key(), null, sample));
    }

    private void add(String id, String name, CableRequest cable, CandidateRequest.PriceRequest price) {
        var candidate = new Candidate(id, reading.cable(null, cable), false, price(price), OptionalDouble.empty());
        entries.put(id, new Entry(candidate, name == null ? id : name, null, cable, false));
    }

    private static Optional<Money> price(CableType.Price price) {
        return Optional.ofNullable(price).map(p -> new Money(p.perM(), Currency.getInstance(p.currency())));
    }

    private static Optional<Money> price(CandidateRequest.PriceRequest price) {
        return Optional.ofNullable(price)
                .map(p -> new Money(BigDecimal.valueOf(p.perM()), Currency.getInstance(p.currency())));
    }

    /**
     * A candidate and what the screen calls it.
     *
     * @param cableKey its key; null for one written out
     * @param written as the request has it; null for one of the catalogue
     * @param samplePrice whether its price is a sample
     */
    record Entry(Candidate candidate, String name, String cableKey, CableRequest written, boolean samplePrice) {

        /** As it would stand in a run. */
        ElementRequest.Line asLine() {
            return new ElementRequest.Line(null, name, cableKey, written, null, true);
        }
    }
}
