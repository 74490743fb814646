package org.eskiz.server.bench;

import static java.util.Objects.requireNonNullElse;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.eskiz.core.bench.BenchTest;
import org.eskiz.core.bench.Expectation;
import org.eskiz.core.bench.Lead;
import org.eskiz.core.bench.PowerReading.Repeatability;
import org.eskiz.core.bench.Sweep;
import org.eskiz.core.bench.TestJoint;
import org.eskiz.core.bench.TestRow;
import org.eskiz.core.bench.TestSubject;
import org.eskiz.core.bench.TestSweeps;
import org.eskiz.core.bench.Touchstone;
import org.eskiz.core.bench.TypeSheet;
import org.eskiz.core.bench.Wattmeter;
import org.eskiz.core.cable.Attenuation;
import org.eskiz.core.cable.InsertionLoss;
import org.eskiz.server.bench.BenchTestRequest.JointInTestRequest;
import org.eskiz.server.bench.BenchTestRequest.ReadingRequest;
import org.eskiz.server.bench.BenchTestRequest.WattmeterRequest;
import org.eskiz.server.catalogue.CableType;
import org.eskiz.server.catalogue.Catalogue;
import org.eskiz.server.catalogue.Connector;
import org.eskiz.server.operator.Settings;
import org.jspecify.annotations.Nullable;

/**
 * From a test as it is sent and stored to what the core works out.
 *
 * @param sweeps by the ids of their files
 * @param tolerances by which a sheet of each provenance may be off
 */
record BenchTestMapper(Catalogue catalogue, Map<UUID, Touchstone.Reading> sweeps, Settings.Tolerances tolerances) {

    private static final double USUAL_C = 20;

    /** What most cables end in on a bench, where nobody says. */
    private static final String USUAL_CONNECTOR = "uhf";

    private static final WattmeterRequest PLAIN = new WattmeterRequest(null, null, null, null, null, null, null);

    BenchTest test(BenchTestRequest noted) {
        return new BenchTest(
                subject(noted),
                requireNonNullElse(noted.readings(), List.<ReadingRequest>of()).stream()
                        .map(r -> row(r, noted.method()))
                        .toList(),
                meter(noted),
                sweeps(noted),
                requireNonNullElse(noted.bandsMHz(), List.of()));
    }

    private TestSubject subject(BenchTestRequest noted) {
        return new TestSubject(
                Optional.ofNullable(noted.cableKey())
                        .flatMap(catalogue::cableType)
                        .map(this::sheet),
                optional(noted.lengthM()),
                temperatureC(noted.temperatureC()),
                joints(noted.joints(), catalogue),
                catalogue.connector(USUAL_CONNECTOR).map(BenchTestMapper::joint));
    }

    /** Types that a piece on the bench may be like: coaxial ones, as it was measured between two coaxial plugs. */
    List<TypeSheet> known() {
        return catalogue.offered().stream()
                .filter(t -> !t.facts().construction().balanced())
                .map(this::sheet)
                .toList();
    }

    private TypeSheet sheet(CableType type) {
        double percent = switch (type.facts().source().provenance()) {
            case TYPICAL -> tolerances.typicalPercent();
            case SHEET -> tolerances.sheetPercent();
            case MEASURED -> tolerances.measuredPercent();
            case GUESSED -> tolerances.guessedPercent();
        };
        return new TypeSheet(type.key(), type.fittedCable(), percent / 100);
    }

    static double temperatureC(@Nullable Double noted) {
        return requireNonNullElse(noted, USUAL_C);
    }

    static List<TestJoint> joints(@Nullable List<JointInTestRequest> noted, Catalogue connectors) {
        return requireNonNullElse(noted, List.<JointInTestRequest>of()).stream()
                .map(j -> joint(j, connectors))
                .toList();
    }

    private static TestJoint joint(JointInTestRequest joint, Catalogue connectors) {
        return joint.lossDb() == null
                ? joint(connectors.connector(joint.connectorKey()).orElseThrow())
                : TestJoint.of(new InsertionLoss.Flat(joint.lossDb()));
    }

    private static TestJoint joint(Connector connector) {
        return new TestJoint(connector.loss(), connector.bump());
    }

    private static TestRow row(ReadingRequest reading, BenchMethod method) {
        OptionalDouble frequencyMHz = optional(reading.frequencyMHz());
        OptionalDouble lengthM = optional(reading.lengthM());
        if (method != BenchMethod.LOSSES) {
            return new TestRow.OfPower(
                    frequencyMHz,
                    lengthM,
                    requireNonNullElse(reading.baseline(), ""),
                    requireNonNullElse(reading.through(), ""),
                    requireNonNullElse(reading.baselineAfter(), ""));
        }
        return reading.openReturnLossDb() == null && reading.shortedReturnLossDb() == null
                ? new TestRow.OfLoss(frequencyMHz, lengthM, optional(reading.lossDb()))
                : new TestRow.OfReturnLoss(
                        frequencyMHz,
                        lengthM,
                        optional(reading.openReturnLossDb()),
                        optional(reading.shortedReturnLossDb()));
    }

    private Wattmeter meter(BenchTestRequest noted) {
        WattmeterRequest how = requireNonNullElse(noted.wattmeter(), PLAIN);
        Repeatability usual = Repeatability.USUAL;
        return new Wattmeter(
                new Repeatability(
                        requireNonNullElse(how.digits(), usual.digits()),
                        requireNonNullElse(how.repeatPercent(), 100 * usual.share()) / 100),
                requireNonNullElse(how.classPercent(), 100 * Wattmeter.USUAL_CLASS) / 100,
                noted.method() == BenchMethod.WATTMETER
                        ? lead(how, temperatureC(noted.temperatureC()))
                        : new Lead.None());
    }

    private Lead lead(WattmeterRequest how, double temperatureC) {
        if (how.lead() == BenchTestRequest.Lead.STAYED_IN) {
            return new Lead.StayedIn();
        }
        if (how.lead() != BenchTestRequest.Lead.TAKEN_OUT) {
            return new Lead.None();
        }
        if (how.leadLossDb() != null) {
            return new Lead.TakenOutOfLoss(how.leadLossDb());
        }
        if (how.leadCableKey() == null || how.leadLengthM() == null) {
            return new Lead.TakenOut();
        }
        Attenuation law = catalogue
                .cableType(how.leadCableKey())
                .orElseThrow()
                .fittedCable()
                .attenuation();
        return new Lead.TakenOutOfCable(new Expectation(law, how.leadLengthM(), temperatureC, List.of(), 0));
    }

    private TestSweeps sweeps(BenchTestRequest noted) {
        return switch (noted.method()) {
            case WATTMETER, LOSSES -> new TestSweeps.None();
            case THROUGH_SWEEP -> new TestSweeps.Through(sweep(noted.throughFileId()));
            case ONE_END_SWEEP ->
                new TestSweeps.OneEnd(
                        sweep(noted.openFileId()), sweep(noted.shortedFileId()), noted.terminatedFileId() != null);
        };
    }

    private Optional<Sweep> sweep(UUID file) {
        return Optional.ofNullable(file).map(sweeps::get).map(Touchstone.Reading::sweep);
    }

    private static OptionalDouble optional(Double value) {
        return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
    }
}
