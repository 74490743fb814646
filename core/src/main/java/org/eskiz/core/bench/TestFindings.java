package org.eskiz.core.bench;

import java.util.ArrayList;
import java.util.List;

/** Findings, gathered while a test is worked out. */
final class TestFindings {

    private final List<TestFinding> found = new ArrayList<>();

    void add(TestFinding finding) {
        found.add(finding);
    }

    /** Adds one unless there is one of its kind. */
    void once(TestFinding finding) {
        if (found.stream().noneMatch(f -> f.getClass() == finding.getClass())) {
            add(finding);
        }
    }

    /** Adds the doubts of which there is none of the kind yet. */
    void add(List<SweepDoubt> doubts) {
        doubts.stream()
                .filter(d -> found.stream()
                        .noneMatch(f -> f instanceof TestFinding.Doubted before
                                && before.doubt().kind() == d.kind()))
                .forEach(d -> add(new TestFinding.Doubted(d)));
    }

    List<TestFinding> all() {
        return List.copyOf(found);
    }
}
