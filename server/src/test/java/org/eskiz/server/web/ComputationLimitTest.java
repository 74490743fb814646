package org.eskiz.server.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.eskiz.server.problem.BusyException;
import org.junit.jupiter.api.Test;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.web.method.HandlerMethod;

/** As many computations at once as there are cores; who comes beyond those that wait is told when to come again. */
class ComputationLimitTest {

    /** Two routes. */
    static final class Routes {

        @Computation
        public void heavy() {}

        public void light() {}
    }

    private final ComputationLimit limit = new ComputationLimit(2, 0, 9);

    @Test
    void noMoreRunAtOnceThanThereAreCoresAndLightOnesAlways() throws Exception {
        var first = new MockHttpServletRequest();
        assertThat(begin(first, "heavy")).isTrue();
        assertThat(begin(new MockHttpServletRequest(), "heavy")).isTrue();
        assertThatThrownBy(() -> begin(new MockHttpServletRequest(), "heavy"))
                .isInstanceOfSatisfying(
                        BusyException.class, e -> assertThat(e.retryAfterS()).isPositive());
        assertThat(begin(new MockHttpServletRequest(), "light")).isTrue();
        limit.afterCompletion(first, new MockHttpServletResponse(), null, null);
        limit.afterCompletion(first, new MockHttpServletResponse(), null, null);
        assertThat(begin(new MockHttpServletRequest(), "heavy")).isTrue();
        assertThatThrownBy(() -> begin(new MockHttpServletRequest(), "heavy")).isInstanceOf(BusyException.class);
    }

    @Test
    void nobodyTakesAllThatThereIs() throws Exception {
        var fair = new ComputationLimit(9, 0, 2);
        MockHttpServletRequest first = of("Wren");
        assertThat(begin(fair, first)).isTrue();
        assertThat(begin(fair, of("Wren"))).isTrue();
        assertThatThrownBy(() -> begin(fair, of("Wren")))
                .isInstanceOf(BusyException.class)
                .hasMessageContaining("you have 2 computations under way");
        assertThat(begin(fair, of("Rowan"))).isTrue();
        fair.afterCompletion(first, new MockHttpServletResponse(), null, null);
        assertThat(begin(fair, of("Wren"))).isTrue();
    }

    private static MockHttpServletRequest of(String operator) {
        var request = new MockHttpServletRequest();
        request.setUserPrincipal(() -> operator);
        return request;
    }

    private static boolean begin(ComputationLimit limit, MockHttpServletRequest request) throws Exception {
        return limit.preHandle(
                request,
                new MockHttpServletResponse(),
                new HandlerMethod(new Routes(), Routes.class.getMethod("heavy")));
    }

    private boolean begin(MockHttpServletRequest request, String route) throws Exception {
        return limit.preHandle(
                request, new MockHttpServletResponse(), new HandlerMethod(new Routes(), Routes.class.getMethod(route)));
    }
}
