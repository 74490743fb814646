package org.eskiz.core.choice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Currency;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.random.RandomGenerator;
import java.util.stream.Stream;
import org.eskiz.core.cable.Attenuation;
import org.eskiz.core.cable.Cable;
import org.eskiz.core.cable.InsertionLoss;
import org.eskiz.core.cable.Mechanics;
import org.eskiz.core.cable.Ratings;
import org.eskiz.core.run.Element;
import org.eskiz.core.run.Run;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ShoppingListTest {

    private static final Currency EUR = Currency.getInstance("EUR");
    private static final Cable CABLE = Cable.ofCoefficients(50, 0.66, new Attenuation(0.4, 0.001));
    private static final Candidate BY_THE_METRE = sold("by the metre", OptionalDouble.empty());
    private static final Candidate JUMPER_CABLE = sold("jumper cable", OptionalDouble.empty());

    private final List<Element> elements = new ArrayList<>();
    private final List<ReplaceableRun.Known> known = new ArrayList<>();
    private final List<Integer> sections = new ArrayList<>();

    @Test
    void everyEndOfACableThatIsCutGetsItsPlug() {
        joint(false);
        section(20);
        joint(false);
        section(10);
        joint(false);
        assertThat(list(BY_THE_METRE, Purchase.ONCE).items())
                .extracting(Bought::kind, Bought::needed)
                .containsExactly(
                        tuple(Bought.Kind.CABLE, 30.0),
                        tuple(Bought.Kind.PLUG, 1.0),
                        tuple(Bought.Kind.PLUG, 2.0),
                        tuple(Bought.Kind.PLUG, 1.0));
    }

    @Test
    void aBarrelIsBoughtBesideItsTwoPlugs() {
        section(20);
        joint(true);
        section(10);
        assertThat(list(BY_THE_METRE, Purchase.ONCE).items())
                .extracting(Bought::kind)
                .containsExactly(Bought.Kind.CABLE, Bought.Kind.PLUG, Bought.Kind.BARREL);
    }

    @Test
    void whatStaysInTheRunIsBoughtToo() {
        joint(false);
        line(4, supply(false, Optional.empty(), JUMPER_CABLE));
        joint(false);
        device(supply(false, Optional.of(money("35")), null));
        joint(false);
        section(20);
        joint(false);
        ShoppingList list = list(BY_THE_METRE, Purchase.ONCE);
        assertThat(list.items().stream().filter(b -> b.kind() == Bought.Kind.CABLE))
                .extracting(b -> b.cable().orElseThrow().id())
                .containsExactly("jumper cable", "by the metre");
        // 24 m at 2, four plugs at 5, the device at 35
        assertThat(list.total(EUR).orElseThrow().amount()).isEqualByComparingTo("103");
    }

    @Test
    void whatIsOwnedIsNotBoughtNorAreItsEnds() {
        joint(false);
        line(4, supply(true, Optional.empty(), JUMPER_CABLE));
        joint(false);
        device(supply(true, Optional.empty(), null));
        joint(false);
        section(20);
        assertThat(list(BY_THE_METRE, Purchase.ONCE).items())
                .extracting(Bought::kind)
                .containsExactly(Bought.Kind.CABLE, Bought.Kind.PLUG);
        assertThat(list(owned(), Purchase.ONCE).items()).isEmpty();
    }

    @Test
    void aJumperThatIsBoughtAsItComesHasItsEndsOn() {
        joint(false);
        line(2, supply(false, Optional.of(money("12")), JUMPER_CABLE));
        joint(false);
        section(20);
        assertThat(list(BY_THE_METRE, Purchase.ONCE).items())
                .extracting(Bought::kind)
                .containsExactly(Bought.Kind.CABLE, Bought.Kind.PIECE, Bought.Kind.PLUG);
    }

    @Test
    void aPriceAsOnePieceIsThatOfWhatLayThereAndNotOfACandidate() {
        sections.add(0);
        line(20, supply(true, Optional.of(money("12")), JUMPER_CABLE));
        assertThat(list(BY_THE_METRE, Purchase.ONCE).items())
                .extracting(Bought::kind, Bought::needed)
                .containsExactly(tuple(Bought.Kind.CABLE, 20.0));
    }

    @Test
    void whatStaysAndWhatIsChosenComeOffOneReelWhereTheyAreOfOneCable() {
        Candidate reel = sold("reel", OptionalDouble.of(25));
        line(4, supply(false, Optional.empty(), reel));
        section(20);
        assertThat(list(reel, Purchase.ONCE).items())
                .singleElement()
                .satisfies(b -> assertThat(b.bought()).isEqualTo(25));
    }

    @Test
    void whatHasNoPriceIsNamedAndTheRestAddedUp() {
        section(20);
        device(Supply.TO_BUY);
        ShoppingList list = list(BY_THE_METRE, Purchase.ONCE);
        assertThat(list.total(EUR).orElseThrow().amount()).isEqualByComparingTo("40");
        assertThat(list.notIn(EUR))
                .singleElement()
                .satisfies(b -> assertThat(b.element()).hasValue(1));
        assertThat(list.total(Currency.getInstance("USD"))).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "1, 20 10, 0, 25, 50", // 30 m would fit two reels, and 20 and 10 do
        "1, 12 12 12, 0, 20, 60", // 36 m would fit two reels, but no two cuts fit one
        "1, 20, 0.3, 20, 40", // the ends do not come off the same reel
        "2, 9.7, 0.15, 20, 20", // two of 10 m
        "1, 45, 0, 20, 60" // longer than a reel: two whole ones and a rest
    })
    void everyCutComesOutOfAReelInOnePiece(int times, String lengths, double eachEndM, double reelM, double bought) {
        Arrays.stream(lengths.split(" ")).mapToDouble(Double::parseDouble).forEach(this::section);
        var purchase = new Purchase(
                times, Optional.empty(), Optional.empty(), Optional.of(EUR), new Allowances(eachEndM, 0, 0));
        assertThat(list(sold("reel", OptionalDouble.of(reelM)), purchase)
                        .items()
                        .get(0)
                        .bought())
                .isCloseTo(bought, within(1e-9));
    }

    @RepeatedTest(20)
    void whatIsBoughtIsNeverLessThanWhatIsCut(RepetitionInfo repetition) {
        var random = RandomGenerator.of("L64X128MixRandom");
        for (int i = 0; i <= repetition.getCurrentRepetition() % 6; i++) {
            section(random.nextDouble(0.1, 60));
        }
        Bought cable = list(sold("reel", OptionalDouble.of(random.nextDouble(5, 50))), Purchase.ONCE)
                .items()
                .get(0);
        assertThat(cable.bought()).isGreaterThanOrEqualTo(cable.needed() - 1e-9);
    }

    private ShoppingList list(Candidate cable, Purchase purchase) {
        var place = new ReplaceableRun(new Run(elements), sections, known, Optional.empty(), OptionalDouble.empty());
        return place.toBuy(place.everywhere(cable), purchase);
    }

    private void section(double lengthM) {
        sections.add(elements.size());
        line(lengthM, Supply.TO_BUY);
    }

    private void line(double lengthM, Supply supply) {
        elements.add(new Element.Line(CABLE, lengthM));
        known.add(new ReplaceableRun.Known(Ratings.UNKNOWN, 0, false, false, Optional.empty(), supply));
    }

    private void joint(boolean isBarrel) {
        pad();
        known.add(new ReplaceableRun.Known(
                Ratings.UNKNOWN,
                0,
                false,
                true,
                Optional.of(new ReplaceableRun.Connector(
                        Optional.of(money("5")), OptionalDouble.empty(), OptionalDouble.empty())),
                new Supply(false, isBarrel, Optional.empty(), Optional.empty())));
    }

    private void device(Supply supply) {
        pad();
        known.add(new ReplaceableRun.Known(Ratings.UNKNOWN, 0, false, false, Optional.empty(), supply));
    }

    private void pad() {
        elements.add(new Element.Pad(new InsertionLoss.Flat(0.1), OptionalDouble.empty()));
    }

    private static Supply supply(boolean owned, Optional<Money> price, Candidate cable) {
        return new Supply(owned, false, price, Stream.ofNullable(cable).findFirst());
    }

    private static Candidate sold(String id, OptionalDouble soldInM) {
        return new Candidate(id, CABLE, false, Optional.of(money("2")), soldInM, Mechanics.UNKNOWN, Ratings.UNKNOWN, 0);
    }

    private static Candidate owned() {
        return new Candidate(
                "owned",
                CABLE,
                false,
                Optional.of(money("2")),
                OptionalDouble.empty(),
                Mechanics.UNKNOWN,
                Ratings.UNKNOWN,
                0,
                true);
    }

    private static Money money(String amount) {
        return new Money(new BigDecimal(amount), EUR);
    }
}
