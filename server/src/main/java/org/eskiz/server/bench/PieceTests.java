package org.eskiz.server.bench;

import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.eskiz.core.bench.PieceLoss;
import org.eskiz.core.bench.TestJoint;
import org.eskiz.core.cable.InsertionLoss;
import org.eskiz.server.bench.BenchAnalysisResponse.BenchFigureResponse;
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
    public Map<UUID, List<PieceTest>> of(Collection<UUID> pieces, UUID operator, Catalogue connectors) {
        return revisions.newestOf(pieces, operator).stream()
                .flatMap(r -> read(r, connectors).stream())
                .sorted(Comparator.comparing(PieceTest::on))
                .collect(Collectors.groupingBy(PieceTest::pieceId));
    }

    private Optional<PieceTest> read(BenchTestRevisionEntity revision, Catalogue connectors) {
        BenchTestRequest noted = json.readValue(revision.document, BenchTestRequest.class);
        StoredSummary day = json.readValue(revision.summary, StoredSummary.class);
        if (Boolean.TRUE.equals(noted.setAside())
                || noted.testedOn() == null
                || day.figures().isEmpty()) {
            return Optional.empty();
        }
        List<InsertionLoss> joints = BenchTestMapper.joints(noted, connectors).stream()
                .map(TestJoint::pad)
                .toList();
        double temperatureC = BenchTestMapper.temperatureC(noted);
        return Optional.of(new PieceTest(
                revision.key.testId(),
                revision.pieceId,
                noted.testedOn(),
                Optional.ofNullable(day.lengthM()),
                Optional.ofNullable(day.outcome()),
                day.causes().stream()
                        .map(BenchAnalysisResponse.CauseResponse::kind)
                        .toList(),
                Optional.ofNullable(day.worst()).map(BenchFigureResponse::excessDb),
                day.figures().stream().map(f -> figure(f, joints, temperatureC)).toList()));
    }

    private static PieceTest.Figure figure(BenchFigureResponse f, List<InsertionLoss> joints, double temperatureC) {
        return new PieceTest.Figure(
                new PieceLoss.Measured(
                        f.frequencyMHz(), f.lossDb(), InsertionLoss.sumDb(joints, f.frequencyMHz()), temperatureC),
                Optional.ofNullable(f.expectedDb()),
                (f.mostDb() - f.leastDb()) / 2);
    }
}
