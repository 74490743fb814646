package org.eskiz.server.bench;

import static java.util.Objects.requireNonNullElse;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.eskiz.core.bench.Expectation;
import org.eskiz.core.bench.Sweep;
import org.eskiz.core.cable.Attenuation;
import org.eskiz.core.cable.InsertionLoss;
import org.eskiz.server.catalogue.CableType;
import org.eskiz.server.catalogue.Catalogue;
import org.eskiz.server.catalogue.Connector;
import org.eskiz.server.catalogue.Provenance;
import org.eskiz.server.operator.Settings;

/**
 * A test with everything it refers to.
 *
 * @param sweeps by the ids of their files
 */
record MeasuredTest(
        BenchTestRequest noted, Catalogue catalogue, Map<UUID, Sweep> sweeps, Settings.Tolerances tolerances) {

    private static final double USUAL_C = 20;

    Optional<CableType> type() {
        return noted.cableKey() == null ? Optional.empty() : catalogue.cableType(noted.cableKey());
    }

    double temperatureC() {
        return requireNonNullElse(noted.temperatureC(), USUAL_C);
    }

    /** What its type promises for a length; empty where the type or the length is not known. */
    Optional<Expectation> expectation(Double lengthM) {
        return lengthM == null ? Optional.empty() : type().map(t -> expectation(t, lengthM));
    }

    Expectation expectation(CableType type, double lengthM) {
        return new Expectation(
                type.fittedCable().attenuation(),
                lengthM,
                temperatureC(),
                joints(),
                tolerance(type.facts().provenance()));
    }

    private double tolerance(Provenance provenance) {
        double percent = switch (provenance) {
            case TYPICAL -> tolerances.typicalPercent();
            case SHEET -> tolerances.sheetPercent();
            case MEASURED -> tolerances.measuredPercent();
            case GUESSED -> tolerances.guessedPercent();
        };
        return percent / 100;
    }

    /** What its joints should lose, dB. */
    double jointsDb(double frequencyMHz) {
        return joints().stream().mapToDouble(j -> j.lossDb(frequencyMHz)).sum();
    }

    private List<InsertionLoss> joints() {
        return requireNonNullElse(noted.joints(), List.<BenchTestRequest.JointInTestRequest>of()).stream()
                .map(this::joint)
                .toList();
    }

    private InsertionLoss joint(BenchTestRequest.JointInTestRequest joint) {
        if (joint.lossDb() != null) {
            return new InsertionLoss.Flat(joint.lossDb());
        }
        Connector c = catalogue.connector(joint.connectorKey()).orElseThrow();
        return new InsertionLoss.MatedPair(c.c1DbPerSqrtMHz(), c.c2DbPerMHz2(), c.maxMHz());
    }

    /** Loss of the lead that stood in for the cable and was taken out, dB; 0 where there was none or it stayed in. */
    double leadDb(double frequencyMHz) {
        BenchTestRequest.WattmeterRequest how = noted.wattmeter();
        if (how == null || how.lead() != BenchTestRequest.Lead.TAKEN_OUT) {
            return 0;
        }
        if (how.leadLossDb() != null) {
            return how.leadLossDb();
        }
        if (how.leadCableKey() == null || how.leadLengthM() == null) {
            return 0;
        }
        Attenuation lead = catalogue
                .cableType(how.leadCableKey())
                .orElseThrow()
                .fittedCable()
                .attenuation();
        return new Expectation(lead, how.leadLengthM(), temperatureC(), List.of(), 0).lossDb(frequencyMHz);
    }

    Optional<Sweep> sweep(UUID file) {
        return Optional.ofNullable(file).map(sweeps::get);
    }
}
