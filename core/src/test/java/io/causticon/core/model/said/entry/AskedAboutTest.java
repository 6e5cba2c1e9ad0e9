package io.causticon.core.model.said.entry;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.Recipes;
import io.causticon.core.model.finding.Findings;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.Named;
import io.causticon.core.model.said.notation.DoseNotation;
import io.causticon.core.model.said.notation.LengthNotation;
import io.causticon.core.model.said.notation.LineNotation;
import io.causticon.core.model.said.notation.MassNotation;
import io.causticon.core.model.said.notation.NumberNotation;
import io.causticon.core.model.said.notation.TemperatureNotation;
import io.causticon.core.model.said.notation.TimeNotation;
import io.causticon.core.model.said.notation.Units;
import io.causticon.core.model.substance.Catalogue;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.quantity.Mass;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What the quick line is not sure of is asked about, never filed mutely and never taken for something else. */
class AskedAboutTest {

    private static final Instant BEGUN = Instant.parse("2026-11-20T12:00:00Z");
    private static final QuickContext CONTEXT = new QuickContext(
            Recipes.recipe()
                    .fat("olive-oil", 700)
                    .liquid("distilled-water", 100)
                    .plan(),
            BEGUN,
            BEGUN.plusSeconds(1_000_000),
            ZoneOffset.UTC,
            Units.METRIC,
            Findings.vocabulary());

    private static List<Entry> entries(String line) {
        QuickLine.Reading reading = QuickLine.read(line, CONTEXT);
        assertThat(reading.problems()).as(line).isEmpty();
        return reading.entries();
    }

    private static ProblemKey problem(String line) {
        QuickLine.Reading reading = QuickLine.read(line, CONTEXT);
        assertThat(reading.entries()).as(line).isEmpty();
        return reading.problems().get(0).key();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "bar 3 -5",
                "bar 1 1e9 kg",
                "bar 9o g",
                "bar 12O g",
                "bar 1e2 g",
                "bar 1/4",
                "bar 3 1/2",
                "bar 1 lb 2",
                "bar 104gr",
                "bar 5 %",
                "trimmings 5 % cream"
            })
    void aBarOrScrapsOfWhichNobodyKnowsHowMuch(String line) {
        assertThat(problem(line)).isEqualTo(ProblemKey.NOT_UNDERSTOOD);
    }

    @ParameterizedTest
    @ValueSource(strings = {"titrated 0.5 ml", "titrated 3 drops", "titration 12 mg"})
    void aTitrationInAnotherUnit(String line) {
        assertThat(problem(line)).isEqualTo(ProblemKey.NOT_PER_CENT);
    }

    @Test
    void aTitrationInPerCentIsTaken() {
        assertThat(entries("titrated 0.5 %")).containsExactly(new Entry.Titrated(0.5));
        assertThat(entries("titrated 0.5")).containsExactly(new Entry.Titrated(0.5));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "asdf | NOT_UNDERSTOOD | asdf",
                "honey 1 tsp | NOT_UNDERSTOOD_MAYBE | add honey 1 tsp",
                "honey | NOT_UNDERSTOOD_MAYBE | add honey",
                "thick crust | NOT_UNDERSTOOD_MAYBE | see thick crust",
                "add honey 1 cup | NOT_UNDERSTOOD | add honey 1 cup"
            })
    void aLineThatSaysNothingKnown(String line, ProblemKey key, String told) {
        QuickContext context = new QuickContext(
                Recipes.recipe()
                        .fat("olive-oil", 700)
                        .liquid("distilled-water", 100)
                        .additive("honey", 10)
                        .plan(),
                BEGUN,
                BEGUN.plusSeconds(1_000_000),
                ZoneOffset.UTC,
                Units.METRIC,
                Findings.vocabulary());
        QuickLine.Reading reading = QuickLine.read(line, context);
        assertThat(reading.entries()).isEmpty();
        assertThat(reading.problems().get(0).key()).isEqualTo(key);
        assertThat(reading.problems().get(0).values()).last().isEqualTo(told);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "lye 43 oil 41 | oil 41",
                "lye 43, oil 41 | oil 41",
                "blend 20 light | light",
                "lye 43 and room 18 | room 18",
                "light, poured | poured",
                "cut 10 bars bar 104 g | bar 104 g"
            })
    void twoThingsWithNothingBetweenThem(String line, String second) {
        QuickLine.Reading reading = QuickLine.read(line, CONTEXT);
        assertThat(reading.entries()).isEmpty();
        assertThat(reading.problems().get(0).key()).isEqualTo(ProblemKey.TWO_THINGS);
        assertThat(reading.problems().get(0).values()).containsExactly(second);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "lye 33.8 smells sweet",
                "see bloom in the corners",
                "see bloom on the top, 3 mm",
                "cut 10 bars, two crumbled",
                "clear after five minutes"
            })
    void whatFollowsAndIsNothingByItselfStaysWithIt(String line) {
        assertThat(entries(line)).hasSize(2);
    }

    @Test
    void spoonsAndDropsAreWeighedByTheirSubstance() {
        // Honey: the table's spoon; a drop is 0.04 g; a hundredth of 700 g of fats.
        double spoon = Catalogue.standard().additive("honey").gramsPerTeaspoon();
        assertThat(entries("add honey 2 tsp"))
                .containsExactly(new Entry.Added(new Named("honey", "honey"), Mass.grams(2 * spoon), null, null));
        assertThat(entries("add honey 1 tbsp to the black"))
                .containsExactly(new Entry.Added(
                        new Named("honey", "honey"), Mass.grams(3 * spoon), Named.called("black"), null));
        assertThat(entries("add honey 1 %"))
                .containsExactly(new Entry.Added(new Named("honey", "honey"), Mass.grams(7), null, null));
        assertThat(problem("add moonbeams 2 tsp")).isEqualTo(ProblemKey.UNKNOWN_SUBSTANCE);
    }

    @Test
    void mayBeKeptAsWordsWithItsTime() {
        assertThat(QuickLine.asWords("@+20m asdf")).contains("@+20m note asdf");
        assertThat(QuickLine.asWords("lye 40; asdf")).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "chalky film that rubs off, see crust wipes off with a wet cloth",
        "see wobbly like jelly on day three, see still loose or breaking after two days",
        "day 9 a grey disc in the middle, day 9 see dark disc in a pale rim",
        "@+20m see lye water went orange, @+20m see lye liquor orange or brown",
        "my palms sting, see hands burn after a wash",
        "see orange, see orange dots that grow over months",
        "see orange, see lye liquor orange or brown",
        "no white dust on top, no thin pale bloom"
    })
    void mayTellOfAFindingInOtherWords(String line, String meant) {
        List<Suggestion> suggested = QuickLine.suggestions(line);
        assertThat(suggested.stream().map(Suggestion::line)).contains(meant);
        assertThat(suggested)
                .allSatisfy(s -> assertThat(entries(s.line()).get(0)).isInstanceOf(Entry.Observed.class));
        assertThat(QuickLine.read(line, CONTEXT).problems()).isNotEmpty();
    }

    @ParameterizedTest
    @ValueSource(strings = {"call mum", "lye 40; chalky film", "", "need new gloves tomorrow", "see ", "@+20m"})
    void orOfNothing(String line) {
        assertThat(QuickLine.suggestions(line)).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "see weeping beads",
                "see orange peel",
                "see crusty edges",
                "seen something odd",
                "see foamy look"
            })
    void somethingSeenThatIsNotKnown(String line) {
        assertThat(problem(line)).isEqualTo(ProblemKey.UNKNOWN_FINDING);
    }

    @ParameterizedTest
    @CsvSource({
        "see weeping, weeping-dots",
        "see zap, zap",
        "see thick crust on two bars, thick-crust",
        "see bloom everywhere, thin-bloom"
    })
    void somethingSeenThatIsKnown(String line, String finding) {
        assertThat(entries(line).get(0))
                .isInstanceOfSatisfying(
                        Entry.Observed.class, o -> assertThat(o.finding()).isEqualTo(finding));
    }

    @Nested
    class Burning {

        @ParameterizedTest
        @ValueSource(
                strings = {
                    "my hands burn after washing",
                    "it stings a little",
                    "note my palms were stinging",
                    "zapped my tongue",
                    "light burned my finger on it",
                    "left a blister",
                    "skin itches"
                })
        void isAlwaysAskedAbout(String line) {
            assertThat(problem(line)).isEqualTo(ProblemKey.SPEAKS_OF_BURNING);
        }

        @Test
        void isKeptAsWordsByWhoeverSaysSo() {
            assertThat(entries("just a note the blender burned out"))
                    .containsExactly(new Entry.Noted("the blender burned out"));
            assertThat(entries("just a note: burnt toast next door")).hasSize(1);
        }

        @Test
        void isTakenWhereItIsSaidAsWhatItIs() {
            assertThat(entries("wash burn").get(0)).isInstanceOf(Entry.WashTested.class);
            assertThat(entries("see burnt smell").get(0)).isInstanceOf(Entry.Observed.class);
        }

        @Test
        void isNotHeardInOtherWords() {
            assertThat(entries("note smells sweet, resting in the loft")).hasSize(1);
            assertThat(entries("note testing the strength")).hasSize(1);
        }
    }

    /** Each notation given the worst it can get, 250 kB of it: a message, not a thread. */
    @Nested
    class Endless {

        @ParameterizedTest
        @ValueSource(
                strings = {
                    " ",
                    "1",
                    "1 ",
                    "1,",
                    ",",
                    ".",
                    "a",
                    "lb",
                    "1 lb ",
                    "in ",
                    "(",
                    ":",
                    ";",
                    "\u00a0",
                    "-",
                    "/",
                    "1/",
                    "day ",
                    "@",
                    "see ",
                    "e",
                    "oz 1 ",
                    "no tare "
                })
        void isRefusedByEveryNotation(String unit) {
            String endless = unit.repeat(250_000 / unit.length());
            assertThat(QuickLine.read("olive " + endless, CONTEXT).problems()).isNotEmpty();
            assertThat(keys(() -> NumberNotation.read("f", endless))).isNotEmpty();
            assertThat(keys(() -> NumberNotation.percent("f", endless))).isNotEmpty();
            assertThat(keys(() -> MassNotation.read("f", endless, Units.US))).isNotEmpty();
            assertThat(keys(() -> LengthNotation.readMillimetres("f", endless))).isNotEmpty();
            assertThat(keys(() -> LineNotation.read("f", endless, 80))).isNotEmpty();
            assertThat(keys(() -> DoseNotation.read("f", endless, Units.METRIC)))
                    .isNotEmpty();
            assertThat(keys(() -> TemperatureNotation.read("f", endless, Units.US)))
                    .isNotEmpty();
            assertThat(keys(() -> TimeNotation.read("f", endless, BEGUN, BEGUN, ZoneOffset.UTC)))
                    .isNotEmpty();
            assertThat(TimeNotation.isAgo(endless)).isFalse();
        }

        /** As long as a line may be, of what makes patterns go back and forth. */
        @ParameterizedTest
        @ValueSource(
                strings = {
                    "a ",
                    "1 ",
                    "1,",
                    "(",
                    "a-",
                    "in a ",
                    "olive ",
                    "add a ",
                    "to a ",
                    "1 lb 2 ",
                    "again weigh ",
                    "no ",
                    "light ",
                    "x' "
                })
        void isReadAtOnceWhereItIsShortEnough(String unit) {
            String line = unit.repeat(QuickLine.LONGEST / unit.length());
            assertThat(QuickLine.read(line, CONTEXT)).isNotNull();
        }

        private static List<?> keys(Runnable reading) {
            try {
                reading.run();
                return List.of();
            } catch (io.causticon.core.problem.ProblemsException e) {
                return e.problems();
            }
        }
    }
}
