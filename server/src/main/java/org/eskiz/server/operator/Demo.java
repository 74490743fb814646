package org.eskiz.server.operator;

import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The demo, put into an empty database once in its life: a demo that was removed stays removed. */
@Service
public class Demo {

    private final List<DemoPart> parts;
    private final WorkshopService workshops;

    Demo(List<DemoPart> parts, WorkshopService workshops) {
        this.parts = parts;
        this.workshops = workshops;
    }

    @Transactional
    public void loadOnce() {
        if (workshops.claimDemo()) {
            parts.forEach(DemoPart::load);
        }
    }

    @Transactional
    public void remove() {
        parts.forEach(DemoPart::remove);
    }
}
