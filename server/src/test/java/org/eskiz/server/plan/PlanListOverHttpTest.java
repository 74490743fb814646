package org.eskiz.server.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.eskiz.server.Api;
import org.eskiz.server.RealServer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** The list of plans in parts, searched and put in order by the database. */
@ExtendWith(RealServer.class)
class PlanListOverHttpTest {

    private static final String DOCUMENT = """
            {"schemaVersion": 1, "assessment": {"radio": {"powerW": 50},
               "run": [{"kind": "LINE", "cableKey": "%s", "lengthM": 20}],
               "bands": [{"frequencyMHz": 145, "load": {"swr": 1.5}}]}}""";

    /** A word that no other plan has in it. */
    private final String word = "w" + UUID.randomUUID().toString().replace("-", "");

    @Test
    void everyPlanIsInOnePartAndOneOnlyWhateverIsAddedMeanwhile(Api api) {
        for (int i = 0; i < 7; i++) {
            // the same name often: the id decides
            create(api, "Quay", "Loft " + i / 3, "rg-58");
        }
        List<JsonNode> seen = new ArrayList<>();
        String address = "/api/plans?limit=3&find=" + word;
        for (Optional<String> next = Optional.of(address); next.isPresent(); ) {
            Api.Answer part = api.get(next.get()).expect(200);
            assertThat(part.total()).isPositive();
            part.json().forEach(seen::add);
            create(api, "Attic", "before all of them", "rg-58");
            next = part.next();
        }
        assertThat(seen).hasSize(7);
        assertThat(seen).extracting(p -> p.get("id").asString()).doesNotHaveDuplicates();
        assertThat(seen).extracting(p -> p.get("name").asString()).isSorted();
    }

    @Test
    void isSearchedByWordsOfSiteNameAndCable(Api api) {
        UUID foam = create(api, "Harbour", "North beam", "foam-10");
        create(api, "Harbour", "South beam", "rg-58");
        assertThat(names(api, "find=" + word + "+HARB+north")).containsExactly("North beam " + word);
        assertThat(names(api, "find=" + word + "+foam+beam")).containsExactly("North beam " + word);
        api.put("/api/plans/" + foam, body(foam, "\"version\": 0", "Harbour", "North beam", "rg-213"))
                .expect(200);
        assertThat(names(api, "find=" + word + "+foam")).isEmpty();
        assertThat(names(api, "find=" + word + "+rg-213")).containsExactly("North beam " + word);
        assertThat(names(api, "find=" + word + "+_eam")).isEmpty();
        assertThat(names(api, "find=" + word + "&limit=1")).hasSize(1);
    }

    @Test
    void aNameOfAnyScriptLeadsOn(Api api) {
        create(api, "Bø. Æther", "Zürich. 1", "rg-58");
        create(api, "Bø. Æther", "Zürich. 2", "rg-58");
        Api.Answer part = api.get("/api/plans?limit=1&find=" + word).expect(200);
        assertThat(api.get(part.next().orElseThrow()).expect(200).json()).hasSize(1);
    }

    @Test
    void isOfTheDemoOrNotWhereThatIsAsked(Api api) {
        create(api, "Quay", "mine", "rg-58");
        assertThat(names(api, "demo=false&find=" + word)).hasSize(1);
        assertThat(names(api, "demo=true&find=" + word)).isEmpty();
    }

    @Test
    void standsByTheLastChangeWhereThatIsAsked(Api api) {
        create(api, "Attic", "first", "rg-58");
        create(api, "Quay", "second", "rg-58");
        assertThat(names(api, "order=CHANGED_LAST_FIRST&find=" + word))
                .containsExactly("second " + word, "first " + word);
        Api.Answer part = api.get("/api/plans?limit=1&order=CHANGED_LAST_FIRST&find=" + word);
        assertThat(api.get(part.next().orElseThrow()).json().get(0).get("name").asString())
                .isEqualTo("first " + word);
    }

    @Test
    void aDrawingIsKeptUntilWhatItRestsOnChanges(Api api) {
        UUID id = create(api, "Quay", "drawn", "rg-58");
        JsonNode first = api.get("/api/plans?ids=" + id).json().get(0);
        assertThat(api.get("/api/plans?ids=" + id).json().get(0)).isEqualTo(first);
        String other = body(id, "\"version\": 0", "Quay", "drawn", "rg-213");
        api.put("/api/plans/" + id, other).expect(200);
        JsonNode then = api.get("/api/plans?ids=" + id).json().get(0);
        assertThat(then.get("sketch").get("cableName").asString()).isEqualTo("RG-213");
        assertThat(then.get("sketch").get("totalLossDb").asDouble())
                .isLessThan(first.get("sketch").get("totalLossDb").asDouble());
    }

    @Test
    void whatIsNoPlaceInItIsRefused(Api api) {
        String id = key(UUID.randomUUID().toString());
        for (String bad : List.of(
                "after=x",
                "after=" + key("nowhere"),
                "after=" + String.join(".", key("Quay\0"), key("Loft"), id),
                "order=CHANGED_LAST_FIRST&after=" + key("+999999999-01-01T00:00:00Z") + "." + id,
                "limit=0",
                "limit=501",
                "limit=ten",
                "ids=quay",
                "find=%00",
                "find=" + "a".repeat(201),
                "find=" + "a+".repeat(13))) {
            api.get("/api/plans?" + bad).expectProblem(422);
        }
        assertThat(api.get("/api/plans?order=BEST")
                        .expectProblem(422)
                        .get("detail")
                        .asString())
                .isEqualTo("must be one of [SITE, CHANGED_LAST_FIRST], not \"BEST\"");
    }

    private static String key(String text) {
        return Base64.getUrlEncoder().withoutPadding().encodeToString(text.getBytes(StandardCharsets.UTF_8));
    }

    private UUID create(Api api, String site, String name, String cableKey) {
        UUID id = UUID.randomUUID();
        api.post("/api/plans", body(id, "\"id\": \"" + id + "\"", site, name, cableKey))
                .expect(201);
        return id;
    }

    private String body(UUID id, String known, String site, String name, String cableKey) {
        return "{%s, \"site\": \"%s\", \"name\": \"%s %s\", \"document\": %s}"
                .formatted(known, site, name, word, DOCUMENT.formatted(cableKey));
    }

    private static List<String> names(Api api, String query) {
        return api.get("/api/plans?" + query)
                .expect(200)
                .json()
                .valueStream()
                .map(p -> p.get("name").asString())
                .toList();
    }
}
