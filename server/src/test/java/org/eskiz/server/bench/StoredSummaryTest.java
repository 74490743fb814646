package org.eskiz.server.bench;

import static org.assertj.core.api.Assertions.assertThat;

import org.eskiz.core.bench.Cause;
import org.eskiz.core.bench.SheetDeviation;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.json.JsonMapper;

/** What was stored of tests in earlier versions is still read. */
class StoredSummaryTest {

    private final JsonMapper json = JsonMapper.builder().build();

    @Test
    void aSummaryOfTheFirstVersionHasItsOneCauseAmongItsCauses() {
        StoredSummary old = json.readValue("""
                {"cableName": "RG-213", "lengthM": 20.0, "outcome": "WORSE",
                 "cause": {"kind": "CONTACT", "share": 0.97, "amount": 0.8},
                 "worst": {"frequencyMHz": 145.0, "lossDb": 3.2, "leastDb": 3.1, "mostDb": 3.3, "per100mDb": 16.0,
                           "expectedDb": 2.4, "allowedDb": 0.34, "excessDb": 0.8, "percentOfSheet": 133.0, "outcome": "WORSE"},
                 "figures": []}""", StoredSummary.class);
        assertThat(old.outcome()).isEqualTo(SheetDeviation.Outcome.WORSE);
        assertThat(old.causes()).singleElement().satisfies(c -> {
            assertThat(c.kind()).isEqualTo(Cause.Kind.CONTACT);
            assertThat(c.chiSquare()).isNull();
        });
        assertThat(old.worst().uncertainty().terms()).isEmpty();
        String again = json.writeValueAsString(old);
        assertThat(again).contains("\"causes\"").doesNotContain("\"cause\"");
        assertThat(json.readValue(again, StoredSummary.class)).isEqualTo(old);
    }

    @Test
    void aSummaryWithoutACauseHasNone() {
        assertThat(json.readValue("{\"figures\": [], \"cause\": null}", StoredSummary.class)
                        .causes())
                .isEmpty();
    }
}
