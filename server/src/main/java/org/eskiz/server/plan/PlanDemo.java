package org.eskiz.server.plan;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import org.eskiz.server.operator.DemoPart;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** The demo's plans. */
@Component
@Order(1)
class PlanDemo implements DemoPart {

    private final PlanService plans;
    private final JsonMapper json;

    PlanDemo(PlanService plans, JsonMapper json) {
        this.plans = plans;
        this.json = json;
    }

    @Override
    public void load() {
        try (InputStream in = PlanDemo.class.getResourceAsStream("/demo/plans.json")) {
            for (PlanRequest plan : json.readValue(in, PlanRequest[].class)) {
                plans.createDemo(plan);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Override
    public void remove() {
        plans.removeDemo();
    }
}
