package org.eskiz.server.bench;

import java.util.UUID;

/**
 * What is in a sweep.
 *
 * @param ports 1 or 2
 * @param zeroLeftOut whether it had a point at 0 Hz, which is left out
 * @param sorted whether its points were out of order
 * @param uncalibrated whether the analyser was not calibrated when it was taken
 */
public record BenchFileResponse(
        UUID id,
        String fileName,
        int ports,
        int points,
        double lowestMHz,
        double highestMHz,
        double referenceOhm,
        boolean zeroLeftOut,
        boolean sorted,
        boolean uncalibrated) {}
