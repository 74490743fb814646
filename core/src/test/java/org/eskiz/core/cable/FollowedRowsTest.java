package org.eskiz.core.cable;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;

/** Rows that the square-root law does not fit may be followed in its place. */
class FollowedRowsTest {

    private static final List<AttenuationPoint> ROWS =
            List.of(new AttenuationPoint(16, 20), new AttenuationPoint(1, 8), new AttenuationPoint(4, 9));
    private static final Attenuation LAW = new Attenuation(4, 0.01);

    @Test
    void betweenTheRowsTheyAreFollowedStraightOverTheRootAndOutsideTheLawIs() {
        Attenuation followed = LAW.following(ROWS);
        assertThat(followed.dbPer100m(1, 20)).isCloseTo(8, within(1e-12));
        assertThat(followed.dbPer100m(4, 20)).isCloseTo(9, within(1e-12));
        // halfway from √4 to √16
        assertThat(followed.dbPer100m(9, 20)).isCloseTo(14.5, within(1e-12));
        assertThat(followed.dbPer100m(25, 20)).isEqualTo(LAW.dbPer100m(25, 20));
        assertThat(followed.dbPer100m(0.5, 20)).isEqualTo(LAW.dbPer100m(0.5, 20));
        assertThat(followed.isFollowedAt(0.5)).isFalse();
        assertThat(followed.isFollowedAt(2)).isTrue();
        assertThat(LAW.isFollowedAt(2)).isFalse();
    }

    @Test
    void theyGrowWithTemperatureAndWithTheToleranceAsTheLawDoes() {
        Attenuation followed = LAW.following(ROWS);
        assertThat(followed.dbPer100m(4, 60)).isGreaterThan(followed.dbPer100m(4, 20));
        assertThat(followed.scaledBy(1.1).dbPer100m(9, 20)).isCloseTo(1.1 * 14.5, within(1e-12));
    }

    @Test
    void theConductorTakesWhatTheDielectricLeaves() {
        Attenuation followed = new Attenuation(1, 5).following(ROWS);
        assertThat(followed.dielectricDbPer100m(4)).isEqualTo(9);
        assertThat(followed.conductorDbPer100m(4, 20)).isZero();
    }
}
