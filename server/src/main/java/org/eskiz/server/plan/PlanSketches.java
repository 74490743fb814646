package org.eskiz.server.plan;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.eskiz.server.comparison.RowInRun;
import org.eskiz.server.document.PlanDocument;
import org.eskiz.server.document.PlanDocumentReader;
import org.eskiz.server.problem.InvalidRequestException;
import org.eskiz.server.web.Client;
import org.springframework.boot.info.BuildProperties;
import org.springframework.stereotype.Component;
import org.springframework.util.DigestUtils;
import tools.jackson.databind.json.JsonMapper;

/**
 * Draws plans small. A plan that cannot be assessed as it stands has no drawing, and is listed all the same.
 *
 * <p>A drawing is much work for a list of many plans: it is kept beside the plan, and made anew where the plan, its choice,
 * the catalogue, the tolerances or this program have changed since.
 */
@Component
class PlanSketches {

    /** So many are shared among the cores; between, it is asked whether somebody still waits. */
    private static final int AT_A_TIME = 32;

    private final PlanDocumentReader documents;
    private final PlanSketchRepository kept;
    private final JsonMapper json;
    private final String build;

    PlanSketches(
            PlanDocumentReader documents, PlanSketchRepository kept, JsonMapper json, Optional<BuildProperties> build) {
        this.documents = documents;
        this.kept = kept;
        this.json = json;
        this.build = build.map(b -> b.getVersion() + " of " + b.getTime()).orElse("unbuilt");
    }

    /**
     * A plan to be drawn.
     *
     * @param chosen what was chosen in it and stands
     * @param hasPieces whether pieces of the locker lie in its run, of which another may be said any time
     */
    record ToDraw(PlanEntity plan, Optional<DecisionEntity> chosen, boolean hasPieces) {

        private Optional<String> chosenRowId() {
            return chosen.map(d -> d.rowId);
        }
    }

    /**
     * A plan with its drawing.
     *
     * @param sketch empty where it cannot be assessed as it stands
     */
    record Drawn(ToDraw of, Optional<PlanSketch> sketch) {}

    /** Some plans with their drawings. No connection is held while they are made. */
    List<Drawn> drawn(CablesInRuns.Now now, List<ToDraw> plans) {
        Map<UUID, PlanSketchEntity> before = kept
                .findByPlanIdIn(plans.stream().map(p -> p.plan().id).toList())
                .stream()
                .collect(Collectors.toMap(k -> k.planId, k -> k));
        String basis = now.basis() + build;
        List<PlanSketchEntity> newest = new ArrayList<>();
        for (int from = 0; from < plans.size(); from += AT_A_TIME) {
            Client.requireListening();
            newest.addAll(plans.subList(from, Math.min(plans.size(), from + AT_A_TIME)).parallelStream()
                    .map(plan -> newest(now, plan, stamp(basis, plan), before.get(plan.plan().id)))
                    .toList());
        }
        keep(newest.stream()
                .filter(sketch -> !sketch.saysTheSame(before.get(sketch.planId)))
                .toList());
        return IntStream.range(0, plans.size())
                .mapToObj(i -> new Drawn(
                        plans.get(i),
                        Optional.ofNullable(newest.get(i).sketch).map(text -> json.readValue(text, PlanSketch.class))))
                .toList();
    }

    private PlanSketchEntity newest(CablesInRuns.Now now, ToDraw plan, String stamp, PlanSketchEntity last) {
        boolean isFresh = last != null && last.stamp.equals(stamp) && !plan.hasPieces();
        return isFresh ? last : made(now, plan, stamp);
    }

    /** The drawing of a plan that has changed. */
    void forget(UUID plan) {
        kept.forget(plan);
    }

    private void keep(List<PlanSketchEntity> made) {
        if (!made.isEmpty()) {
            kept.keep(
                    made.stream().map(m -> m.planId).toArray(UUID[]::new),
                    made.stream().map(m -> m.stamp).toArray(String[]::new),
                    made.stream().map(m -> m.sketch).toArray(String[]::new),
                    made.stream().map(m -> m.words).toArray(String[]::new));
        }
    }

    private static String stamp(String basis, ToDraw plan) {
        String own = plan.plan().version + " " + plan.chosenRowId().orElse("");
        return DigestUtils.md5DigestAsHex((basis + own).getBytes(StandardCharsets.UTF_8));
    }

    private PlanSketchEntity made(CablesInRuns.Now now, ToDraw plan, String stamp) {
        Optional<PlanSketch> sketch = sketch(now, plan.plan(), plan.chosenRowId());
        PlanSketchEntity made = new PlanSketchEntity();
        made.planId = plan.plan().id;
        made.stamp = stamp;
        made.sketch = sketch.map(json::writeValueAsString).orElse(null);
        made.words = Stream.concat(
                        sketch.map(PlanSketch::cableName).stream(), plan.chosen().map(d -> d.cableName).stream())
                .collect(Collectors.joining(" "))
                .toLowerCase(Locale.ROOT);
        return made;
    }

    private Optional<PlanSketch> sketch(CablesInRuns.Now now, PlanEntity plan, Optional<String> chosenRowId) {
        PlanDocument document = documents.readStored(plan.document);
        try {
            RowInRun inRun = now.inRun(plan, document, chosenRowId.isPresent());
            return PlanSketch.of(inRun, CablesInRuns.standing(document, inRun, chosenRowId));
        } catch (InvalidRequestException unfinished) {
            return Optional.empty();
        }
    }
}
