package org.eskiz.server.document;

import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import org.eskiz.server.problem.ValidationErrors;

/**
 * Whether the branches of a forking run hang together: every fork leads to every branch, what stands in a branch stands on the far
 * side of a fork, and every band goes through one.
 */
final class ForkValidator {

    private static final int MOST_FORKS = 2;

    private final ValidationErrors errors;

    ForkValidator(ValidationErrors errors) {
        this.errors = errors;
    }

    void check(AssessmentSpec request) {
        List<RunElement> run = request.run() == null ? List.of() : request.run();
        Set<String> branches = new LinkedHashSet<>();
        run.forEach(e -> {
            if (e instanceof RunElement.Fork fork && fork.ports() != null) {
                fork.ports().forEach(p -> branches.add(p.branch()));
            }
        });
        DocumentValidator.each("run", run, (path, element) -> {
            if (element instanceof RunElement.Fork fork && fork.ports() != null) {
                ports(path, fork, branches);
            }
            known(path + ".branch", element.branch(), branches);
        });
        sides(run);
        DocumentValidator.each("bands", request.bands(), (path, band) -> {
            known(path + ".branch", band.branch(), branches);
            if (!branches.isEmpty() && band.branch() == null) {
                errors.add(
                        path + ".branch", "must be given, since the run forks: one of " + String.join(", ", branches));
            }
        });
    }

    private void ports(String path, RunElement.Fork fork, Set<String> branches) {
        Set<String> own = new HashSet<>();
        DocumentValidator.each(path + ".ports", fork.ports(), (where, port) -> {
            if (port.branch().isEmpty()) {
                errors.add(where + ".branch", "must be a name, not empty");
            }
            if (!own.add(port.branch())) {
                errors.add(where + ".branch", "another port leads to \"" + port.branch() + "\" already");
            }
        });
        branches.stream()
                .filter(b -> !own.contains(b))
                .forEach(b -> errors.add(path + ".ports", "must have a port to \"" + b + "\" as the other fork has"));
    }

    private void known(String path, String branch, Set<String> branches) {
        if (branch != null && !branches.contains(branch)) {
            errors.add(
                    path,
                    branches.isEmpty()
                            ? "there is no fork in the run that could lead to \"" + branch + "\""
                            : "must be one of %s, not \"%s\"".formatted(String.join(", ", branches), branch));
        }
    }

    /** With one fork its branches are on one side of it; with two, outside of them. */
    private void sides(List<RunElement> run) {
        int first = -1;
        int last = -1;
        int forks = 0;
        for (int i = 0; i < run.size(); i++) {
            if (run.get(i) instanceof RunElement.Fork) {
                first = first < 0 ? i : first;
                last = i;
                forks++;
            }
        }
        if (forks > MOST_FORKS) {
            errors.add("run", "may fork at most " + MOST_FORKS + " times, not " + forks);
        }
        boolean isBefore = isToward(run, first, RunElement.Toward.RADIOS);
        boolean isBehind = isToward(run, first, RunElement.Toward.ANTENNAS);
        for (int i = 0; i < run.size() && forks > 0; i++) {
            if (run.get(i) == null || run.get(i).branch() == null) {
                continue;
            }
            if (i > first && i < last) {
                errors.add("run[" + i + "].branch", "stands between two forks, where all branches are one line");
            } else if (forks == 1 && (i < first ? isBehind : isBefore)) {
                errors.add("run[" + i + "].branch", "stands on the other side of the fork than its branches are");
            }
            isBefore |= i < first;
        }
    }

    private static boolean isToward(List<RunElement> run, int at, RunElement.Toward toward) {
        return at >= 0 && run.get(at) instanceof RunElement.Fork fork && fork.toward() == toward;
    }
}
