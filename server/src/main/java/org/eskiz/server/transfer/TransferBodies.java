package org.eskiz.server.transfer;

import org.eskiz.server.web.BodyLimit;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.MediaType;

/** Files come whole when they are short, and in parts, whatever their length. */
@Configuration(proxyBeanMethods = false)
class TransferBodies {

    static final int MOST_BYTES_OF_A_FILE = 16 << 20;
    static final int MOST_BYTES_OF_A_PART = 1 << 20;

    @Bean
    BodyLimit files() {
        return BodyLimit.ofJson("/api/transfers", MOST_BYTES_OF_A_FILE);
    }

    @Bean
    BodyLimit parts() {
        return new BodyLimit("/api/transfers/uploads/", MOST_BYTES_OF_A_PART, MediaType.APPLICATION_OCTET_STREAM_VALUE);
    }
}
