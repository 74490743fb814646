package org.eskiz.server.operator;

import java.util.Optional;

/** Knows whom a link to one plan lets in. */
public interface LinkedVisits {

    /** What is in a link goes with every request of whoever came by it. No page of another site can send it. */
    String HEADER = "Eskiz-Share";

    /** @return empty where the link has ended, was taken back, or never was */
    Optional<AtWork> by(String secret);
}
