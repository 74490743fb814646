package org.eskiz.server.document;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.eskiz.server.catalogue.CatalogueService;
import org.eskiz.server.problem.InvalidRequestException;
import org.eskiz.server.problem.ValidationErrors;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Reads and checks the documents of plans. */
@Component
public class PlanDocumentReader {

    private static final String GAIN = "preamplifierGainDb";
    private static final String NOISE_FIGURE = "preamplifierNoiseFigureDb";

    private final JsonMapper json;
    private final CatalogueService catalogues;

    PlanDocumentReader(JsonMapper json, CatalogueService catalogues) {
        this.json = json;
        this.catalogues = catalogues;
    }

    /**
     * Reads a document that is to be stored, with every fault under {@code document.}.
     *
     * @throws JacksonException when it cannot be read
     */
    public PlanDocument check(JsonNode document, ValidationErrors errors) {
        refuseOtherVersions(document);
        PlanDocument read = read(document);
        errors.check(read, "document");
        ReferenceValidator.check(read.assessment(), read.candidates(), catalogues.current(), errors, "document.");
        return read;
    }

    /** Reads a document that was stored, of this or an older form. */
    public PlanDocument readStored(String document) {
        return read(json.readTree(document));
    }

    /**
     * A document as the sheet of today takes it: what earlier versions stated elsewhere stands where it belongs. A preamplifier
     * beside the run becomes an element at its antenna end.
     *
     * @param document as it was written; it is left as it is
     */
    public static JsonNode upToDate(JsonNode document) {
        JsonNode receiver = document.path("assessment").path("receiver");
        if (!receiver.path(GAIN).isNumber()
                || !document.path("assessment").path("run").isArray()) {
            return document;
        }
        ObjectNode raised = (ObjectNode) document.deepCopy();
        ObjectNode assessment = (ObjectNode) raised.get("assessment");
        ObjectNode before = (ObjectNode) assessment.get("receiver");
        ObjectNode element = ((ArrayNode) assessment.get("run")).addObject();
        element.put("id", AssessmentSpec.PREAMPLIFIER_ID).put("kind", "PREAMPLIFIER");
        element.set("gainDb", before.remove(GAIN));
        JsonNode figure = before.remove(NOISE_FIGURE);
        if (figure != null && figure.isNumber()) {
            element.set("noiseFigureDb", figure);
        }
        element.put("owned", true);
        return raised;
    }

    private PlanDocument read(JsonNode document) {
        try {
            return json.treeToValue(document, PlanDocument.class);
        } catch (JacksonException e) {
            e.prependPath(PlanDocument.class, "document");
            throw e;
        }
    }

    /** There is one form so far; a document from a newer application is not guessed at. */
    private static void refuseOtherVersions(JsonNode document) {
        JsonNode version = document.path("schemaVersion");
        if (version.isIntegralNumber() && version.asLong() != PlanDocument.SCHEMA_VERSION) {
            throw new InvalidRequestException(
                    "document.schemaVersion",
                    String.format(
                            Locale.ROOT,
                            "must be %d, the only form known here, not %s",
                            PlanDocument.SCHEMA_VERSION,
                            version.asString()));
        }
    }

    /** Pieces of the locker that lie in its run. */
    public static Set<UUID> pieces(PlanDocument document) {
        AssessmentSpec assessment = document.assessment();
        return assessment == null || assessment.run() == null
                ? Set.of()
                : assessment.run().stream()
                        .map(e -> e instanceof RunElement.Line line ? line.pieceId() : null)
                        .filter(Objects::nonNull)
                        .collect(Collectors.toSet());
    }

    /** Keys of all cable types that a document names. */
    public static Set<String> cableKeys(PlanDocument document) {
        AssessmentSpec assessment = document.assessment();
        Stream<String> inRun = assessment == null || assessment.run() == null
                ? Stream.empty()
                : assessment.run().stream().map(e -> e instanceof RunElement.Line line ? line.cableKey() : null);
        List<CandidateSpec> candidates = document.candidates() == null ? List.of() : document.candidates();
        Set<String> keys = new LinkedHashSet<>();
        Stream.concat(inRun, candidates.stream().map(CandidateSpec::cableKey))
                .filter(Objects::nonNull)
                .forEach(keys::add);
        return keys;
    }
}
