package org.eskiz.core.site;

import java.util.List;
import org.eskiz.core.unit.Require;

/**
 * How full a duct is: the areas of what lies in it against that of its bore.
 *
 * @param share of the bore that is taken, as a fraction; above 1 where it cannot be
 * @param mostShare that is usually filled
 * @param roomMm diameter of the cable that could still be drawn in within the usual share; 0 for none
 */
public record DuctFill(double share, double mostShare, double roomMm) {

    /**
     * What installers fill at most so that cables can still be drawn; codes have shares of their own for one, two and more
     * cables.
     */
    public static final double USUAL_SHARE = 0.4;

    /**
     * Fills a duct.
     *
     * @param boreMm its inner diameter, above 0
     * @param mostShare of its area that may be taken, above 0 to 1
     * @param diametersMm of what lies in it, one each
     */
    public static DuctFill of(double boreMm, double mostShare, List<Double> diametersMm) {
        Require.positive("bore in mm", boreMm);
        Require.positive("share of the bore", mostShare);
        double bore = boreMm * boreMm;
        double taken = diametersMm.stream().mapToDouble(d -> d * d).sum();
        double room = Math.max(0, mostShare * bore - taken);
        return new DuctFill(taken / bore, mostShare, Math.sqrt(room));
    }

    /** Whether more lies in it than usually does. */
    public boolean isOverfilled() {
        return share > mostShare * (1 + 1e-9);
    }
}
