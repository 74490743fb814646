package org.eskiz.server.operator;

import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The demo, put into an empty database once in its life: a demo that was removed stays removed. */
@Service
public class Demo {

    private final List<DemoPart> parts;
    private final OperatorService operators;

    Demo(List<DemoPart> parts, OperatorService operators) {
        this.parts = parts;
        this.operators = operators;
    }

    @Transactional
    public void loadOnce() {
        if (operators.claimDemo()) {
            parts.forEach(DemoPart::load);
        }
    }

    @Transactional
    public void remove() {
        parts.forEach(DemoPart::remove);
    }
}
