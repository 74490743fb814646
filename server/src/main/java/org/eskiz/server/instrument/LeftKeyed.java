package org.eskiz.server.instrument;

import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.stereotype.Component;

/** At the start of a server: radios that the last one left keyed are switched off, while it goes on starting. */
@Component
class LeftKeyed implements ApplicationRunner {

    private final Transmitter transmitter;

    LeftKeyed(Transmitter transmitter) {
        this.transmitter = transmitter;
    }

    @Override
    public void run(ApplicationArguments args) {
        Thread thread = new Thread(transmitter::switchOffWhatWasLeft, "left keyed");
        thread.setDaemon(true);
        thread.start();
    }
}
