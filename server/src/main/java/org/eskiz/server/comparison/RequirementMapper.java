package org.eskiz.server.comparison;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import org.eskiz.core.choice.Requirement;
import org.eskiz.server.document.BandSpec;
import org.eskiz.server.document.RequirementSpec;

/** What a request asks for the core, and back from there to where it stands in the request. */
final class RequirementMapper {

    private final List<RequirementSpec> requests;
    private final List<Requirement> requirements = new ArrayList<>();
    private final List<Integer> positions = new ArrayList<>();

    RequirementMapper(ComparisonRequest request) {
        this.requests = request.requirements() == null ? List.of() : request.requirements();
        for (int i = 0; i < requests.size(); i++) {
            if (requests.get(i).stands()) {
                requirements.add(requests.get(i).requirement(band(requests.get(i), request.bands())));
                positions.add(i);
            }
        }
    }

    private static OptionalInt band(RequirementSpec asked, List<BandSpec> bands) {
        for (int i = 0; i < bands.size(); i++) {
            if (asked.bandId() != null && asked.bandId().equals(bands.get(i).id())) {
                return OptionalInt.of(i);
            }
        }
        return OptionalInt.empty();
    }

    List<Requirement> requirements() {
        return requirements;
    }

    /** Where a requirement stands in the request, from 0: this one, and not one that asks the same. */
    int positionOf(Requirement requirement) {
        for (int i = 0; i < requirements.size(); i++) {
            if (requirements.get(i) == requirement) {
                return positions.get(i);
            }
        }
        throw new IllegalArgumentException("no requirement of this request: " + requirement);
    }

    RequirementSpec.Kind kindOf(Requirement requirement) {
        return requests.get(positionOf(requirement)).kind();
    }
}
