package org.eskiz.core.kit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.eskiz.core.kit.End.Gender;
import org.junit.jupiter.api.Test;

class PackingTest {

    private static final End N_PLUG = new End("n", Gender.PLUG);
    private static final End N_SOCKET = new End("n", Gender.SOCKET);
    private static final End BNC_PLUG = new End("bnc", Gender.PLUG);

    @Test
    void endsThatMateNeedNothingBetweenThem() {
        Coupling mated = Coupling.of(N_PLUG, N_SOCKET);
        assertThat(mated.adapter()).isEmpty();
        assertThat(mated.mated()).containsExactly("n");
    }

    @Test
    void twoPlugsNeedABarrelAndItsTwoPairs() {
        Coupling barrel = Coupling.of(N_PLUG, N_PLUG);
        assertThat(barrel.adapter()).hasValue(new Coupling.Adapter(N_SOCKET, N_SOCKET));
        assertThat(barrel.mated()).containsExactly("n", "n");
    }

    @Test
    void seriesThatDifferNeedAnAdapterFromOneToTheOther() {
        Coupling between = Coupling.of(N_PLUG, BNC_PLUG);
        assertThat(between.adapter()).hasValue(new Coupling.Adapter(N_SOCKET, new End("bnc", Gender.SOCKET)));
        assertThat(between.mated()).containsExactly("n", "bnc");
    }

    @Test
    void anAdapterTurnedRoundIsTheSameAdapter() {
        Kit kit = kit(piece("a", 5, N_PLUG, N_PLUG), piece("b", 5, BNC_PLUG, BNC_PLUG), piece("c", 5, N_PLUG, N_PLUG));
        assertThat(Packing.of(kit, List.of()).adapters())
                .hasSize(1)
                .containsEntry(new Coupling.Adapter(N_SOCKET, new End("bnc", Gender.SOCKET)), 2);
    }

    @Test
    void laidEndToEndPiecesLoseWhatTheyAreAndThePairsBetweenThem() {
        var first = new Kit.Laid(piece("a", 5, N_PLUG, N_SOCKET), false);
        var straight = new Kit.Laid(piece("b", 8, N_PLUG, N_PLUG), false);
        double one = Kit.seriesLossDb(List.of(first), c -> 0.1);
        double other = Kit.seriesLossDb(List.of(straight), c -> 0.1);
        assertThat(Kit.seriesLossDb(List.of(first, straight), c -> 0.1)).isCloseTo(one + other + 0.1, within(1e-12));
        assertThat(Kit.seriesLossDb(List.of(new Kit.Laid(first.piece(), true), straight), c -> 0.1))
                .as("turned round, two plugs meet, and a barrel makes two pairs")
                .isCloseTo(one + other + 0.2, within(1e-12));
    }

    @Test
    void theSpareIsTheShortestThatCouldStandInForAnyPiece() {
        Kit kit = kit(piece("a", 5, N_PLUG, N_PLUG), piece("b", 8, N_PLUG, N_PLUG));
        List<OwnedPiece> others = List.of(
                piece("too short", 7, N_PLUG, N_PLUG),
                piece("long", 20, N_PLUG, N_PLUG),
                piece("right", 9, N_PLUG, N_PLUG),
                piece("other ends", 8, BNC_PLUG, BNC_PLUG));
        assertThat(Packing.of(kit, others).spare()).map(OwnedPiece::id).hasValue("right");
    }

    @Test
    void aPieceOfTheKitIsNoSpare() {
        OwnedPiece only = piece("a", 5, N_PLUG, N_PLUG);
        assertThat(Packing.of(kit(only), List.of(only)).spare()).isEmpty();
    }

    @Test
    void aPieceMayBeTurnedToStandIn() {
        Kit kit = kit(piece("a", 5, N_PLUG, N_SOCKET));
        assertThat(Packing.of(kit, List.of(piece("b", 5, N_SOCKET, N_PLUG))).spare())
                .map(OwnedPiece::id)
                .hasValue("b");
    }

    @Test
    void pairsAreCountedWithThoseAtBothEnds() {
        OwnedPiece piece = piece("a", 5, N_PLUG, N_PLUG);
        var kit = new Kit(
                List.of(new Kit.Laid(piece, false)),
                Optional.of(Coupling.of(N_SOCKET, N_PLUG)),
                List.of(),
                Optional.of(Coupling.of(N_PLUG, BNC_PLUG)),
                5,
                0,
                1,
                OptionalDouble.empty());
        assertThat(kit.matedPairs()).isEqualTo(3);
        assertThat(kit.adapters()).hasSize(1);
    }

    private static OwnedPiece piece(String id, double lengthM, End near, End far) {
        return new OwnedPiece(id, lengthM, lengthM / 10, OptionalDouble.empty(), near, far);
    }

    private static Kit kit(OwnedPiece... pieces) {
        List<Kit.Laid> laid = new ArrayList<>();
        List<Coupling> between = new ArrayList<>();
        double lengthM = 0;
        for (OwnedPiece piece : pieces) {
            if (!laid.isEmpty()) {
                between.add(Coupling.of(laid.get(laid.size() - 1).toAntenna(), piece.near()));
            }
            laid.add(new Kit.Laid(piece, false));
            lengthM += piece.lengthM();
        }
        return new Kit(
                laid, Optional.empty(), between, Optional.empty(), lengthM, 0, lengthM / 10, OptionalDouble.empty());
    }
}
