package org.eskiz.server.document;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import java.util.stream.Stream;
import org.eskiz.core.cable.AveragePower;
import org.eskiz.server.catalogue.Catalogue;
import org.eskiz.server.problem.ValidationErrors;

/** What a single field cannot tell: what is missing, what contradicts, and what is unknown. */
public final class DocumentValidator {

    private final Catalogue catalogue;
    private final ValidationErrors errors;

    public DocumentValidator(Catalogue catalogue, ValidationErrors errors) {
        this.catalogue = catalogue;
        this.errors = errors;
    }

    /** Everything that has to be there before a run can be assessed. */
    public void complete(AssessmentSpec request) {
        references("", request);
        require("run", request.run());
        if (request.bands() == null || request.bands().isEmpty()) {
            errors.add("bands", "must be at least one band");
        }
        each("run", request.run(), this::complete);
        new ForkValidator(errors).check(request);
        each("bands", request.bands(), this::complete);
    }

    /** Only that every key named is known; an unfinished plan may lack the rest. */
    void references(String prefix, AssessmentSpec request) {
        each(prefix + "run", request.run(), this::references);
        each(prefix + "bands", request.bands(), (path, band) -> {
            if (band.load() != null) {
                each(path + ".load.through", band.load().through(), this::references);
            }
        });
        eachPieceOnce(prefix, request.run());
    }

    /** A piece cannot lie in two places. */
    private void eachPieceOnce(String prefix, List<RunElement> run) {
        Map<UUID, String> first = new HashMap<>();
        each(prefix + "run", run, (path, element) -> {
            if (element instanceof RunElement.Line line && line.pieceId() != null) {
                String before = first.putIfAbsent(line.pieceId(), path);
                if (before != null) {
                    errors.add(
                            path + ".pieceId", "the piece lies in " + before + " already; it cannot be in two places");
                }
            }
        });
    }

    private void references(String path, RunElement element) {
        if (element instanceof RunElement.Line line) {
            knownCable(path + ".cableKey", line.cableKey());
            if (line.pieceId() != null && catalogue.piece(line.pieceId()).isEmpty()) {
                errors.add(path + ".pieceId", "there is no piece \"" + line.pieceId() + "\" in the locker");
            }
        }
        if (element instanceof RunElement.Joint joint
                && joint.connectorKey() != null
                && catalogue.connector(joint.connectorKey()).isEmpty()) {
            errors.add(path + ".connectorKey", "there is no connector \"" + joint.connectorKey() + "\"");
        }
    }

    public void knownCable(String path, String key) {
        if (key != null && catalogue.cableType(key).isEmpty()) {
            errors.add(path, "there is no cable type \"" + key + "\"");
        }
    }

    public void complete(String path, RunElement element) {
        if (element instanceof RunElement.Line line) {
            exactlyOne(path, "cableKey, pieceId or cable", line.cableKey(), line.pieceId(), line.cable());
            require(path + ".lengthM", line.lengthM());
            complete(path + ".cable", line.cable());
        } else if (element instanceof RunElement.Joint joint) {
            if (joint.connectorKey() == null && joint.lossDb() == null) {
                errors.add(path, "must have a connectorKey, a lossDb of its own, or both");
            }
        } else if (element instanceof RunElement.Transformer transformer) {
            require(path + ".impedanceRatio", transformer.impedanceRatio());
        } else if (element instanceof RunElement.Device device) {
            complete(path, device);
        } else if (element instanceof RunElement.Preamplifier preamplifier) {
            require(path + ".gainDb", preamplifier.gainDb());
        } else if (element instanceof RunElement.Fork fork) {
            require(path + ".ports", fork.ports());
            each(path + ".ports", fork.ports(), (where, port) -> oneLoss(where, port.lossDb(), port.lossByFrequency()));
        }
    }

    private void complete(String path, RunElement.Device device) {
        oneLoss(path, device.lossDb(), device.lossByFrequency());
        if (device.ways() != null && device.form() != RunElement.DeviceForm.SPLITTER) {
            errors.add(path + ".ways", "belongs to a device of the form SPLITTER");
        }
        if (device.twoPort() == null) {
            return;
        }
        boolean hasMore = device.lossDb() != null || device.lossByFrequency() != null || device.ways() != null;
        if (hasMore) {
            errors.add(path + ".twoPort", "says all of its loss: no lossDb, lossByFrequency or ways beside it");
        }
        passive(path + ".twoPort.points", device.twoPort());
    }

    /** A loss is one number or a table, whose frequencies rise. */
    private void oneLoss(String path, Double lossDb, List<LossPointSpec> byFrequency) {
        if (byFrequency == null) {
            return;
        }
        if (lossDb != null) {
            errors.add(path + ".lossByFrequency", "stands in place of lossDb, not beside it");
        }
        if (byFrequency.isEmpty()) {
            errors.add(path + ".lossByFrequency", "must be at least one point");
        }
        rising(
                path + ".lossByFrequency",
                byFrequency.stream().map(LossPointSpec::frequencyMHz).toList());
    }

    private void rising(String path, List<Double> frequenciesMHz) {
        for (int i = 1; i < frequenciesMHz.size(); i++) {
            if (frequenciesMHz.get(i) <= frequenciesMHz.get(i - 1)) {
                errors.add(
                        path + "[" + i + "].frequencyMHz",
                        "must be above the %s MHz before it, not %s"
                                .formatted(frequenciesMHz.get(i - 1), frequenciesMHz.get(i)));
            }
        }
    }

    private void passive(String path, TwoPortSpec twoPort) {
        rising(
                path,
                twoPort.points().stream()
                        .map(TwoPortSpec.PointSpec::frequencyMHz)
                        .toList());
        each(path, twoPort.points(), (where, point) -> {
            try {
                ScatteringMapper.point(point);
            } catch (IllegalArgumentException e) {
                errors.add(where, e.getMessage());
            }
        });
    }

    public void complete(String path, CableSpec cable) {
        if (cable == null) {
            return;
        }
        require(path + ".impedanceOhm", cable.impedanceOhm());
        require(path + ".velocityFactor", cable.velocityFactor());
        require(path + ".attenuation", cable.attenuation());
        if (cable.attenuation() != null) {
            complete(path + ".attenuation", cable.attenuation());
        }
        if (cable.ratings() != null) {
            bearable(path + ".ratings", cable.ratings());
        }
    }

    private void bearable(String path, CableSpec.RatingsRequest ratings) {
        double ratedAtC = ratings.ambientC() == null ? AveragePower.USUAL_AMBIENT_C : ratings.ambientC();
        double least = Math.max(AveragePower.USUAL_AMBIENT_C, ratedAtC);
        if (ratings.maxOperatingC() != null && ratings.maxOperatingC() <= least) {
            errors.add(
                    path + ".maxOperatingC",
                    "must be above %s °C for the rating to mean anything, not %s"
                            .formatted(least, ratings.maxOperatingC()));
        }
    }

    private void complete(String path, CableSpec.AttenuationRequest attenuation) {
        boolean coefficients = attenuation.k1() != null && attenuation.k2() != null;
        boolean anyCoefficient = attenuation.k1() != null || attenuation.k2() != null;
        boolean points = attenuation.points() != null;
        if (points ? anyCoefficient : !coefficients) {
            errors.add(path, "must be either k1 and k2 or points");
        }
        points(path + ".points", attenuation.points());
    }

    public void points(String path, List<CableSpec.PointRequest> points) {
        each(path, points, (where, point) -> {
            require(where + ".frequencyMHz", point.frequencyMHz());
            require(where + ".attenuationDbPer100m", point.attenuationDbPer100m());
        });
    }

    private void complete(String path, BandSpec band) {
        require(path + ".frequencyMHz", band.frequencyMHz());
        require(path + ".load", band.load());
        if (band.load() != null) {
            complete(path + ".load", band.load());
        }
    }

    private void complete(String path, LoadSpec load) {
        boolean impedance = load.resistanceOhm() != null || load.reactanceOhm() != null;
        Object known = impedance ? load : null;
        exactlyOne(path, "an impedance, swr or swrAtRadio", known, load.swr(), load.swrAtRadio());
        if (impedance) {
            require(path + ".resistanceOhm", load.resistanceOhm());
            require(path + ".reactanceOhm", load.reactanceOhm());
        }
        if (impedance && load.referenceOhm() != null) {
            errors.add(path + ".referenceOhm", "belongs to an SWR, not to an impedance");
        }
        if (load.swrAtRadio() == null && load.through() != null) {
            errors.add(path + ".through", "belongs to swrAtRadio: nothing else is read through a run");
        }
        each(path + ".through", load.through(), this::complete);
    }

    public void exactlyOne(String path, String what, Object... values) {
        long given = Stream.of(values).filter(Objects::nonNull).count();
        if (given != 1) {
            errors.add(path, "must have exactly one of " + what + ", not " + given);
        }
    }

    public void require(String path, Object value) {
        if (value == null) {
            errors.add(path, "must be given");
        }
    }

    public static <T> void each(String path, List<T> list, Visit<T> visit) {
        for (int i = 0; list != null && i < list.size(); i++) {
            if (list.get(i) != null) {
                visit.at(path + "[" + i + "]", list.get(i));
            }
        }
    }

    /** Looks at one entry of a list, under its path. */
    public interface Visit<T> {
        void at(String path, T entry);
    }
}
