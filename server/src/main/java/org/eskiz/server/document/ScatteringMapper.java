package org.eskiz.server.document;

import java.util.List;
import org.apache.commons.numbers.complex.Complex;
import org.eskiz.core.run.ScatteringTable;
import org.eskiz.server.document.TwoPortSpec.PointSpec;

/** From a measured two-port to the core's. */
final class ScatteringMapper {

    private ScatteringMapper() {}

    /** @throws IllegalArgumentException for what no passive part shows */
    static ScatteringTable table(TwoPortSpec spec) {
        return new ScatteringTable(
                spec.referenceOhm(),
                spec.points().stream().map(ScatteringMapper::point).toList());
    }

    static ScatteringTable.Point point(PointSpec p) {
        return ScatteringTable.Point.of(
                p.frequencyMHz(), complex(p.s11()), complex(p.s21()), complex(p.s12()), complex(p.s22()));
    }

    private static Complex complex(List<Double> pair) {
        return Complex.ofCartesian(pair.get(0), pair.get(1));
    }
}
