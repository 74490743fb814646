package org.eskiz.server.locker.kit;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import org.eskiz.server.operator.DemoPart;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** The kits of the demo, packed when its pieces are there. */
@Component
@Order(1)
class KitDemo implements DemoPart {

    private final KitService kits;
    private final JsonMapper json;

    KitDemo(KitService kits, JsonMapper json) {
        this.kits = kits;
        this.json = json;
    }

    @Override
    public void load() {
        try (InputStream in = KitDemo.class.getResourceAsStream("/demo/kits.json")) {
            for (KitRequest kit : json.readValue(in, KitRequest[].class)) {
                kits.createDemo(kit);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Override
    public void remove() {
        kits.removeDemo();
    }
}
