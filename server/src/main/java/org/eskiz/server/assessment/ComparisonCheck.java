package org.eskiz.server.assessment;

import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Stream;
import org.eskiz.server.catalogue.Catalogue;
import org.eskiz.server.http.Faults;

/** What has to be there, beyond an assessment, before cables can be compared. */
final class ComparisonCheck {

    private final Catalogue catalogue;
    private final Faults faults;
    private final RequestCheck parts;

    ComparisonCheck(Catalogue catalogue, Faults faults) {
        this.catalogue = catalogue;
        this.faults = faults;
        this.parts = new RequestCheck(catalogue, faults);
    }

    void complete(ComparisonRequest request) {
        parts.complete(request.assessment());
        if (request.run() != null && request.run().stream().noneMatch(ComparisonCheck::isCandidateLine)) {
            faults.add("run", "must mark at least one LINE as candidate");
        }
        candidates(request.candidates());
        RequestCheck.each("requirements", request.requirements(), (path, asked) -> requirement(path, asked, request));
        RequestCheck.each("details", request.details(), (path, cell) -> detail(path, cell, request));
    }

    static boolean isCandidateLine(ElementRequest element) {
        return element instanceof ElementRequest.Line line && Boolean.TRUE.equals(line.candidate());
    }

    private void candidates(List<CandidateRequest> candidates) {
        Set<String> ids = new HashSet<>();
        RequestCheck.each("candidates", candidates, (path, candidate) -> {
            parts.exactlyOne(path, "cableKey or cable", candidate.cableKey(), candidate.cable());
            parts.knownCable(path + ".cableKey", candidate.cableKey());
            parts.complete(path + ".cable", candidate.cable());
            if (candidate.cable() != null) {
                ownId(path + ".id", candidate.id());
            }
            String id = candidate.cableKey() == null ? candidate.id() : candidate.cableKey();
            if (id != null && !ids.add(id)) {
                faults.add(path, "the candidate \"" + id + "\" is there twice");
            }
        });
    }

    private void ownId(String path, String id) {
        if (id == null) {
            faults.add(path, "must be given for a cable written out");
        } else if (catalogue.cableType(id).isPresent()) {
            faults.add(path, "\"" + id + "\" is a key of the catalogue; give a cable of your own another id");
        }
    }

    private void requirement(String path, RequirementRequest asked, ComparisonRequest request) {
        if (asked.kind() == null) {
            faults.add(path + ".kind", "must be given");
            return;
        }
        switch (asked.kind()) {
            case LEAST_POWER -> onlyNumber(path, "powerW", asked.powerW(), asked);
            case MOST_LOSS -> onlyNumber(path, "lossDb", asked.lossDb(), asked);
            case LEAST_PERCENT -> onlyNumber(path, "percent", asked.percent(), asked);
        }
        if (asked.kind() == RequirementRequest.Kind.LEAST_POWER && isReceiverSomewhere(request)) {
            faults.add(path + ".kind", "a receiver has no watts: ask for LEAST_PERCENT or MOST_LOSS");
        }
    }

    private void onlyNumber(String path, String name, Double number, RequirementRequest asked) {
        parts.require(path + "." + name, number);
        long given = Stream.of(asked.powerW(), asked.lossDb(), asked.percent())
                .filter(Objects::nonNull)
                .count();
        if (given > 1) {
            faults.add(path, asked.kind() + " takes " + name + " alone");
        }
    }

    private static boolean isReceiverSomewhere(ComparisonRequest request) {
        boolean radioHasPower = request.radio() != null && request.radio().powerW() != null;
        return !radioHasPower
                && request.bands() != null
                && request.bands().stream().anyMatch(b -> b != null && b.powerW() == null);
    }

    private void detail(String path, ComparisonRequest.CellRequest cell, ComparisonRequest request) {
        parts.require(path + ".rowId", cell.rowId());
        parts.require(path + ".band", cell.band());
        int bands = request.bands() == null ? 0 : request.bands().size();
        if (cell.band() != null && cell.band() >= bands) {
            faults.add(path + ".band", "must be below " + bands + ", the number of bands, not " + cell.band());
        }
    }
}
