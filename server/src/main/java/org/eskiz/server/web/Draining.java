package org.eskiz.server.web;

import java.time.Duration;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Component;

/**
 * Before a server ends it takes requests for a while and is not ready, so that a balancer looks away before the port is
 * closed. Spring says that it is not ready as soon as it is told to end.
 */
@Component
class Draining implements SmartLifecycle {

    private final Duration drain;
    private volatile boolean running;

    Draining(@Value("${eskiz.drain}") Duration drain) {
        this.drain = drain;
    }

    @Override
    public void start() {
        running = true;
    }

    @Override
    public void stop() {
        running = false;
        try {
            Thread.sleep(drain.toMillis());
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    @Override
    public boolean isRunning() {
        return running;
    }

    /** The first to stop. */
    @Override
    public int getPhase() {
        return Integer.MAX_VALUE;
    }
}
