package org.eskiz.server.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.util.UUID;
import org.eskiz.server.problem.ProblemAdvices;
import org.junit.jupiter.api.Test;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.test.web.servlet.assertj.MockMvcTester;
import org.springframework.transaction.CannotCreateTransactionException;

/** The controller alone, over a service whose database is away. */
class PlanControllerTest {

    private final PlanService plans = mock();
    private final MockMvcTester http = MockMvcTester.of(
            java.util.List.of(new PlanController(plans, mock(), mock(), mock(), mock())),
            builder -> builder.setControllerAdvice(ProblemAdvices.advice()).build());

    @Test
    void aDatabaseThatIsAwayIsSaidSo() {
        UUID id = UUID.randomUUID();
        when(plans.get(id)).thenThrow(new CannotCreateTransactionException("no connection"));
        assertThat(http.get().uri("/api/plans/" + id))
                .hasStatus(503)
                .bodyText()
                .contains("nothing was changed")
                .doesNotContain("no connection");
    }

    @Test
    void soIsOneThatGoesAwayInTheMiddle() {
        when(plans.list(any(), any(), any())).thenThrow(new DataAccessResourceFailureException("terminated"));
        assertThat(http.get().uri("/api/plans")).hasStatus(503);
    }
}
