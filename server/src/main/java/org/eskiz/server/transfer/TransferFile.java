package org.eskiz.server.transfer;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.time.Instant;
import java.util.List;
import org.eskiz.server.bench.SweepInFile;
import org.eskiz.server.bench.TestInFile;
import org.eskiz.server.catalogue.CableTypeRequest;
import org.eskiz.server.catalogue.ConnectorRequest;
import org.eskiz.server.device.DeviceRequest;
import org.eskiz.server.locker.PieceInFile;
import org.eskiz.server.locker.kit.KitRequest;
import org.eskiz.server.operator.Settings;
import org.eskiz.server.plan.PlanInFile;
import org.eskiz.server.problem.PlainText;
import org.eskiz.server.site.SiteInFile;

/**
 * A file: a plan or a site with all that it needs, or a whole workspace. Units are in the names; what is not known is left out or null.
 *
 * @param format always {@code eskiz}
 * @param schemaVersion always {@link #SCHEMA_VERSION} once read; older files are brought up to it
 * @param writtenAt when it was written
 * @param plans with every choice made in them
 * @param cableTypes that they use, those that came with Eskiz among them, so that the figures travel too
 * @param connectors of the operator's own
 * @param pieces of the locker, with their lives
 * @param kits that are kept
 * @param tests of cables
 * @param sweeps that tests refer to
 * @param sites what is said of places beside their plans
 * @param devices of the operator's own
 * @param favourites keys of types at the top
 * @param retired keys of types that are not offered any more
 * @param settings of a workspace; null in the file of a plan
 */
record TransferFile(
        @NotNull(message = "must be given") @PlainText(max = 20)
        String format,

        @NotNull(message = "must be given") Integer schemaVersion,
        Instant writtenAt,
        List<@NotNull(message = "must be a plan, not null") @Valid PlanInFile> plans,
        List<@NotNull(message = "must be a cable type, not null") @Valid CableTypeRequest> cableTypes,
        List<@NotNull(message = "must be a connector, not null") @Valid ConnectorRequest> connectors,
        List<@NotNull(message = "must be a piece, not null") @Valid PieceInFile> pieces,
        List<@NotNull(message = "must be a kit, not null") @Valid KitRequest> kits,
        List<@NotNull(message = "must be a test, not null") @Valid TestInFile> tests,
        List<@NotNull(message = "must be a sweep, not null") @Valid SweepInFile> sweeps,
        List<@NotNull(message = "must be a site, not null") @Valid SiteInFile> sites,
        List<@NotNull(message = "must be a device, not null") @Valid DeviceRequest> devices,
        List<@NotNull(message = "must be a key, not null") String> favourites,
        List<@NotNull(message = "must be a key, not null") String> retired,

        @Valid Settings settings) {

    static final String FORMAT = "eskiz";

    /** The form of file that this version of the application writes. */
    static final int SCHEMA_VERSION = 1;
}
