package org.eskiz.e2e;

import static org.awaitility.Awaitility.await;

import com.google.gson.JsonObject;
import com.google.gson.JsonParser;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;

/** An operator who saves without end, each save sent again until it is answered, and remembers what was acknowledged. */
final class Saves implements AutoCloseable {

    private static final int PLANS = 5;
    private static final long BETWEEN_SAVES_MS = 10;

    /** Longer than a server needs to come back on a busy machine; nothing waits as long. */
    private static final Duration PATIENCE = Duration.ofMinutes(2);

    private final HttpClient http = HttpClient.newHttpClient();
    private final String plansAt;
    private final String[] headers;
    private final List<Saved> plans = new ArrayList<>();
    private final AtomicInteger acknowledged = new AtomicInteger();
    private final AtomicInteger refused = new AtomicInteger();
    private final AtomicInteger unanswered = new AtomicInteger();
    private final ScheduledExecutorService saving = Executors.newSingleThreadScheduledExecutor();
    private volatile boolean finished;
    private volatile Throwable failure;
    private int done;
    private boolean isUnderWay;

    private Saves(int port, String... headers) {
        plansAt = "http://127.0.0.1:" + port + "/api/plans";
        this.headers = headers;
    }

    /** @param headers names and values of what goes with every request besides */
    static Saves begin(int port, String... headers) {
        Saves saves = new Saves(port, headers);
        for (int i = 0; i < PLANS; i++) {
            saves.plans.add(new Saved(UUID.randomUUID().toString()));
        }
        saves.saving.scheduleWithFixedDelay(saves::saveOnce, 0, BETWEEN_SAVES_MS, TimeUnit.MILLISECONDS);
        return saves;
    }

    /** Waits until so many more were acknowledged. */
    void awaitMore(int count) {
        awaitMore(acknowledged, count);
    }

    /** Waits until so many more were answered that they cannot be saved now. */
    void awaitRefusals(int count) {
        awaitMore(refused, count);
    }

    /** How often nobody said whether something was saved. */
    int unanswered() {
        return unanswered.get();
    }

    /** Ends with the save at work. */
    void finish() {
        finished = true;
        await().atMost(PATIENCE).until(saving::isTerminated);
        check();
    }

    Map<String, String> acknowledged() {
        Map<String, String> names = new TreeMap<>();
        plans.forEach(p -> names.put(p.id, p.acknowledged));
        return names;
    }

    Map<String, String> stored() throws IOException {
        Map<String, String> names = new TreeMap<>();
        for (Saved plan : plans) {
            names.put(plan.id, nameOf(send(request("/" + plan.id).GET())));
        }
        return names;
    }

    @Override
    public void close() {
        saving.shutdownNow();
    }

    /** Tries the save at work; the next one only once it is acknowledged. */
    private void saveOnce() {
        if (finished && !isUnderWay && done >= PLANS) {
            saving.shutdown();
            return;
        }
        Saved plan = plans.get(done % PLANS);
        String name = "save " + done;
        isUnderWay = true;
        try {
            if (isSaved(plan, name)) {
                plan.acknowledged = name;
                acknowledged.incrementAndGet();
                isUnderWay = false;
                done++;
            }
        } catch (Throwable t) {
            failure = t;
            saving.shutdown();
        }
    }

    private boolean isSaved(Saved plan, String name) {
        JsonObject body = JsonParser.parseString("{\"site\": \"\", \"document\": {\"schemaVersion\": 1}}")
                .getAsJsonObject();
        body.addProperty("name", name);
        HttpResponse<String> answer;
        try {
            answer = plan.version < 0 ? create(plan, body) : change(plan, body);
        } catch (IOException away) {
            unanswered.incrementAndGet();
            return false;
        }
        return switch (answer.statusCode()) {
            case 200, 201 -> {
                plan.version = versionOf(answer);
                yield true;
            }
            case 409 -> {
                // only this thread writes it: an earlier try was stored and its answer lost
                JsonObject current =
                        JsonParser.parseString(answer.body()).getAsJsonObject().getAsJsonObject("current");
                plan.version = current.get("version").getAsLong();
                yield current.get("name").getAsString().equals(name);
            }
            // a proxy found no server, or the server that was asked went away
            case 502, 504 -> {
                unanswered.incrementAndGet();
                yield false;
            }
            case 503 -> {
                refused.incrementAndGet();
                yield false;
            }
            default -> throw new IllegalStateException(answer.statusCode() + ": " + answer.body());
        };
    }

    private HttpResponse<String> create(Saved plan, JsonObject body) throws IOException {
        body.addProperty("id", plan.id);
        return send(request("").POST(HttpRequest.BodyPublishers.ofString(body.toString())));
    }

    private HttpResponse<String> change(Saved plan, JsonObject body) throws IOException {
        body.addProperty("version", plan.version);
        return send(request("/" + plan.id).PUT(HttpRequest.BodyPublishers.ofString(body.toString())));
    }

    private HttpRequest.Builder request(String path) {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(plansAt + path))
                .header("Content-Type", "application/json")
                .timeout(Duration.ofSeconds(20));
        return headers.length == 0 ? request : request.headers(headers);
    }

    private HttpResponse<String> send(HttpRequest.Builder request) throws IOException {
        try {
            return http.send(request.build(), HttpResponse.BodyHandlers.ofString());
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IOException(e);
        }
    }

    private void awaitMore(AtomicInteger counter, int more) {
        int wanted = counter.get() + more;
        await().atMost(PATIENCE).until(() -> {
            check();
            return counter.get() >= wanted;
        });
    }

    private void check() {
        if (failure != null) {
            throw new IllegalStateException(failure);
        }
    }

    private static long versionOf(HttpResponse<String> answer) {
        return JsonParser.parseString(answer.body())
                .getAsJsonObject()
                .get("version")
                .getAsLong();
    }

    private static String nameOf(HttpResponse<String> answer) {
        return JsonParser.parseString(answer.body())
                .getAsJsonObject()
                .get("name")
                .getAsString();
    }

    /** A plan and what is known of its saving. */
    private static final class Saved {
        private final String id;
        private long version = -1;
        private volatile String acknowledged;

        Saved(String id) {
            this.id = id;
        }
    }
}
