package org.eskiz.server.catalogue;

import java.util.List;

/**
 * Cable types and connectors as JSON: the same fields as one that is stored over HTTP.
 *
 * @param schemaVersion always {@link #SCHEMA_VERSION}
 */
public record CatalogueFile(int schemaVersion, List<CableTypeRequest> cableTypes, List<ConnectorRequest> connectors) {

    static final int SCHEMA_VERSION = 1;

    static CatalogueFile of(List<CableType> types, List<Connector> connectors) {
        return new CatalogueFile(
                SCHEMA_VERSION,
                types.stream().map(CatalogueFile::request).toList(),
                connectors.stream().map(ConnectorRequest::of).toList());
    }

    /** What is stored of a type, as somebody would have to say it. */
    public static CableTypeRequest request(CableType type) {
        CableType.Facts f = type.facts();
        CableType.Mechanics m = f.mechanics();
        CableType.Price price = f.price();
        return new CableTypeRequest(
                type.key(),
                null,
                f.name(),
                f.family(),
                f.provenance(),
                f.source().title(),
                f.source().date(),
                f.source().mechanics(),
                f.source().ratings(),
                f.impedanceOhm(),
                f.velocityFactor(),
                f.balanced(),
                m.outerDiameterMm(),
                m.massGPerM(),
                m.bendRadiusOnceMm(),
                m.bendRadiusRepeatedMm(),
                m.jacket(),
                m.centreConductor(),
                m.shield(),
                m.dielectric(),
                m.minInstallC(),
                m.minOperatingC(),
                m.maxOperatingC(),
                m.directBurial(),
                m.sunResistant(),
                m.flexing(),
                f.ratings().peakVoltageV(),
                f.ratings().averagePowerW(),
                f.ratings().atMHz(),
                f.ratings().atC(),
                price == null ? null : price.perM().doubleValue(),
                price == null ? null : price.currency(),
                price == null ? null : price.on(),
                price == null ? null : price.soldInM(),
                f.note(),
                f.points().stream()
                        .map(p -> new CableTypeRequest.SheetPointRequest(p.frequencyMHz(), p.attenuationDbPer100m()))
                        .toList());
    }
}
