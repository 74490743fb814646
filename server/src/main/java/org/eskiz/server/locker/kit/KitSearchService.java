package org.eskiz.server.locker.kit;

import static java.util.Objects.requireNonNullElse;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.eskiz.core.kit.Coupling;
import org.eskiz.core.kit.Eligibility;
import org.eskiz.core.kit.Kit;
import org.eskiz.core.kit.KitPreference;
import org.eskiz.core.kit.KitSearch;
import org.eskiz.core.kit.KitWanted;
import org.eskiz.core.kit.OwnedPiece;
import org.eskiz.core.kit.Packing;
import org.eskiz.server.catalogue.CableType;
import org.eskiz.server.catalogue.Catalogue;
import org.eskiz.server.catalogue.CatalogueService;
import org.eskiz.server.catalogue.PieceLookup;
import org.eskiz.server.catalogue.Provenance;
import org.eskiz.server.comparison.ComparisonService;
import org.eskiz.server.document.BandSpec;
import org.eskiz.server.document.DocumentMapper;
import org.eskiz.server.document.MoneySpec;
import org.eskiz.server.document.PurchaseSpec;
import org.eskiz.server.document.RunElement;
import org.eskiz.server.locker.PieceOfLocker;
import org.eskiz.server.locker.PieceRequest;
import org.eskiz.server.locker.PieceSummary;
import org.eskiz.server.locker.PiecesOfLocker;
import org.eskiz.server.locker.kit.KitSearchResponse.FoundKitResponse;
import org.eskiz.server.locker.kit.KitSearchResponse.LaidResponse;
import org.eskiz.server.locker.kit.KitSearchResponse.LeftOutResponse;
import org.eskiz.server.locker.kit.KitSearchResponse.PackedAdapterResponse;
import org.eskiz.server.locker.kit.KitSearchResponse.SpareResponse;
import org.eskiz.server.operator.SettingsService;
import org.eskiz.server.problem.ValidationErrors;
import org.springframework.stereotype.Service;

/** Makes runs of what lies in the locker. */
@Service
class KitSearchService {

    private static final double USUAL_OHM = 50;
    private static final double USUAL_C = 20;

    private final PiecesOfLocker pieces;
    private final ComparisonService comparisons;
    private final CatalogueService catalogues;
    private final SettingsService settings;

    KitSearchService(
            PiecesOfLocker pieces,
            ComparisonService comparisons,
            CatalogueService catalogues,
            SettingsService settings) {
        this.pieces = pieces;
        this.comparisons = comparisons;
        this.catalogues = catalogues;
        this.settings = settings;
    }

    /** The best kits for a run, one for each thing that may be wanted most. */
    KitSearchResponse search(KitSearchRequest request) {
        Catalogue catalogue = catalogues.current();
        ValidationErrors errors = ValidationErrors.in(request);
        errors.throwIfAny();
        comparisons.check(request.comparison(), "comparison");
        PieceRequest.EndRequest.requireKnown(request.radio(), "radio", catalogue, errors);
        PieceRequest.EndRequest.requireKnown(request.antenna(), "antenna", catalogue, errors);
        List<Integer> sections = sections(request.comparison().run());
        if (sections.size() != 1) {
            errors.add(
                    "comparison.run",
                    "must mark exactly one LINE as candidate for a kit to stand in for, not " + sections.size());
        }
        errors.throwIfAny();
        return new Search(request, catalogue, sections.get(0)).answer();
    }

    private static List<Integer> sections(List<RunElement> run) {
        List<Integer> sections = new ArrayList<>();
        for (int i = 0; i < run.size(); i++) {
            if (run.get(i) instanceof RunElement.Line line && Boolean.TRUE.equals(line.candidate())) {
                sections.add(i);
            }
        }
        return sections;
    }

    /** A piece that may be used. */
    private record Usable(OwnedPiece piece, UUID id, String label, CableType cable) {}

    /** One search, with what it rests on. */
    private final class Search {

        private final KitSearchRequest request;
        private final Catalogue catalogue;
        private final List<RunElement> run;
        private final int section;
        private final double frequencyMHz;
        private final double ambientC;
        private final Map<String, Usable> usable = new LinkedHashMap<>();
        private final List<LeftOutResponse> leftOut = new ArrayList<>();
        private final Map<List<String>, Found> found = new LinkedHashMap<>();
        private final String currency = settings.get().currency();
        private double shortByM;
        private long setsTried;

        /** A kit and what it is best in. */
        private record Found(Kit kit, List<KitPreference> bestIn, List<KitPreference> provenIn) {}

        Search(KitSearchRequest request, Catalogue catalogue, int section) {
            this.request = request;
            this.catalogue = catalogue;
            this.run = request.comparison().run();
            this.section = section;
            this.frequencyMHz = request.comparison().bands().stream()
                    .mapToDouble(BandSpec::frequencyMHz)
                    .max()
                    .orElseThrow();
            this.ambientC = requireNonNullElse(request.comparison().ambientC(), USUAL_C);
        }

        KitSearchResponse answer() {
            Eligibility eligibility = eligibility();
            for (PieceOfLocker p : pieces.all()) {
                p.cable()
                        .ifPresent(cable ->
                                catalogue.know(new PieceLookup.FoundPiece(p.id(), p.label(), p.lengthM(), cable)));
                eligibility
                        .exclusion(candidate(p))
                        .ifPresentOrElse(why -> leftOut.add(new LeftOutResponse(p.id(), p.label(), why)), () -> use(p));
            }
            for (KitPreference wish : KitPreference.values()) {
                search(wish);
            }
            return new KitSearchResponse(
                    wantedM(),
                    frequencyMHz,
                    found.values().stream().map(this::response).toList(),
                    found.isEmpty() ? shortByM : null,
                    leftOut.stream()
                            .sorted(Comparator.comparing(LeftOutResponse::label))
                            .toList(),
                    setsTried);
        }

        private double wantedM() {
            return request.lengthM() == null ? ((RunElement.Line) run.get(section)).lengthM() : request.lengthM();
        }

        private static Eligibility.Candidate candidate(PieceOfLocker p) {
            return new Eligibility.Candidate(
                    p.id().toString(),
                    switch (p.condition()) {
                        case RETIRED -> Eligibility.Condition.RETIRED;
                        case FAILING -> Eligibility.Condition.FAILING;
                        default -> Eligibility.Condition.SOUND;
                    },
                    p.outSince().isPresent(),
                    p.cable()
                            .map(c -> new Eligibility.Line(
                                    c.facts().construction().balanced(),
                                    c.facts().construction().impedanceOhm())),
                    PieceInKit.areEndsKnown(p));
        }

        private Eligibility eligibility() {
            return new Eligibility(
                    stationOhm(),
                    requireNonNullElse(request.leaveOut(), List.<UUID>of()).stream()
                            .map(UUID::toString)
                            .collect(Collectors.toSet()),
                    Boolean.TRUE.equals(request.withFailing()));
        }

        private double stationOhm() {
            double radioOhm = request.comparison().radio() == null
                    ? USUAL_OHM
                    : requireNonNullElse(request.comparison().radio().impedanceOhm(), USUAL_OHM);
            return new DocumentMapper(catalogue).run(run).stationOhm(section, radioOhm);
        }

        private void use(PieceOfLocker p) {
            CableType cable = p.cable().orElseThrow();
            OwnedPiece piece = PieceInKit.of(p, cable, frequencyMHz, ambientC);
            usable.put(piece.id(), new Usable(piece, p.id(), p.label(), cable));
        }

        private void search(KitPreference wish) {
            List<OwnedPiece> pieces = usable.values().stream()
                    .map(Usable::piece)
                    .filter(p -> wish != KitPreference.LEAST_MASS || p.massKg().isPresent())
                    .toList();
            var wanted = new KitWanted(
                    wantedM(),
                    wish,
                    Optional.ofNullable(request.radio()).map(PieceRequest.EndRequest::end),
                    Optional.ofNullable(request.antenna()).map(PieceRequest.EndRequest::end),
                    pairLossDb(),
                    requireNonNullElse(request.mostPieces(), KitWanted.USUAL_MOST_PIECES));
            KitSearch.Result result = KitSearch.search(pieces, wanted, KitSearch.MOST_STEPS);
            setsTried += result.setsTried();
            shortByM = wish == KitPreference.LEAST_LOSS ? result.shortByM() : shortByM;
            result.kit().ifPresent(kit -> {
                List<String> ids =
                        kit.pieces().stream().map(l -> l.piece().id()).toList();
                Found same = found.computeIfAbsent(
                        ids.stream().sorted().toList(), k -> new Found(kit, new ArrayList<>(), new ArrayList<>()));
                same.bestIn().add(wish);
                if (result.isProven()) {
                    same.provenIn().add(wish);
                }
            });
        }

        private Map<String, Double> pairLossDb() {
            Map<String, Double> losses = new HashMap<>();
            catalogue
                    .connectors()
                    .forEach(c -> losses.put(
                            c.key(),
                            statedOr(
                                    request.comparison().flatJointLossDb(),
                                    c.loss().lossDb(frequencyMHz))));
            return losses;
        }

        private static double statedOr(Double stated, double typical) {
            return stated == null ? typical : stated;
        }

        private FoundKitResponse response(Found f) {
            Kit kit = f.kit();
            List<RunElement> made = runOf(kit);
            Packing packing =
                    Packing.of(kit, usable.values().stream().map(Usable::piece).toList());
            return new FoundKitResponse(
                    f.bestIn(),
                    f.provenIn(),
                    kit.pieces().stream().map(this::laid).toList(),
                    made,
                    kit.lengthM(),
                    kit.leftOverM(),
                    kit.lossDb(),
                    kit.massKg().isEmpty() ? null : kit.massKg().getAsDouble(),
                    kit.matedPairs(),
                    packing.adapters().entrySet().stream()
                            .map(a -> new PackedAdapterResponse(
                                    PieceSummary.EndResponse.of(a.getKey().near()),
                                    PieceSummary.EndResponse.of(a.getKey().far()),
                                    a.getValue()))
                            .toList(),
                    packing.spare()
                            .map(s -> usable.get(s.id()))
                            .map(u -> new SpareResponse(
                                    u.id(), u.label(), u.piece().lengthM()))
                            .orElse(null),
                    comparisons.presentRow(catalogue, request.comparison().of(made, nothingToBuy())));
        }

        /** The ends are on the pieces already. */
        private PurchaseSpec nothingToBuy() {
            return new PurchaseSpec(1, new MoneySpec(0.0, currency), null);
        }

        private LaidResponse laid(Kit.Laid laid) {
            Usable u = usable.get(laid.piece().id());
            return new LaidResponse(
                    u.id(),
                    u.label(),
                    u.piece().lengthM(),
                    laid.turned(),
                    u.piece().lossDb(),
                    u.cable().facts().source().provenance() == Provenance.MEASURED);
        }

        /** The run with the kit in the place of its section; couplings with what is known take the place of the joints there. */
        private List<RunElement> runOf(Kit kit) {
            String branch = run.get(section).branch();
            int from = kit.atRadio().isPresent() && isJoint(section - 1) ? section - 1 : section;
            int to = kit.atAntenna().isPresent() && isJoint(section + 1) ? section + 1 : section;
            List<RunElement> made = new ArrayList<>(run.subList(0, from));
            kit.atRadio().ifPresent(c -> made.addAll(joints(c, branch)));
            for (int i = 0; i < kit.pieces().size(); i++) {
                if (i > 0) {
                    made.addAll(joints(kit.between().get(i - 1), branch));
                }
                Usable u = usable.get(kit.pieces().get(i).piece().id());
                made.add(new RunElement.Line(
                        null, u.label(), null, u.id(), null, u.piece().lengthM(), true, null, null, branch));
            }
            kit.atAntenna().ifPresent(c -> made.addAll(joints(c, branch)));
            made.addAll(run.subList(to + 1, run.size()));
            return made;
        }

        private boolean isJoint(int element) {
            return element >= 0 && element < run.size() && run.get(element) instanceof RunElement.Joint;
        }

        private static List<RunElement> joints(Coupling coupling, String branch) {
            return coupling.mated().stream()
                    .map(connector -> (RunElement) RunElement.Joint.of(connector, branch))
                    .collect(Collectors.toList());
        }
    }
}
