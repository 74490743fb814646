package org.eskiz.server.site;

import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What is said of sites on its way into and out of files, within the caller's transaction. */
@Service
public class SiteTransfer {

    private final SiteService sites;

    SiteTransfer(SiteService sites) {
        this.sites = sites;
    }

    /** Every site of which something is said. */
    @Transactional(readOnly = true)
    public List<SiteInFile> all() {
        return sites.said();
    }

    /** What is said of one; empty where nothing is. */
    @Transactional(readOnly = true)
    public Optional<SiteInFile> stored(String name) {
        return sites.said().stream().filter(s -> s.name().equals(name)).findFirst();
    }

    /** Says it over what was said before, if anything was. */
    @Transactional
    public void put(SiteInFile site) {
        sites.put(site.name(), site.document());
    }
}
