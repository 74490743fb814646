package org.eskiz.server.plan;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.eskiz.server.assessment.AssessmentRequest;
import org.eskiz.server.assessment.CandidateRequest;
import org.eskiz.server.assessment.ElementRequest;
import org.eskiz.server.assessment.References;
import org.eskiz.server.catalogue.CatalogueService;
import org.eskiz.server.problem.Faults;
import org.eskiz.server.problem.InvalidRequestException;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Reads and checks the documents of plans. */
@Component
class PlanDocuments {

    private final JsonMapper json;
    private final CatalogueService catalogues;

    PlanDocuments(JsonMapper json, CatalogueService catalogues) {
        this.json = json;
        this.catalogues = catalogues;
    }

    /**
     * Reads a document that is to be stored, with every fault under {@code document.}.
     *
     * @throws JacksonException when it cannot be read
     */
    PlanDocument check(JsonNode document, Faults faults) {
        refuseOtherVersions(document);
        PlanDocument read = read(document);
        faults.check(read, "document");
        References.check(read.assessment(), read.candidates(), catalogues.current(), faults, "document.");
        return read;
    }

    /** Reads a document that was stored, of this or an older form. */
    PlanDocument readStored(String document) {
        return read(json.readTree(document));
    }

    private PlanDocument read(JsonNode document) {
        try {
            return json.treeToValue(document, PlanDocument.class);
        } catch (JacksonException e) {
            e.prependPath(PlanRequest.class, "document");
            throw e;
        }
    }

    /** There is one form so far; a document from a newer application is not guessed at. */
    private static void refuseOtherVersions(JsonNode document) {
        JsonNode version = document.path("schemaVersion");
        if (version.isIntegralNumber() && version.asLong() != PlanDocument.SCHEMA_VERSION) {
            throw new InvalidRequestException(
                    "document.schemaVersion",
                    "must be %d, the only form known here, not %s"
                            .formatted(PlanDocument.SCHEMA_VERSION, version.asString()));
        }
    }

    /** Pieces of the locker that lie in its run. */
    static Set<UUID> pieces(PlanDocument document) {
        AssessmentRequest assessment = document.assessment();
        return assessment == null || assessment.run() == null
                ? Set.of()
                : assessment.run().stream()
                        .map(e -> e instanceof ElementRequest.Line line ? line.pieceId() : null)
                        .filter(Objects::nonNull)
                        .collect(Collectors.toSet());
    }

    /** Keys of all cable types that a document names. */
    static Set<String> cableKeys(PlanDocument document) {
        AssessmentRequest assessment = document.assessment();
        Stream<String> inRun = assessment == null || assessment.run() == null
                ? Stream.empty()
                : assessment.run().stream().map(e -> e instanceof ElementRequest.Line line ? line.cableKey() : null);
        List<CandidateRequest> candidates = document.candidates() == null ? List.of() : document.candidates();
        Set<String> keys = new LinkedHashSet<>();
        Stream.concat(inRun, candidates.stream().map(CandidateRequest::cableKey))
                .filter(Objects::nonNull)
                .forEach(keys::add);
        return keys;
    }
}
