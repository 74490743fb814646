package org.eskiz.server.bench;

import jakarta.persistence.CollectionTable;
import jakarta.persistence.Column;
import jakarta.persistence.ElementCollection;
import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.HashSet;
import java.util.Locale;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.hibernate.annotations.Fetch;
import org.hibernate.annotations.FetchMode;

@Entity
@Table(name = "bench_test")
class BenchTestEntity {

    private static final LocalDate FIRST_DAY = LocalDate.of(1, 1, 1);

    @Id
    UUID id;

    UUID workshopId;
    boolean demo;
    Instant createdAt;

    /** When it went with the demo; null for a test that is there. */
    Instant removedAt;

    /** Number of its newest revision; with it, what the log is searched and put in order by. */
    Integer newestNumber;

    /** The day of the test; the first day there is where nobody noted one. */
    LocalDate listedOn;

    Instant storedAt;
    String method;
    String outcome;

    /** Piece, type and day in small letters. */
    String words;

    /** Types that were made of it. */
    @ElementCollection(fetch = FetchType.EAGER)
    @Fetch(FetchMode.SUBSELECT)
    @CollectionTable(name = "bench_made_type", joinColumns = @JoinColumn(name = "test_id"))
    @Column(name = "cable_type_id")
    Set<UUID> madeTypes = new HashSet<>();

    protected BenchTestEntity() {}

    static BenchTestEntity create(UUID id, UUID workshopId, boolean demo, Instant now) {
        BenchTestEntity test = new BenchTestEntity();
        test.id = id;
        test.workshopId = workshopId;
        test.demo = demo;
        test.createdAt = now;
        return test;
    }

    /** Lists it by its newest revision. */
    void list(BenchTestRevisionEntity newest, BenchTestRequest noted, StoredSummary day) {
        newestNumber = newest.key.number();
        listedOn = Objects.requireNonNullElse(noted.testedOn(), FIRST_DAY);
        storedAt = newest.storedAt;
        method = noted.method().name();
        outcome = day.outcome() == null ? null : day.outcome().name();
        words = Stream.of(noted.piece(), day.cableName(), noted.cableKey(), noted.testedOn())
                .filter(Objects::nonNull)
                .map(Object::toString)
                .collect(Collectors.joining(" "))
                .toLowerCase(Locale.ROOT);
    }
}
