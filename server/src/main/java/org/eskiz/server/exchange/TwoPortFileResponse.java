package org.eskiz.server.exchange;

import java.util.List;

/**
 * What a sweep says of a device, port 1 toward the radio; of a sweep with very many points as many of them as an element holds,
 * evenly chosen.
 */
public record TwoPortFileResponse(double referenceOhm, List<TwoPortPointResponse> points) {

    /** Each as real and imaginary part. */
    public record TwoPortPointResponse(
            double frequencyMHz, List<Double> s11, List<Double> s21, List<Double> s12, List<Double> s22) {}
}
