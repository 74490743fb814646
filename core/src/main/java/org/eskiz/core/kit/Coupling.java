package org.eskiz.core.kit;

import java.util.List;
import java.util.Optional;

/**
 * How two ends are joined.
 *
 * @param mated kinds of connector of its mated pairs, from the radio's side: one where the ends mate, two around an adapter
 * @param adapter what has to go between; empty where the ends mate
 */
public record Coupling(List<String> mated, Optional<Adapter> adapter) {

    public Coupling {
        mated = List.copyOf(mated);
    }

    /**
     * A barrel or an adapter between series.
     *
     * @param near its end toward the radio
     * @param far its end toward the antenna
     */
    public record Adapter(End near, End far) {}

    /** Ends that mate make one pair; any others need an adapter, and with it two. */
    public static Coupling of(End near, End far) {
        return near.mates(far)
                ? new Coupling(List.of(near.connector()), Optional.empty())
                : new Coupling(
                        List.of(near.connector(), far.connector()),
                        Optional.of(new Adapter(near.counterpart(), far.counterpart())));
    }
}
