package org.eskiz.server.assessment;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import org.eskiz.core.choice.Requirement;

/** What a request asks for the core, and back from there to where it stands in the request. */
final class AskedReading {

    private final List<RequirementRequest> requests;
    private final List<Requirement> requirements = new ArrayList<>();
    private final List<Integer> positions = new ArrayList<>();

    AskedReading(ComparisonRequest request) {
        this.requests = request.requirements() == null ? List.of() : request.requirements();
        for (int i = 0; i < requests.size(); i++) {
            if (requests.get(i).isOn()) {
                requirements.add(requests.get(i).requirement(band(requests.get(i), request.bands())));
                positions.add(i);
            }
        }
    }

    private static OptionalInt band(RequirementRequest asked, List<BandRequest> bands) {
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

    /** Where a requirement stands in the request, from 0. */
    int positionOf(Requirement requirement) {
        return positions.get(requirements.indexOf(requirement));
    }

    RequirementRequest.Kind kindOf(Requirement requirement) {
        return requests.get(positionOf(requirement)).kind();
    }
}
