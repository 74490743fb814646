package org.eskiz.server.comparison;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.eskiz.server.catalogue.Catalogue;
import org.eskiz.server.document.CandidateSpec;
import org.eskiz.server.document.DocumentValidator;
import org.eskiz.server.document.RequirementSpec;
import org.eskiz.server.document.RunElement;
import org.eskiz.server.problem.ValidationErrors;

/** What has to be there, beyond an assessment, before cables can be compared. */
final class ComparisonValidator {

    private final Catalogue catalogue;
    private final ValidationErrors errors;
    private final DocumentValidator parts;

    ComparisonValidator(Catalogue catalogue, ValidationErrors errors) {
        this.catalogue = catalogue;
        this.errors = errors;
        this.parts = new DocumentValidator(catalogue, errors);
    }

    void complete(ComparisonRequest request) {
        parts.complete(request.assessment());
        if (request.run() != null && request.run().stream().noneMatch(ComparisonValidator::isCandidateLine)) {
            errors.add("run", "must mark at least one LINE as candidate");
        }
        candidates(request.candidates());
        DocumentValidator.each(
                "requirements", request.requirements(), (path, asked) -> requirement(path, asked, request));
        if (request.value() != null) {
            band("value.band", request.value().band(), request);
        }
        DocumentValidator.each("details", request.details(), (path, cell) -> detail(path, cell, request));
    }

    static boolean isCandidateLine(RunElement element) {
        return element instanceof RunElement.Line line && Boolean.TRUE.equals(line.candidate());
    }

    private void candidates(List<CandidateSpec> candidates) {
        Set<String> ids = new HashSet<>();
        DocumentValidator.each("candidates", candidates, (path, candidate) -> {
            parts.exactlyOne(path, "cableKey or cable", candidate.cableKey(), candidate.cable());
            parts.knownCable(path + ".cableKey", candidate.cableKey());
            parts.complete(path + ".cable", candidate.cable());
            if (candidate.cable() != null) {
                ownId(path + ".id", candidate.id());
            }
            String id = candidate.cableKey() == null ? candidate.id() : candidate.cableKey();
            if (id != null && !ids.add(id)) {
                errors.add(path, "the candidate \"" + id + "\" is there twice");
            }
        });
    }

    private void ownId(String path, String id) {
        if (id == null) {
            errors.add(path, "must be given for a cable written out");
        } else if (catalogue.cableType(id).isPresent()) {
            errors.add(path, "\"" + id + "\" is a key of the catalogue; give a cable of your own another id");
        }
    }

    private void requirement(String path, RequirementSpec asked, ComparisonRequest request) {
        if (asked.kind() == null) {
            errors.add(path + ".kind", "must be given");
            return;
        }
        numbers(path, asked);
        if (asked.bandId() != null) {
            ofOneBand(path + ".bandId", asked, request);
        }
        if (asked.kind().isOfWatts() && isReceiverSomewhere(asked, request)) {
            errors.add(path + ".kind", "a receiver has no watts: ask for LEAST_PERCENT or MOST_LOSS");
        }
    }

    /** The number of its kind and no other; metres on the mast and a currency go with theirs. */
    private void numbers(String path, RequirementSpec asked) {
        RequirementSpec.Number number = asked.kind().number;
        if (number != null) {
            parts.require(path + "." + number.field, number.value.apply(asked));
        }
        List<String> others = asked.numbersGiven()
                .filter(f -> number == null || !f.equals(number.field))
                .toList();
        if (!others.isEmpty()) {
            errors.add(
                    path,
                    "%s takes %s, not %s"
                            .formatted(
                                    asked.kind(),
                                    number == null ? "no number" : number.field + " alone",
                                    String.join(" and ", others)));
        }
        if (asked.kind() == RequirementSpec.Kind.MOST_MASS_ON_MAST) {
            parts.require(path + ".mastM", asked.mastM());
        }
        knownConnector(path + ".radioSocketKey", asked.radioSocketKey());
        knownConnector(path + ".antennaSocketKey", asked.antennaSocketKey());
    }

    private void knownConnector(String path, String key) {
        if (key != null && catalogue.connector(key).isEmpty()) {
            errors.add(path, "there is no connector \"" + key + "\"");
        }
    }

    private void ofOneBand(String path, RequirementSpec asked, ComparisonRequest request) {
        if (!asked.kind().isOfBands()) {
            errors.add(path, asked.kind() + " is asked of the run as a whole, not of one band");
        } else if (request.bands() != null
                && request.bands().stream()
                        .noneMatch(b -> b != null && asked.bandId().equals(b.id()))) {
            errors.add(path, "there is no band \"" + asked.bandId() + "\"");
        }
    }

    private static boolean isReceiverSomewhere(RequirementSpec asked, ComparisonRequest request) {
        boolean radioHasPower = request.radio() != null && request.radio().powerW() != null;
        return asked.stands()
                && !radioHasPower
                && request.bands() != null
                && request.bands().stream()
                        .filter(b -> b != null
                                && (asked.bandId() == null || asked.bandId().equals(b.id())))
                        .anyMatch(b -> b.powerW() == null);
    }

    private void detail(String path, ComparisonRequest.CellRequest cell, ComparisonRequest request) {
        parts.require(path + ".rowId", cell.rowId());
        parts.require(path + ".band", cell.band());
        band(path + ".band", cell.band(), request);
    }

    void band(String path, Integer band, ComparisonRequest request) {
        int bands = request.bands() == null ? 0 : request.bands().size();
        if (band != null && band >= bands) {
            errors.add(path, "must be below " + bands + ", the number of bands, not " + band);
        }
    }
}
