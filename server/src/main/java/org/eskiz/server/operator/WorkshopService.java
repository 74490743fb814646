package org.eskiz.server.operator;

import java.time.Clock;
import java.time.Instant;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The workshop whose plans, cables, tests and pieces are at hand. */
@Service
public class WorkshopService {

    private final WorkshopRepository workshops;
    private final Clock clock;

    WorkshopService(WorkshopRepository workshops, Clock clock) {
        this.workshops = workshops;
        this.clock = clock;
    }

    /** Whose rows are being read and written. */
    public UUID current() {
        return atWork().workshop();
    }

    /**
     * Who is at work.
     *
     * @throws IllegalStateException where nobody is: nothing is done for nobody
     */
    public AtWork atWork() {
        return AtWork.now().orElseThrow(() -> new IllegalStateException("nobody is at work"));
    }

    /** Does what the server does by itself. */
    public void byItself(Runnable work) {
        AtWork.begin(AtWork.BY_ITSELF);
        try {
            work.run();
        } finally {
            AtWork.end();
        }
    }

    /**
     * Claims the loading of the demo, within the caller's transaction.
     *
     * @return whether it was still to be done; true once in the life of a workshop
     */
    @Transactional
    public boolean claimDemo() {
        return workshops.markDemoLoaded(current(), Instant.now(clock)) == 1;
    }

    /** Begins a workshop, within the caller's transaction; it has no demo. */
    public void begin(UUID id, String name) {
        workshops.saveAndFlush(new WorkshopEntity(id, name, Instant.now(clock)));
        workshops.markDemoLoaded(id, Instant.now(clock));
    }

    /** What a workshop is called. */
    public String nameOf(UUID workshop) {
        return workshops.findById(workshop).orElseThrow().name;
    }

    /** Gives the present one another name. */
    @Transactional
    public void rename(String name) {
        workshops.findById(current()).orElseThrow().name = name;
    }
}
