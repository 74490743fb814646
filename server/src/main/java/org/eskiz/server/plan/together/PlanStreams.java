package org.eskiz.server.plan.together;

import io.micrometer.core.instrument.Gauge;
import io.micrometer.core.instrument.MeterRegistry;
import io.micrometer.core.instrument.binder.MeterBinder;
import java.io.IOException;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.eskiz.server.operator.AtWork;
import org.eskiz.server.plan.PlanLookup;
import org.eskiz.server.problem.BusyException;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.SmartLifecycle;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** Those who have a plan open at this server, and are told what happens to it. */
@Component
class PlanStreams implements SmartLifecycle, MeterBinder {

    /** Whoever may not look any more does not for longer than this. */
    private static final Duration LIFE = Duration.ofMinutes(5);

    /** Often enough that nobody along the way takes the connection for dead. */
    private static final Duration BEAT = Duration.ofSeconds(20);

    private static final int MOST = 1000;
    private static final int MOST_OF_ONE = 30;
    private static final int FULL_FOR_S = 30;

    private static final Logger LOG = LoggerFactory.getLogger(PlanStreams.class);

    private final PlanLookup plans;
    private final PlanVisits visits;
    private final Map<UUID, Stream> streams = new ConcurrentHashMap<>();

    /** A reader that takes nothing holds one of these for as long as the connection waits, and no request. */
    private final ScheduledExecutorService telling = Executors.newScheduledThreadPool(4, r -> {
        Thread thread = new Thread(r, "plan-events");
        thread.setDaemon(true);
        return thread;
    });

    private volatile boolean running;

    PlanStreams(PlanLookup plans, PlanVisits visits) {
        this.plans = plans;
        this.visits = visits;
    }

    @Override
    public void bindTo(MeterRegistry metrics) {
        Gauge.builder("eskiz.plans.followed", streams, Map::size).register(metrics);
    }

    private record Stream(UUID visit, UUID plan, UUID operator, SseEmitter emitter) {}

    /** Tells somebody from now on what happens to a plan. */
    SseEmitter open(UUID plan, AtWork reader) {
        long version = plans.versionOf(plan);
        long own = streams.values().stream()
                .filter(s -> s.operator().equals(reader.operator()))
                .count();
        if (!running || streams.size() >= MOST || own >= MOST_OF_ONE) {
            throw new BusyException("as many plans are open as this server follows", FULL_FOR_S);
        }
        var stream = new Stream(UUID.randomUUID(), plan, reader.operator(), new SseEmitter(LIFE.toMillis()));
        stream.emitter().onCompletion(() -> forgetSoon(stream));
        stream.emitter().onTimeout(stream.emitter()::complete);
        visits.begin(stream.visit(), plan, reader.operator());
        streams.put(stream.visit(), stream);
        // the answer begins with something, and says what was missed since the plan was read
        telling.execute(() -> send(stream, "look", new PlanEvents.Look(version)));
        telling.execute(() -> tellWhoIsHere(plan));
        return stream.emitter();
    }

    /** @param by whose name stands on it, or null */
    void tellSaved(UUID plan, long version, @Nullable UUID by) {
        List<Stream> at = at(plan);
        if (!at.isEmpty()) {
            var saved = new PlanEvents.Saved(version, by == null ? null : visits.nameOf(by));
            at.forEach(stream -> telling.execute(() -> send(stream, "saved", saved)));
        }
    }

    void tellChosen(UUID plan) {
        at(plan).forEach(stream -> telling.execute(() -> send(stream, "chosen", new PlanEvents.Chosen())));
    }

    void tellWhoIsHere(UUID plan) {
        List<Stream> at = at(plan);
        if (!at.isEmpty()) {
            List<PlanVisits.Visit> here = visits.of(plan);
            at.forEach(stream -> telling.execute(() -> send(stream, "here", othersThan(stream, here))));
        }
    }

    /** After this server was deaf for a while. */
    void tellToLook() {
        streams.values().forEach(stream -> telling.execute(() -> send(stream, "look", new PlanEvents.Look(null))));
    }

    private static PlanEvents.Here othersThan(Stream stream, List<PlanVisits.Visit> here) {
        return new PlanEvents.Here(here.stream()
                .filter(visit -> !visit.id().equals(stream.visit()))
                .map(PlanVisits.Visit::person)
                .toList());
    }

    private List<Stream> at(UUID plan) {
        return streams.values().stream().filter(s -> s.plan().equals(plan)).toList();
    }

    private static void send(Stream stream, String what, Object event) {
        try {
            stream.emitter().send(SseEmitter.event().name(what).data(event));
        } catch (IOException | IllegalStateException gone) {
            stream.emitter().completeWithError(gone);
        }
    }

    /** Not by the thread of the connection that has gone. */
    private void forgetSoon(Stream stream) {
        if (running) {
            telling.execute(() -> forget(stream));
        }
    }

    private void forget(Stream stream) {
        if (streams.remove(stream.visit()) != null) {
            visits.end(stream.visit());
        }
    }

    /** Finds out who has gone without a word, at this server and at those that have gone themselves. */
    private void beat() {
        try {
            streams.values().forEach(stream -> telling.execute(() -> touch(stream)));
            if (!streams.isEmpty()) {
                visits.seen(List.copyOf(streams.keySet()));
            }
            streams.values().stream().map(Stream::plan).distinct().forEach(this::tellWhoIsHere);
        } catch (DataAccessException away) {
            LOG.info("who has a plan open is not known: {}", away.getMessage());
        }
    }

    private static void touch(Stream stream) {
        try {
            stream.emitter().send(SseEmitter.event().comment(""));
        } catch (IOException | IllegalStateException gone) {
            stream.emitter().completeWithError(gone);
        }
    }

    @Override
    public void start() {
        running = true;
        telling.scheduleWithFixedDelay(this::beat, BEAT.toMillis(), BEAT.toMillis(), TimeUnit.MILLISECONDS);
    }

    /** Before the server waits for its last answers: these would never end by themselves. */
    @Override
    public void stop() {
        running = false;
        telling.shutdown();
        for (Stream stream : List.copyOf(streams.values())) {
            forget(stream);
            stream.emitter().complete();
        }
    }

    @Override
    public boolean isRunning() {
        return running;
    }

    /** Among the first to stop. */
    @Override
    public int getPhase() {
        return Integer.MAX_VALUE;
    }
}
