package org.eskiz.core.site;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;

class DuctFillTest {

    /** Two cables of 10 mm in a bore of 40: 2 · 100 of 1600, an eighth. */
    @Test
    void areasAreTakenAgainstThatOfTheBore() {
        DuctFill fill = DuctFill.of(40, DuctFill.USUAL_SHARE, List.of(10.0, 10.0));
        assertThat(fill.share()).isCloseTo(0.125, within(1e-12));
        assertThat(fill.isOverfilled()).isFalse();
        // 40 % of 1600 are 640, of which 440 are left
        assertThat(fill.roomMm()).isCloseTo(Math.sqrt(440), within(1e-12));
    }

    @Test
    void moreThanTheUsualShareIsTooMuch() {
        DuctFill fill = DuctFill.of(20, 0.4, List.of(10.3, 10.3));
        assertThat(fill.isOverfilled()).isTrue();
        assertThat(fill.roomMm()).isZero();
        assertThat(DuctFill.of(20, 0.25, List.of(10.0)).isOverfilled()).isFalse();
    }
}
