package org.eskiz.server.exchange;

import org.eskiz.server.web.BodyLimit;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** A sweep of a device is text, and a fine one long. */
@Configuration(proxyBeanMethods = false)
class ExchangeBodies {

    private static final int MOST_BYTES_OF_A_SWEEP = 5 << 20;

    @Bean
    BodyLimit twoPortSweeps() {
        return BodyLimit.ofJson("/api/two-ports", MOST_BYTES_OF_A_SWEEP);
    }
}
