package io.causticon.core.model.said.entry;

import static io.causticon.core.Recipes.recipe;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.model.finding.Findings;
import io.causticon.core.model.log.Bars;
import io.causticon.core.model.log.Bath;
import io.causticon.core.model.log.Behaviour;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.GelExtent;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.log.MixMethod;
import io.causticon.core.model.log.MouldCare;
import io.causticon.core.model.log.Named;
import io.causticon.core.model.log.PhMethod;
import io.causticon.core.model.log.Presence;
import io.causticon.core.model.log.Stage;
import io.causticon.core.model.log.Tare;
import io.causticon.core.model.log.TouchFeel;
import io.causticon.core.model.log.WashFeel;
import io.causticon.core.model.log.Weighable;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.Portion;
import io.causticon.core.model.plan.Portioning;
import io.causticon.core.model.said.notation.MassNotation;
import io.causticon.core.model.said.notation.TimeNotation;
import io.causticon.core.model.said.notation.Units;
import io.causticon.core.problem.Problem;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import io.causticon.core.quantity.Temperature;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class QuickLineTest {

    private static final Instant BEGUN = Instant.parse("2026-11-03T18:00:00Z");
    private static final Named LAVENDER = new Named("eo-lavender", "lavender");
    private static final Instant NOW = Instant.parse("2026-11-24T20:14:00Z");

    private static QuickLine.Reading read(String text) {
        return read(text, Units.METRIC);
    }

    private static QuickLine.Reading read(String text, Units units) {
        return QuickLine.read(
                text,
                new QuickContext(
                        recipe().fat("olive-oil", 504)
                                .fat("lard", 264)
                                .additive("eo-lavender", 30)
                                .plan(),
                        BEGUN,
                        NOW,
                        ZoneOffset.UTC,
                        units,
                        Findings.vocabulary()));
    }

    @ParameterizedTest
    @CsvSource({
        "lye in an ice bath, LYE, ICE_BATH", "lye cold bath, LYE, COLD_BATH", "fats into warm water, FATS, WARM_BATH",
        "oil hot bath, FATS, WARM_BATH", "lye out of the bath, LYE, ROOM", "fats out, FATS, ROOM"
    })
    void whereAPotStands(String text, MeasurementPoint pot, Bath into) {
        assertThat(only(text)).isEqualTo(new Entry.Bathed(pot, into));
    }

    private static Entry swirl(String text) {
        BatchPlan plan =
                recipe().fat("olive-oil", 504).additive("eo-lavender", 30).plan();
        BatchPlan divided = plan.with(plan.pouring()
                .divided(new Portioning(
                        Portioning.Way.SHARES,
                        List.of(
                                Portion.sharing("madder", Share.percent(40)),
                                Portion.sharing("pale sea 2", Share.percent(60))),
                        Share.percent(3))));
        QuickLine.Reading reading = QuickLine.read(
                text, new QuickContext(divided, BEGUN, NOW, ZoneOffset.UTC, Units.METRIC, Findings.vocabulary()));
        assertThat(reading.problems()).isEmpty();
        return reading.entries().get(0);
    }

    @Test
    void whatIsDoneWithABatter() {
        assertThat(swirl("take madder 410 g"))
                .isEqualTo(new Entry.PortionTaken(new Named("portion-1", "madder"), Mass.grams(410)));
        assertThat(swirl("take madder")).isEqualTo(new Entry.PortionTaken(new Named("portion-1", "madder"), null));
        assertThat(swirl("layer pale sea 2 300 g"))
                .isEqualTo(new Entry.LayerPoured(new Named("portion-2", "pale sea 2"), Mass.grams(300)));
        assertThat(swirl("pour pale sea 2"))
                .isEqualTo(new Entry.LayerPoured(new Named("portion-2", "pale sea 2"), null));
        assertThat(swirl("pour at 38")).isEqualTo(new Entry.Poured(Temperature.celsius(38)));
        assertThat(only("whisk")).isEqualTo(new Entry.MixedWith(MixMethod.WHISK));
        assertThat(only("by hand")).isEqualTo(new Entry.MixedWith(MixMethod.HAND));
        assertThat(only("stand mixer")).isEqualTo(new Entry.MixedWith(MixMethod.STAND_MIXER));
        assertThat(only("tapped")).isEqualTo(new Entry.AirTapped());
        assertThat(only("humidity 62 %")).isEqualTo(new Entry.HumidityRead(62));
        assertThat(only("lavender browned")).isEqualTo(new Entry.Behaved(LAVENDER, Behaviour.BROWNED));
        assertThat(only("add lavender 30 g to madder lot LV-4"))
                .isEqualTo(new Entry.Added(LAVENDER, Mass.grams(30), Named.called("madder"), "LV-4"));
        assertThat(only("add lavender lot LV-4")).isEqualTo(new Entry.Added(LAVENDER, null, null, "LV-4"));
        assertThat(only("add charcoal to the black"))
                .isEqualTo(new Entry.Added(Named.called("charcoal"), null, Named.called("black"), null));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "take temperatures every hour",
                "bottle of water at hand",
                "hand cream for Odd",
                "tap water used by mistake",
                "the loaf browned at the rim"
            })
    void wordsThatOnlyBeginLikeSomethingAreAskedAbout(String text) {
        assertThat(read(text).problems()).extracting(Problem::key).containsExactly(ProblemKey.NOT_UNDERSTOOD);
        assertThat(only(QuickLine.asWords(text).orElseThrow())).isEqualTo(new Entry.Noted(text));
    }

    @Test
    void aHumidityOfMoreThanAllIsRefused() {
        assertThat(read("humidity 140").problems()).hasSize(1);
    }

    private static Entry only(String text) {
        QuickLine.Reading reading = read(text);
        assertThat(reading.problems()).isEmpty();
        assertThat(reading.entries()).hasSize(1);
        return reading.entries().get(0);
    }

    @Nested
    class Temperatures {

        @ParameterizedTest
        @CsvSource({
            "lye 43.5, LYE, 43.5",
            "oil 41, FATS, 41",
            "fats 110F, FATS, 43.333",
            "core 71, CORE, 71",
            "'room 17,5', ROOM, 17.5"
        })
        void areReadAtTheirSpot(String text, MeasurementPoint spot, double celsius) {
            Entry.TemperatureRead entry = (Entry.TemperatureRead) only(text);
            assertThat(entry.spot()).isEqualTo(spot);
            assertThat(entry.temperature().celsius()).isCloseTo(celsius, within(0.001));
        }

        @Test
        void takeWordsBehindThemAsANote() {
            assertThat(read("lye 33.8 smells sweet").entries())
                    .containsExactly(
                            new Entry.TemperatureRead(MeasurementPoint.LYE, Temperature.celsius(33.8)),
                            new Entry.Noted("smells sweet"));
        }

        @Test
        void followTheMakersUnit() {
            Entry.TemperatureRead entry =
                    (Entry.TemperatureRead) read("lye 110", Units.US).entries().get(0);
            assertThat(entry.temperature().celsius()).isCloseTo(43.33, within(0.01));
        }

        @Test
        void thatCannotBeAreRefusedWithAGuess() {
            assertThat(read("oil 120").problems())
                    .extracting(Problem::key)
                    .containsExactly(ProblemKey.TOO_HIGH_FOR_CELSIUS);
            // Who wrote the unit behind it did not mistake it.
            assertThat(read("oil 120 C").problems()).extracting(Problem::key).containsExactly(ProblemKey.TOO_HIGH);
            assertThat(read("lye 435").problems()).extracting(Problem::key).containsExactly(ProblemKey.TOO_HIGH);
            assertThat(read("room -40").problems()).extracting(Problem::key).containsExactly(ProblemKey.TOO_LOW);
        }
    }

    @Nested
    class Weighings {

        @Test
        void knowThePlansFats() {
            assertThat(only("olive 504"))
                    .isEqualTo(new Entry.Weighed(Weighable.fat("olive-oil"), Mass.grams(504), Tare.NOT_SAID, null));
        }

        @Test
        void rememberTheVesselAndItsTare() {
            assertThat(only("lard 264 g from second jug no tare"))
                    .isEqualTo(new Entry.Weighed(
                            Weighable.fat("lard"), Mass.grams(264), Tare.NOT_TAKEN, Named.called("second jug")));
        }

        @Test
        void ofBrokenNumbersAreRead() {
            assertThat(((Entry.Weighed) only("weigh olive 8 1/2 oz")).mass()).isEqualTo(Mass.ounces(8.5));
            assertThat(((Entry.Weighed) only("olive 1 lb 2 1/2 ounces")).mass()).isEqualTo(Mass.ounces(18.5));
            assertThat(((Entry.Weighed) only("olive 3/4 pound no tare")).mass()).isEqualTo(Mass.ounces(12));
            assertThat(read("weigh olive 8 1/2").problems())
                    .extracting(Problem::key)
                    .containsExactly(ProblemKey.BROKEN_OF_WHAT);
            assertThat(read("weigh lye 1/2").problems())
                    .extracting(Problem::key)
                    .containsExactly(ProblemKey.BROKEN_OF_WHAT);
            assertThat(((Entry.Weighed) only("weigh olive 8\u00bd oz")).mass()).isEqualTo(Mass.ounces(8.5));
            assertThat(((Entry.BarWeighed) only("bar 3\u00bc oz")).mass()).isEqualTo(Mass.ounces(3.25));
            assertThat(((Entry.Noted) only("note it is \u00bd full")).text()).isEqualTo("it is \u00bd full");
            assertThat(((Entry.Added) only("add lavender \u00bd oz")).mass()).isEqualTo(Mass.ounces(0.5));
            assertThat(((Entry.Added) only("add lavender 1 lb 2 oz lot 7")).mass())
                    .isEqualTo(Mass.ounces(18));
            assertThat(read("add lavender 1/2").problems())
                    .extracting(Problem::key)
                    .containsExactly(ProblemKey.BROKEN_OF_WHAT);
            assertThat(read("lye 43 1/2").problems())
                    .extracting(Problem::key)
                    .containsExactly(ProblemKey.NOT_UNDERSTOOD);
            assertThat(read("light 2").problems()).extracting(Problem::key).containsExactly(ProblemKey.NOT_UNDERSTOOD);
            assertThat(read("weigh olive 8\u00bd").problems())
                    .extracting(Problem::key)
                    .containsExactly(ProblemKey.BROKEN_OF_WHAT);
            assertThat(((Entry.PotWeighed) only("pot 4 lb 2 1/4 oz")).mass()).isEqualTo(Mass.ounces(66.25));
        }

        @Test
        void ofSomethingAreReadByItsWholeName() {
            assertThat(((Entry.Weighed) only("essential oil: lavender 1 oz")).what())
                    .isEqualTo(Weighable.additive("eo-lavender"));
        }

        @Test
        void readPoundsAndOunces() {
            Entry.Weighed entry = (Entry.Weighed) only("weigh olive 1 lb 2 oz");
            assertThat(entry.mass().inOunces()).isCloseTo(18, within(1e-9));
        }

        @Test
        void ofLyeNeedAUnitOrTheWordWeigh() {
            assertThat(only("lye 168.3 g")).isInstanceOf(Entry.Weighed.class);
            assertThat(only("weigh lye 168.3")).isInstanceOf(Entry.Weighed.class);
            assertThat(only("lye 68.3")).isInstanceOf(Entry.TemperatureRead.class);
        }

        @Test
        void ofNothingKnownAreRefused() {
            assertThat(read("weigh unobtainium 30 g").problems())
                    .extracting(Problem::key)
                    .containsExactly(ProblemKey.UNKNOWN_SUBSTANCE);
            assertThat(read("olive 0").problems()).extracting(Problem::key).containsExactly(ProblemKey.TOO_LOW);
            assertThat(read("olive 90 kg").problems()).extracting(Problem::key).containsExactly(ProblemKey.TOO_HIGH);
        }
    }

    @Test
    void everyOtherPhraseIsUnderstood() {
        assertThat(only("in")).isEqualTo(new Entry.LyeIntoFats());
        assertThat(only("lye in")).isEqualTo(new Entry.LyeIntoFats());
        assertThat(only("blend 20")).isEqualTo(new Entry.BlenderBurst(20));
        assertThat(only("light")).isEqualTo(new Entry.StageReached(Stage.LIGHT, null));
        assertThat(only("rice after lavender")).isEqualTo(new Entry.StageReached(Stage.RICED, LAVENDER));
        assertThat(only("add lavender 30 g")).isEqualTo(new Entry.Added(LAVENDER, Mass.grams(30), null, null));
        assertThat(only("poured 42")).isEqualTo(new Entry.Poured(Temperature.celsius(42)));
        assertThat(only("oven 70")).isEqualTo(new Entry.Kept(MouldCare.OVEN, Temperature.celsius(70)));
        assertThat(only("gel partial")).isEqualTo(new Entry.GelSeen(GelExtent.PARTIAL));
        assertThat(only("unmould")).isEqualTo(new Entry.Unmoulded());
        assertThat(only("cut 12 bars")).isEqualTo(new Entry.Cut(12));
        assertThat(only("pen 9.8")).isEqualTo(new Entry.PhRead(9.8, PhMethod.METER));
        assertThat(only("strip 9")).isEqualTo(new Entry.PhRead(9, PhMethod.STRIP));
        assertThat(only("ph 9.5 strip")).isEqualTo(new Entry.PhRead(9.5, PhMethod.STRIP));
        assertThat(only("strip 9")).isEqualTo(new Entry.PhRead(9, PhMethod.STRIP));
        assertThat(only("wash burns")).isEqualTo(new Entry.WashTested(WashFeel.BURNING));
        assertThat(only("touch sticky")).isEqualTo(new Entry.TouchTested(TouchFeel.STICKY));
        assertThat(only("bar 104.2 g")).isEqualTo(new Entry.BarWeighed(Mass.grams(104.2)));
        assertThat(only("bar 3 83.2 g")).isEqualTo(new Entry.BarWeighed(Mass.grams(83.2), Bars.numbered(3)));
        assertThat(only("bar 83.2 g on bar 3")).isEqualTo(new Entry.BarWeighed(Mass.grams(83.2), Bars.numbered(3)));
        assertThat(read("bar 0.4 g").problems()).extracting(Problem::key).containsExactly(ProblemKey.TOO_LOW);
        assertThat(only("bar 4 oz")).isEqualTo(new Entry.BarWeighed(Mass.ounces(4)));
        assertThat(only("bar 3 1/2 oz")).isEqualTo(new Entry.BarWeighed(Mass.ounces(3.5)));
        assertThat(only("bar 3-1/2 ounces")).isEqualTo(new Entry.BarWeighed(Mass.ounces(3.5)));
        assertThat(only("bar 1/4 lb")).isEqualTo(new Entry.BarWeighed(Mass.ounces(4)));
        assertThat(only("bar 1 lb 2 oz")).isEqualTo(new Entry.BarWeighed(Mass.ounces(18)));
        assertThat(only("bar 1 lb 2 1/2 oz")).isEqualTo(new Entry.BarWeighed(Mass.ounces(18.5)));
        assertThat(only("bar 3.6 ounces")).isEqualTo(new Entry.BarWeighed(Mass.ounces(3.6)));
        assertThat(only("bar 2 3 1/2 oz")).isEqualTo(new Entry.BarWeighed(Mass.ounces(3.5), Bars.numbered(2)));
        assertThat(only("trimmings cream 180 g")).isEqualTo(new Entry.ScrapsKept("cream", Mass.grams(180)));
        assertThat(only("scraps of sea green 85")).isEqualTo(new Entry.ScrapsKept("sea green", Mass.grams(85)));
        assertThat(only("off-cuts 12 g")).isEqualTo(new Entry.ScrapsKept("mixed", Mass.grams(12)));
        assertThat(only("titrate 0.3 %")).isEqualTo(new Entry.Titrated(0.3));
        assertThat(only("see thick crust")).isEqualTo(new Entry.Observed("thick-crust", Presence.SEEN));
        assertThat(only("no white spots")).isEqualTo(new Entry.Observed("white-spots", Presence.LOOKED_AND_ABSENT));
        assertThat(only("note strange green shimmer")).isEqualTo(new Entry.Noted("strange green shimmer"));
    }

    @Test
    void severalThingsMayStandInARow() {
        assertThat(read("lye 43; oil 41; in").entries()).hasSize(3);
    }

    @Nested
    class Moments {

        @Test
        void mayStandFirst() {
            assertThat(read("day 9 strip 9").at()).contains(BEGUN.plus(Duration.ofDays(9)));
            assertThat(read("@+35m light").at()).contains(BEGUN.plus(Duration.ofMinutes(35)));
            assertThat(read("@18:45 lye 60").at()).contains(Instant.parse("2026-11-03T18:45:00Z"));
            assertThat(read("@2026-11-20 14:05 bar 101 g").at()).contains(Instant.parse("2026-11-20T14:05:00Z"));
        }

        @Test
        void mayBeSomeTimeAgo() {
            assertThat(read("@5 min ago light").at()).contains(NOW.minus(Duration.ofMinutes(5)));
            assertThat(TimeNotation.read("at", "-90 s", BEGUN, NOW, ZoneOffset.UTC))
                    .isEqualTo(NOW.minusSeconds(90));
            assertThat(TimeNotation.read("at", "1,5 h", BEGUN, NOW, ZoneOffset.UTC))
                    .isEqualTo(NOW.minusSeconds(5400));
            assertThat(TimeNotation.isAgo("2 d ago")).isTrue();
            assertThat(TimeNotation.isAgo("14:05")).isFalse();
            assertThat(TimeNotation.isAgo("+35m")).isFalse();
        }

        @Test
        void keepTheirSeconds() {
            assertThat(TimeNotation.read("at", "2026-11-20 14:05:37", BEGUN, NOW, ZoneOffset.UTC))
                    .isEqualTo(Instant.parse("2026-11-20T14:05:37Z"));
        }

        @Test
        void ofTheMinuteInWhichABatchWasBegunAreItsBeginning() {
            Instant begun = BEGUN.plusSeconds(20);
            assertThat(TimeNotation.read("at", "18:00", begun, begun.plusSeconds(600), ZoneOffset.UTC))
                    .isEqualTo(begun);
            assertThat(keys("@2026-11-03 17:58 light")).containsExactly(ProblemKey.BEFORE_THE_BATCH);
        }

        @Test
        void inTheFutureOrBeforeTheBatchAreRefused() {
            assertThat(keys("day 40 strip 9")).containsExactly(ProblemKey.IN_THE_FUTURE);
            assertThat(keys("@2026-10-01 strip 9")).containsExactly(ProblemKey.BEFORE_THE_BATCH);
        }

        private List<ProblemKey> keys(String text) {
            return read(text).problems().stream().map(Problem::key).toList();
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"ph 15", "ph -2", "blend 0", "cut 99999", "bar 9 kg"})
    void impossibleNumbersAreRefused(String text) {
        assertThat(read(text).problems()).hasSize(1);
        assertThat(read(text).entries()).isEmpty();
    }

    @Test
    void emptyAndEndlessLinesAreRefused() {
        assertThat(read("  ").problems()).extracting(Problem::key).containsExactly(ProblemKey.MISSING);
        assertThat(read("x".repeat(QuickLine.LONGEST + 1)).problems())
                .extracting(Problem::key)
                .containsExactly(ProblemKey.TOO_LONG);
    }

    @ParameterizedTest
    @CsvSource({"'1,200.5 g', 1200.5", "'43,5', 43.5", "1.2 kg, 1200", "18oz, 510.291", "'1 200', 1200"})
    void massesAreReadAsMakersTypeThem(String text, double grams) {
        assertThat(MassNotation.read("mass", text, Units.METRIC).grams()).isCloseTo(grams, within(0.001));
    }
}
