package org.eskiz.server.locker;

import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.eskiz.core.bench.TestAgain;
import org.eskiz.core.bench.Upkeep;
import org.eskiz.core.kit.End;
import org.eskiz.server.bench.PieceTest;
import org.eskiz.server.catalogue.CableType;
import org.eskiz.server.locker.PieceResponse.EventKind;
import org.eskiz.server.locker.PieceResponse.MeasuredLawResponse;
import org.eskiz.server.locker.PieceResponse.PieceEventResponse;
import org.eskiz.server.locker.PieceSummary.AgeingResponse;
import org.eskiz.server.locker.PieceSummary.EarlierOutingsResponse;
import org.eskiz.server.locker.PieceSummary.EndResponse;
import org.eskiz.server.locker.PieceSummary.KeepingResponse;
import org.eskiz.server.locker.PieceSummary.MakeResponse;
import org.eskiz.server.locker.PieceSummary.PieceCondition;
import org.eskiz.server.locker.PieceSummary.PlanNameResponse;
import org.eskiz.server.locker.PieceSummary.StandingReasonResponse;
import org.eskiz.server.locker.PieceSummary.TestAgainResponse;
import org.eskiz.server.locker.PieceSummary.TrendResponse;
import org.eskiz.server.locker.PieceSummary.WearResponse;
import org.eskiz.server.operator.Settings;
import org.eskiz.server.operator.SettingsService;
import org.eskiz.server.plan.PlansOfPiecesService;
import org.springframework.stereotype.Component;

/** Writes pieces as answers. */
@Component
class PieceMapper {

    private static final double G_PER_KG = 1000;

    private final SettingsService settings;
    private final PlansOfPiecesService plans;
    private final Clock clock;

    PieceMapper(SettingsService settings, PlansOfPiecesService plans, Clock clock) {
        this.settings = settings;
        this.plans = plans;
        this.clock = clock;
    }

    LocalDate today() {
        return LocalDate.now(clock);
    }

    /** Summaries by label, whatever its capitals, numbers in it as numbers. */
    List<PieceSummary> summariesByLabel(List<PieceHistory> histories) {
        return summaries(histories.stream()
                .sorted(Comparator.comparing(h -> PieceLives.labelKey(h.piece().label)))
                .toList());
    }

    /** Summaries in the order of the pieces. */
    List<PieceSummary> summaries(List<PieceHistory> histories) {
        Settings.Upkeep asked = settings.get().upkeep();
        Map<UUID, List<PlansOfPiecesService.PlanName>> using =
                plans.of(histories.stream().map(h -> h.piece().id).toList());
        return histories.stream()
                .map(h -> summary(h, asked, using.getOrDefault(h.piece().id, List.of())))
                .toList();
    }

    private PieceSummary summary(PieceHistory h, Settings.Upkeep asked, List<PlansOfPiecesService.PlanName> using) {
        PieceEntity p = h.piece();
        Upkeep upkeep = h.upkeep(asked);
        List<StandingReasonResponse> reasons = h.reasons(upkeep, today());
        PieceCondition standing = PieceHistory.standing(reasons);
        return new PieceSummary(
                p.id,
                p.version,
                p.demo,
                p.label,
                make(h),
                new KeepingResponse(p.boughtOn, p.price, p.priceCurrency, p.keptAt, p.note),
                wear(h),
                standing,
                reasons,
                h.newest().map(PieceTest::on).orElse(null),
                ageing(h, upkeep),
                testAgain(standing, upkeep.testAgain()),
                using.stream()
                        .map(n -> new PlanNameResponse(n.id(), n.site(), n.name()))
                        .toList());
    }

    private static MakeResponse make(PieceHistory h) {
        return new MakeResponse(
                h.type().map(CableType::key).orElse(null),
                h.type().map(t -> t.facts().name()).orElse(null),
                h.piece().lengthM,
                end(h.piece().near()),
                end(h.piece().far()),
                massKg(h));
    }

    private static WearResponse wear(PieceHistory h) {
        return new WearResponse(
                h.piece().retiredOn,
                h.life().outSince(),
                h.life().outTo(),
                h.piece().outBy,
                h.allOutings().size(),
                (int) h.allOutings().stream().filter(TestAgain.Outing::isHard).count(),
                h.piece()
                        .earlier()
                        .map(e -> new EarlierOutingsResponse(e.count(), e.hard(), e.from(), e.until()))
                        .orElse(null));
    }

    private static AgeingResponse ageing(PieceHistory h, Upkeep upkeep) {
        return new AgeingResponse(
                h.life().referenceMHz(),
                boxed(upkeep.percentOfSheet()),
                boxed(upkeep.retireAtPercent()),
                boxed(upkeep.moreThanFirstDb()),
                upkeep.ageing()
                        .map(a -> new TrendResponse(
                                a.percentPerYear(),
                                a.percentAtLastTest(),
                                a.interval().map(i -> i.least()).orElse(null),
                                a.interval().map(i -> i.most()).orElse(null)))
                        .orElse(null));
    }

    private static TestAgainResponse testAgain(PieceCondition standing, TestAgain again) {
        return standing == PieceCondition.RETIRED
                ? TestAgainResponse.never()
                : new TestAgainResponse(again.on(), again.because());
    }

    static Double massKg(PieceHistory h) {
        return h.type()
                .map(t -> t.facts().mechanics().massGPerM())
                .map(g -> g * h.piece().lengthM / G_PER_KG)
                .orElse(null);
    }

    private static EndResponse end(Optional<End> end) {
        return end.map(EndResponse::of).orElse(null);
    }

    /**
     * All that happened to a piece, the earliest first.
     *
     * @param tests that count
     */
    record WholeLife(List<PieceTest> tests, List<OutingEntity> outings, List<PieceChangeEntity> changes) {}

    PieceResponse whole(PieceHistory h, WholeLife life, List<String> kits) {
        List<PieceEventResponse> events = new ArrayList<>();
        events.add(event(
                        h.piece().boughtOn == null ? EventKind.ENTERED : EventKind.BOUGHT,
                        null,
                        h.piece().since())
                .build());
        life.outings().forEach(o -> events.add(outing(o)));
        life.tests().forEach(t -> events.add(test(t, h)));
        life.changes().forEach(c -> events.add(change(c)));
        events.sort(Comparator.comparing(PieceEventResponse::on));
        return new PieceResponse(
                summaries(List.of(h)).get(0),
                events,
                h.measuredLaw()
                        .map(a -> new MeasuredLawResponse(
                                a.k1(),
                                a.k2(),
                                h.newest().orElseThrow().testId(),
                                h.newest().orElseThrow().on()))
                        .orElse(null),
                kits);
    }

    private static PieceEventResponse outing(OutingEntity o) {
        Event event = event(EventKind.OUTING, o.takenByMovement, o.takenOn);
        event.until = o.putAwayOn;
        event.to = o.takenTo;
        event.by = o.takenBy;
        event.bore = o;
        return event.build();
    }

    private static PieceEventResponse test(PieceTest t, PieceHistory h) {
        Event event = event(EventKind.TEST, t.testId(), t.on());
        event.test = t;
        event.tested = h.life().atReference(t);
        event.percentOfSheet = event.tested
                .flatMap(x -> x.expectedDb().isEmpty()
                        ? Optional.empty()
                        : Optional.of(x.lossDb() / x.expectedDb().getAsDouble() * 100))
                .orElse(null);
        return event.build();
    }

    private static PieceEventResponse change(PieceChangeEntity c) {
        Event event = event(EventKind.valueOf(c.kind.name()), c.id, c.changedOn);
        event.change = c;
        event.by = c.doneBy;
        return event.build();
    }

    private static Event event(EventKind kind, UUID id, LocalDate on) {
        return new Event(kind, id, on);
    }

    /** Gathers an event, of which most kinds say little. */
    private static final class Event {
        private final EventKind kind;
        private final UUID id;
        private final LocalDate on;
        private LocalDate until;
        private String to;
        private String by;
        private OutingEntity bore;
        private PieceChangeEntity change;
        private PieceTest test;
        private Optional<Upkeep.Tested> tested = Optional.empty();
        private Double percentOfSheet;

        Event(EventKind kind, UUID id, LocalDate on) {
            this.kind = kind;
            this.id = id;
            this.on = on;
        }

        PieceEventResponse build() {
            return new PieceEventResponse(
                    kind,
                    id,
                    on,
                    until,
                    to,
                    by,
                    bore != null && bore.wet,
                    bore != null && bore.frozen,
                    bore != null && bore.trodden,
                    change == null ? null : change.lengthBeforeM,
                    change == null ? null : change.lengthAfterM,
                    change == null ? null : change.note,
                    tested.map(Upkeep.Tested::lossDb).orElse(null),
                    percentOfSheet,
                    test == null ? null : test.outcome().orElse(null),
                    test == null ? List.of() : test.causes());
        }
    }

    private static Double boxed(OptionalDouble value) {
        return value.isEmpty() ? null : Double.valueOf(value.getAsDouble());
    }
}
