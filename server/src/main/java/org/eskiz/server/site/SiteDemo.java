package org.eskiz.server.site;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import org.eskiz.server.operator.DemoPart;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** What is said of the sites of the demo, once their plans are there. */
@Component
@Order(2)
class SiteDemo implements DemoPart {

    private final SiteService sites;
    private final JsonMapper json;

    SiteDemo(SiteService sites, JsonMapper json) {
        this.sites = sites;
        this.json = json;
    }

    /** One of its sites. */
    record DemoSite(String name, SiteDocument document) {}

    @Override
    public void load() {
        for (DemoSite site : all()) {
            sites.createDemo(site.name(), site.document());
        }
    }

    @Override
    public void remove() {
        for (DemoSite site : all()) {
            sites.removeUnlessPlanned(site.name());
        }
    }

    private DemoSite[] all() {
        try (InputStream in = SiteDemo.class.getResourceAsStream("/demo/sites.json")) {
            return json.readValue(in, DemoSite[].class);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
