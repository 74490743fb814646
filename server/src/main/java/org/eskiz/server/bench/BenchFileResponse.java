package org.eskiz.server.bench;

import java.util.UUID;

/**
 * What is in a sweep.
 *
 * @param ports 1 or 2
 */
public record BenchFileResponse(
        UUID id, String fileName, int ports, int points, double lowestMHz, double highestMHz, double referenceOhm) {}
