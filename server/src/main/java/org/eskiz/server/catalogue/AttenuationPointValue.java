package org.eskiz.server.catalogue;

import jakarta.persistence.Column;
import jakarta.persistence.Embeddable;

/** One row of a data sheet as it is stored. */
@Embeddable
record AttenuationPointValue(
        @Column(name = "frequency_mhz") double frequencyMHz,
        @Column(name = "attenuation_db_per_100m") double attenuationDbPer100m) {}
