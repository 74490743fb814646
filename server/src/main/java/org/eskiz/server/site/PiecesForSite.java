package org.eskiz.server.site;

import java.util.ArrayList;
import java.util.Currency;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.eskiz.core.choice.Money;
import org.eskiz.core.choice.Verdict;
import org.eskiz.server.catalogue.Catalogue;
import org.eskiz.server.comparison.ComparisonRequest;
import org.eskiz.server.comparison.ComparisonResponse;
import org.eskiz.server.comparison.ComparisonService;
import org.eskiz.server.comparison.RunOption;
import org.eskiz.server.document.PlanDocument;
import org.eskiz.server.document.PlanDocumentReader;
import org.eskiz.server.document.RunElement;
import org.eskiz.server.locker.PieceOfLocker;
import org.eskiz.server.locker.PiecesOfLocker;
import org.eskiz.server.plan.PlanAtSite;
import org.springframework.stereotype.Component;

/** Pieces of the locker that would do for runs of a site as they are, before anything is bought. */
@Component
class PiecesForSite {

    /** So much longer than its run a piece may be: the rest has to hang somewhere. */
    private static final double MOST_TOO_LONG = 1.3;

    /** Of those that are long enough so many are tried for a run, the shortest first. */
    private static final int MOST_TRIED = 6;

    private final PiecesOfLocker pieces;
    private final ComparisonService comparisons;

    PiecesForSite(PiecesOfLocker pieces, ComparisonService comparisons) {
        this.pieces = pieces;
        this.comparisons = comparisons;
    }

    /** Those that are long enough for any run of a site, are in, lie in none of its runs, and of which it is known what they lose. */
    List<PieceOfLocker> free(Catalogue catalogue, List<PlanAtSite> plans) {
        List<Double> lengthsM = plans.stream()
                .flatMap(p -> section(p.document()).stream())
                .map(RunElement.Line::lengthM)
                .toList();
        if (lengthsM.isEmpty()) {
            return List.of();
        }
        Set<UUID> laid = new HashSet<>();
        plans.forEach(p -> laid.addAll(PlanDocumentReader.pieces(p.document())));
        double leastM = lengthsM.stream().min(Double::compare).orElseThrow();
        double mostM = lengthsM.stream().max(Double::compare).orElseThrow();
        List<PieceOfLocker> free = pieces.ofLengths(leastM, MOST_TOO_LONG * mostM).stream()
                .filter(p -> p.outSince().isEmpty() && p.cable().isPresent() && !laid.contains(p.id()))
                .toList();
        catalogue.lookUp(free.stream().map(PieceOfLocker::id).toList());
        return free;
    }

    /**
     * Ways to build a run with one of some pieces in the place of its section.
     *
     * @param free the shortest first
     * @param worst verdict that still counts
     */
    List<RunOption> options(Catalogue catalogue, PlanAtSite plan, List<PieceOfLocker> free, Verdict worst) {
        Optional<RunElement.Line> section = section(plan.document());
        if (section.isEmpty() || plan.inRun().isEmpty()) {
            return List.of();
        }
        double lengthM = section.get().lengthM();
        List<RunOption> options = new ArrayList<>();
        free.stream()
                .filter(p -> p.lengthM() >= lengthM && p.lengthM() <= MOST_TOO_LONG * lengthM)
                .limit(MOST_TRIED)
                .forEach(piece -> {
                    ComparisonRequest asked = ComparisonRequest.of(
                            with(piece, section.get(), plan.document()),
                            plan.inRun().get().asked().tolerance());
                    ComparisonResponse.RowResponse row = comparisons.presentRow(catalogue, asked);
                    if (row.verdict().compareTo(worst) <= 0) {
                        options.add(option(piece, row));
                    }
                });
        return options;
    }

    /** The one line of a run that is left to the ledger; empty where there are none or several. */
    private static Optional<RunElement.Line> section(PlanDocument document) {
        if (document.assessment() == null || document.assessment().run() == null) {
            return Optional.empty();
        }
        List<RunElement.Line> sections = document.assessment().run().stream()
                .filter(e -> e instanceof RunElement.Line line && Boolean.TRUE.equals(line.candidate()))
                .map(e -> (RunElement.Line) e)
                .filter(line -> line.lengthM() != null)
                .toList();
        return sections.size() == 1 ? Optional.of(sections.get(0)) : Optional.empty();
    }

    private static PlanDocument with(PieceOfLocker piece, RunElement.Line section, PlanDocument document) {
        RunElement.Line laid = new RunElement.Line(
                section.id(),
                piece.label(),
                null,
                piece.id(),
                null,
                piece.lengthM(),
                true,
                null,
                null,
                section.branch());
        return document.withRun(document.assessment().run().stream()
                .map(e -> e == section ? laid : e)
                .toList());
    }

    /** Nothing is cut for it; what the rest of its run costs stands in the row. */
    private static RunOption option(PieceOfLocker piece, ComparisonResponse.RowResponse row) {
        List<Optional<Money>> others = row.cost() == null
                ? List.of()
                : List.of(Optional.of(new Money(
                        row.cost().amount(), Currency.getInstance(row.cost().currency()))));
        return new RunOption(row.id(), piece.label(), row.verdict(), List.of(), others, Optional.of(piece.id()));
    }
}
