package org.eskiz.server.catalogue;

/**
 * What a type loses at a frequency and 20 °C.
 *
 * @param extrapolated whether its sheet does not say
 */
record CableLossResponse(String key, double attenuationDbPer100m, boolean extrapolated) {}
