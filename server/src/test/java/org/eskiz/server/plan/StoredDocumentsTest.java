package org.eskiz.server.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.UUID;
import org.eskiz.server.Api;
import org.eskiz.server.RealServer;
import org.eskiz.server.document.PlanDocument;
import org.eskiz.server.document.PlanDocumentReader;
import org.eskiz.server.document.RunElement;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** One document of every form that was ever stored; whatever changes, they must still be read. */
@ExtendWith(RealServer.class)
class StoredDocumentsTest {

    @Test
    void formOneIsRead(PlanDocumentReader documents) throws IOException {
        PlanDocument read = documents.readStored(sample("plan-document-1.json"));
        assertThat(read.schemaVersion()).isEqualTo(1);
        assertThat(read.assessment().run()).hasSize(5);
        assertThat(read.assessment().run().get(1)).isInstanceOfSatisfying(RunElement.Line.class, line -> {
            assertThat(line.cableKey()).isEqualTo("rg-213");
            assertThat(line.candidate()).isTrue();
        });
        assertThat(read.assessment().bands().get(1).load().swrAtRadio()).isEqualTo(2.1);
        assertThat(read.candidates().get(0).cable().attenuation().points()).hasSize(2);
        assertThat(PlanDocumentReader.cableKeys(read)).containsExactly("rg-213", "foam-7");
    }

    @Test
    void aPreamplifierBesideTheRunStandsAtItsAntennaEnd(PlanDocumentReader documents, Api api) throws IOException {
        String stored = sample("plan-document-1-preamplifier.json");
        PlanDocument read = documents.readStored(stored);
        assertThat(read.assessment().run().get(2)).isInstanceOfSatisfying(RunElement.Preamplifier.class, p -> {
            assertThat(p.gainDb()).isEqualTo(18);
            assertThat(p.noiseFigureDb()).isEqualTo(0.9);
        });
        assertThat(read.assessment().receiver().preamplifierGainDb()).isNull();

        String plan = "{\"id\": \"%s\", \"site\": \"Quay\", \"name\": \"Earlier\", \"document\": %s}"
                .formatted(UUID.randomUUID(), stored);
        JsonNode made = api.post("/api/plans", plan).expect(201).json();
        api.post("/api/plans", plan).expect(201);
        JsonNode assessment = made.get("document").get("assessment");
        assertThat(assessment.get("run").get(2).get("kind").asString()).isEqualTo("PREAMPLIFIER");
        assertThat(assessment.get("receiver").has("preamplifierGainDb")).isFalse();
        assertThat(assessment.get("receiver").get("noiseFigureDb").asInt()).isEqualTo(7);
    }

    private static String sample(String name) throws IOException {
        try (InputStream in = StoredDocumentsTest.class.getResourceAsStream("/stored/" + name)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        }
    }
}
