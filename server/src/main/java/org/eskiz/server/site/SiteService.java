package org.eskiz.server.site;

import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import org.eskiz.server.operator.WorkshopService;
import org.eskiz.server.plan.PlansAtSite;
import org.eskiz.server.problem.ConflictException;
import org.eskiz.server.problem.NotFoundException;
import org.eskiz.server.problem.ValidationErrors;
import org.eskiz.server.store.IdempotentStore;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** Keeps what is said of sites. */
@Service
class SiteService {

    private final SiteRepository sites;
    private final PlansAtSite plans;
    private final WorkshopService workshops;
    private final IdempotentStore store;
    private final JsonMapper json;
    private final Clock clock;

    SiteService(
            SiteRepository sites,
            PlansAtSite plans,
            WorkshopService workshops,
            IdempotentStore store,
            JsonMapper json,
            Clock clock) {
        this.sites = sites;
        this.plans = plans;
        this.workshops = workshops;
        this.store = store;
        this.json = json;
        this.clock = clock;
    }

    /** Every site that a plan carries, or of which something was said. */
    @Transactional(readOnly = true)
    List<SiteNameResponse> list() {
        // a plan may carry no site yet
        TreeMap<String, Long> all = new TreeMap<>(plans.names());
        all.remove("");
        sites.findByWorkshopIdOrderByName(workshops.current()).forEach(s -> all.putIfAbsent(s.name, 0L));
        return all.entrySet().stream()
                .map(e -> new SiteNameResponse(e.getKey(), e.getValue()))
                .toList();
    }

    /**
     * What is said of a site.
     *
     * @throws NotFoundException where no plan carries its name and nobody has said anything of it
     */
    @Transactional(readOnly = true)
    SiteResponse get(String name) {
        return response(name, stored(name));
    }

    private SiteResponse response(String name, Optional<SiteEntity> stored) {
        Long count = plans.names().get(name);
        if (count == null && stored.isEmpty()) {
            throw new NotFoundException("site", name);
        }
        return new SiteResponse(
                name,
                stored.map(s -> s.version).orElse(null),
                stored.map(s -> s.changedAt).orElse(null),
                count == null ? 0 : count,
                stored.map(s -> json.readValue(s.document, SiteDocument.class)).orElse(SiteDocument.EMPTY));
    }

    /**
     * Says something of a site.
     *
     * @throws ConflictException when somebody else did meanwhile
     */
    SiteResponse save(String name, SaidOfSiteRequest request) {
        ValidationErrors.in(request).throwIfAny();
        SiteDocument.check(request.document());
        return store.change(() -> saveOver(name, request), () -> changed(name));
    }

    List<SiteInFile> said() {
        return sites.findByWorkshopIdOrderByName(workshops.current()).stream()
                .map(s -> new SiteInFile(s.name, json.readValue(s.document, SiteDocument.class)))
                .toList();
    }

    /** Says something of a site whether a plan carries it yet or not, within the caller's transaction. */
    void put(String name, SiteDocument document) {
        SiteEntity site =
                stored(name).orElseGet(() -> SiteEntity.create(workshops.current(), name, Instant.now(clock)));
        site.document = json.writeValueAsString(document);
        site.changedAt = Instant.now(clock);
        sites.save(site);
    }

    /** Says something of a site of the demo, unless somebody did, within the caller's transaction. */
    void createDemo(String name, SiteDocument document) {
        if (stored(name).isEmpty()) {
            put(name, document);
        }
    }

    /** Forgets what is said of a site that no plan carries any more. */
    @Transactional
    void removeUnlessPlanned(String name) {
        if (!plans.names().containsKey(name)) {
            stored(name).ifPresent(sites::delete);
        }
    }

    private SiteResponse saveOver(String name, SaidOfSiteRequest request) {
        SiteEntity site = stored(name).orElseGet(() -> created(name));
        if (!Objects.equals(site.version, request.version())) {
            throw changed(name);
        }
        site.document = json.writeValueAsString(request.document());
        site.changedAt = Instant.now(clock);
        sites.save(site);
        sites.flush();
        return response(name, Optional.of(site));
    }

    private SiteEntity created(String name) {
        // only what a plan carries is a site
        get(name);
        return SiteEntity.create(workshops.current(), name, Instant.now(clock));
    }

    private ConflictException changed(String name) {
        return new ConflictException("what is said of the site was changed meanwhile", get(name));
    }

    private Optional<SiteEntity> stored(String name) {
        return sites.findByWorkshopIdAndName(workshops.current(), name);
    }
}
