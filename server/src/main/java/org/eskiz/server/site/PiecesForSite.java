package org.eskiz.server.site;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.Currency;
import java.util.List;
import java.util.Optional;
import org.eskiz.core.choice.Money;
import org.eskiz.core.choice.Verdict;
import org.eskiz.server.catalogue.Catalogue;
import org.eskiz.server.comparison.ComparisonRequest;
import org.eskiz.server.comparison.ComparisonResponse;
import org.eskiz.server.comparison.ComparisonService;
import org.eskiz.server.comparison.RunOption;
import org.eskiz.server.document.RunElement;
import org.eskiz.server.locker.PieceOfLocker;
import org.eskiz.server.locker.PiecesOfLocker;
import org.eskiz.server.plan.PlanAtSite;
import org.eskiz.server.plan.PlansAtSite;
import org.springframework.stereotype.Component;

/** Pieces of the locker that would do for a run as they are, before anything is bought for it. */
@Component
class PiecesForSite {

    /** So much longer than its run a piece may be: the rest has to hang somewhere. */
    private static final double MOST_TOO_LONG = 1.3;

    /** Of those that are long enough so many are tried for a run, the shortest first. */
    private static final int MOST_TRIED = 6;

    private final PiecesOfLocker pieces;
    private final PlansAtSite plans;
    private final ComparisonService comparisons;

    PiecesForSite(PiecesOfLocker pieces, PlansAtSite plans, ComparisonService comparisons) {
        this.pieces = pieces;
        this.plans = plans;
        this.comparisons = comparisons;
    }

    /** Those that lie in the locker, neither out nor retired, and of which it is known what they lose. */
    List<PieceOfLocker> free() {
        return pieces.all().stream()
                .filter(p -> p.retiredOn().isEmpty()
                        && p.outSince().isEmpty()
                        && p.cable().isPresent())
                .sorted(Comparator.comparingDouble(PieceOfLocker::lengthM))
                .toList();
    }

    /**
     * Ways to build a run with one of some pieces in the place of its one section.
     *
     * @param worst verdict that still counts
     */
    List<RunOption> options(Catalogue catalogue, PlanAtSite plan, List<PieceOfLocker> free, Verdict worst) {
        List<RunElement> run = plan.document().assessment().run();
        List<RunElement.Line> sections = run.stream()
                .filter(e -> e instanceof RunElement.Line line && Boolean.TRUE.equals(line.candidate()))
                .map(e -> (RunElement.Line) e)
                .toList();
        if (sections.size() != 1) {
            return List.of();
        }
        RunElement.Line section = sections.get(0);
        List<PieceOfLocker> longEnough = free.stream()
                .filter(p -> p.lengthM() >= section.lengthM() && p.lengthM() <= MOST_TOO_LONG * section.lengthM())
                .limit(MOST_TRIED)
                .toList();
        catalogue.lookUp(longEnough.stream().map(PieceOfLocker::id).toList());
        List<RunOption> options = new ArrayList<>();
        for (PieceOfLocker piece : longEnough) {
            List<RunElement> with = new ArrayList<>(run);
            with.set(run.indexOf(section), laid(section, piece));
            ComparisonRequest asked = plans.askedWith(plan, with);
            ComparisonResponse.RowResponse row = comparisons.presentRow(catalogue, asked);
            if (row.verdict().compareTo(worst) <= 0) {
                options.add(new RunOption(
                        row.id(),
                        piece.label(),
                        row.verdict(),
                        List.of(),
                        Optional.ofNullable(row.cost()).map(PiecesForSite::money).stream()
                                .map(Optional::of)
                                .toList(),
                        Optional.of(piece.id())));
            }
        }
        return options;
    }

    private static Money money(ComparisonResponse.CostResponse cost) {
        return new Money(cost.amount(), Currency.getInstance(cost.currency()));
    }

    private static RunElement.Line laid(RunElement.Line section, PieceOfLocker piece) {
        return new RunElement.Line(
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
    }
}
