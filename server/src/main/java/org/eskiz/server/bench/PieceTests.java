package org.eskiz.server.bench;

import java.time.LocalDate;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.eskiz.core.bench.PieceLoss;
import org.eskiz.core.bench.SheetDeviation;
import org.eskiz.core.bench.TestJoint;
import org.eskiz.core.cable.InsertionLoss;
import org.eskiz.server.catalogue.Catalogue;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** What the bench knows of pieces: the tests that count, the earliest first; what was set aside is left out. */
@Service
public class PieceTests {

    private final BenchTestRevisionRepository revisions;
    private final JsonMapper json;

    PieceTests(BenchTestRevisionRepository revisions, JsonMapper json) {
        this.revisions = revisions;
        this.json = json;
    }

    /** Of some pieces, those that have any. */
    @Transactional(readOnly = true)
    public Map<UUID, List<PieceTest>> of(Collection<UUID> pieces, UUID workshop, Catalogue connectors) {
        return revisions.newestOf(pieces, workshop).stream()
                .flatMap(row -> read((UUID) row[0], (UUID) row[1], (String) row[2], connectors).stream())
                .sorted(Comparator.comparing(PieceTest::on))
                .collect(Collectors.groupingBy(PieceTest::pieceId));
    }

    private Optional<PieceTest> read(UUID test, UUID piece, String text, Catalogue connectors) {
        InShort noted = json.readValue(text, InShort.class);
        if (Boolean.TRUE.equals(noted.setAside())
                || noted.testedOn() == null
                || noted.figures().isEmpty()) {
            return Optional.empty();
        }
        List<InsertionLoss> joints = BenchTestMapper.joints(noted.joints(), connectors).stream()
                .map(TestJoint::pad)
                .toList();
        double temperatureC = BenchTestMapper.temperatureC(noted.temperatureC());
        return Optional.of(new PieceTest(
                test,
                piece,
                noted.testedOn(),
                Optional.ofNullable(noted.lengthM()),
                Optional.ofNullable(noted.outcome()),
                noted.causes().stream()
                        .filter(Objects::nonNull)
                        .map(BenchAnalysisResponse.CauseResponse::kind)
                        .toList(),
                Optional.ofNullable(noted.worstExcessDb()),
                noted.figures().stream()
                        .map(f -> figure(f, joints, temperatureC))
                        .toList()));
    }

    private static PieceTest.Figure figure(InShort.Figure f, List<InsertionLoss> joints, double temperatureC) {
        return new PieceTest.Figure(
                new PieceLoss.Measured(
                        f.frequencyMHz(), f.lossDb(), InsertionLoss.sumDb(joints, f.frequencyMHz()), temperatureC),
                Optional.ofNullable(f.expectedDb()),
                (f.mostDb() - f.leastDb()) / 2);
    }

    /** Of what was noted of a test, and what it came to, as much as a piece needs to know: the database keeps it. */
    private record InShort(
            LocalDate testedOn,
            Boolean setAside,
            List<BenchTestRequest.JointInTestRequest> joints,
            Double temperatureC,
            Double lengthM,
            SheetDeviation.Outcome outcome,
            List<BenchAnalysisResponse.CauseResponse> causes,
            Double worstExcessDb,
            List<Figure> figures) {

        private record Figure(double frequencyMHz, double lossDb, double leastDb, double mostDb, Double expectedDb) {}
    }
}
