package org.eskiz.core.run;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.eskiz.core.cable.Attenuation;
import org.eskiz.core.cable.Bump;
import org.eskiz.core.cable.Cable;
import org.eskiz.core.cable.InsertionLoss;
import tools.jackson.databind.JsonNode;

/** A request as the reference files spell it, read into the core's types. */
record ReferenceRequest(Run run, Radio radio, Conditions conditions, Load load) {

    static ReferenceRequest of(JsonNode request) {
        JsonNode band = request.get("bands").get(0);
        return new ReferenceRequest(
                new Run(elements(request.get("run"))),
                radio(request.get("radio")),
                new Conditions(
                        band.get("frequencyMHz").asDouble(),
                        request.get("ambientC").asDouble()),
                load(band.get("load")));
    }

    RunAssessment assess() {
        return RunAssessment.of(run, radio, conditions, load);
    }

    private static Radio radio(JsonNode n) {
        return new Radio(
                OptionalDouble.of(n.get("powerW").asDouble()),
                n.get("impedanceOhm").asDouble(),
                Matching.valueOf(n.get("matching").asString()),
                n.get("matchingLossDb").asDouble(),
                n.get("foldback").asBoolean());
    }

    private static List<Element> elements(JsonNode run) {
        List<Element> elements = new ArrayList<>();
        run.forEach(e -> elements.add(element(e)));
        return elements;
    }

    private static Element element(JsonNode e) {
        return switch (e.get("kind").asString()) {
            case "LINE" ->
                new Element.Line(cable(e.get("cable")), e.get("lengthM").asDouble());
            case "TRANSFORMER" ->
                new Element.Transformer(e.get("impedanceRatio").asDouble(), loss(e));
            default -> new Element.Pad(loss(e), optional(e, "impedanceOhm"), bump(e));
        };
    }

    private static Optional<Bump> bump(JsonNode e) {
        return Optional.ofNullable(e.get("bump"))
                .map(b -> new Bump(
                        b.get("impedanceOhm").asDouble(), b.get("lengthMm").asDouble()));
    }

    private static InsertionLoss loss(JsonNode e) {
        return new InsertionLoss.Flat(e.get("lossDb").asDouble());
    }

    private static Cable cable(JsonNode c) {
        JsonNode k = c.get("attenuation");
        return Cable.ofCoefficients(
                c.get("impedanceOhm").asDouble(),
                c.get("velocityFactor").asDouble(),
                new Attenuation(k.get("k1").asDouble(), k.get("k2").asDouble()));
    }

    private static Load load(JsonNode n) {
        if (n.has("swr")) {
            return new Load.SwrAtAntenna(n.get("swr").asDouble(), optional(n, "referenceOhm"));
        }
        if (n.has("swrAtRadio")) {
            return new Load.SwrAtRadio(n.get("swrAtRadio").asDouble(), optional(n, "referenceOhm"), through(n));
        }
        return new Load.Impedance(
                n.get("resistanceOhm").asDouble(), n.get("reactanceOhm").asDouble());
    }

    private static Optional<Run> through(JsonNode load) {
        return Optional.ofNullable(load.get("through")).map(t -> new Run(elements(t)));
    }

    private static OptionalDouble optional(JsonNode n, String name) {
        return n.has(name) ? OptionalDouble.of(n.get(name).asDouble()) : OptionalDouble.empty();
    }
}
