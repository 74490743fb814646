package org.eskiz.server.plan;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import org.eskiz.server.operator.OperatorService;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** Puts the demo's plans into an empty database, once in its life: a demo that was removed stays removed. */
@Component
public class DemoLoader {

    private final PlanService plans;
    private final OperatorService operators;
    private final JsonMapper json;

    DemoLoader(PlanService plans, OperatorService operators, JsonMapper json) {
        this.plans = plans;
        this.operators = operators;
        this.json = json;
    }

    @Transactional
    public void loadOnce() {
        if (operators.claimDemo()) {
            for (PlanRequest plan : demoPlans()) {
                plans.createDemo(plan);
            }
        }
    }

    private PlanRequest[] demoPlans() {
        try (InputStream in = DemoLoader.class.getResourceAsStream("/demo/plans.json")) {
            return json.readValue(in, PlanRequest[].class);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
