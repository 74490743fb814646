package org.eskiz.server.bench;

import org.eskiz.server.web.BodyLimit;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The sweeps of an analyser are text, and fine ones long. */
@Configuration(proxyBeanMethods = false)
class BenchBodies {

    static final int MOST_BYTES_OF_A_SWEEP = 5 << 20;

    @Bean
    BodyLimit sweeps() {
        return BodyLimit.ofJson("/api/bench/files", MOST_BYTES_OF_A_SWEEP);
    }
}
