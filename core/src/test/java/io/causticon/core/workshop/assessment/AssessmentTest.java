package io.causticon.core.workshop.assessment;

import static io.causticon.core.Recipes.recipe;
import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.KnownVessels;
import io.causticon.core.model.log.Life;
import io.causticon.core.model.log.Presence;
import io.causticon.core.model.mould.Mould;
import io.causticon.core.model.mould.MouldKind;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.Portion;
import io.causticon.core.model.plan.Portioning;
import io.causticon.core.model.plan.Pouring;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import io.causticon.core.science.diagnosis.Road;
import io.causticon.core.science.facts.BatchFacts;
import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvFileSource;
import org.junit.jupiter.params.provider.ValueSource;

class AssessmentTest {

    private static final String MADE = "oil 42; @+40m lye in; @+45m light; @+1h poured 38; @+20h cut 8";

    private static BatchPlan plain() {
        return recipe().fat("olive-oil", 500)
                .fat("lard", 264)
                .fat("coconut-oil-76", 236)
                .purity(98)
                .plan();
    }

    private static Histories history(BatchPlan plan, String lines) {
        String all = lines.contains("made;") || lines.equals("made") ? lines.replace("made", MADE) : lines;
        return Histories.of(plan).weighedAsPlanned().log(all.split(";\\s*"));
    }

    private static String missing(Assessment of) {
        return of.gate()
                .map(g -> g.missing().stream().map(m -> m.kind().name()).collect(Collectors.toCollection(TreeSet::new)))
                .map(m -> String.join(" ", m))
                .orElse("no gate");
    }

    /** The table tells what each of its columns is. */
    @ParameterizedTest
    @CsvFileSource(resources = "histories.csv", delimiter = '|', numLinesToSkip = 1)
    void says(String lines, double day, String state, String missing) {
        Assessment judged = history(plain(), lines.trim()).at(Duration.ofMinutes(Math.round(day * 24 * 60)));
        if (!state.equals("any")) {
            assertThat(judged.state().name())
                    .as(missing(judged) + " "
                            + judged.worstHazard().map(h -> h.condition().name() + " " + h.probability()))
                    .isEqualTo(state);
        }
        assertThat(judged.isHeld()).isEqualTo(judged.state().isHeld());
        if (judged.isHeld()) {
            assertThat(judged.arises()).as("the line that holds it").isPresent();
            assertThat(judged.mayBeReleased()).isFalse();
        }
        if (missing.equals("none")) {
            assertThat(missing(judged))
                    .as("%s", judged.worstHazard().map(h -> h.condition().name() + " " + h.probability()))
                    .isEmpty();
            assertThat(judged.mayBeReleased()).isTrue();
        } else if (missing.equals("any")) {
            assertThat(judged.mayBeReleased()).isFalse();
        } else if (missing.equals("no gate")) {
            assertThat(judged.gate()).isEmpty();
        } else {
            assertThat(missing(judged).split(" ")).containsAll(Arrays.asList(missing.split(" ")));
            assertThat(judged.mayBeReleased()).isFalse();
        }
    }

    @Test
    void aVesselThatIsWeighedLaterHoldsWhatWasWeighedInIt() {
        BatchPlan plan = recipe().fat("coconut-oil-76", 700)
                .fat("olive-oil", 300)
                .purity(98)
                .plan();
        Histories heavy = Histories.of(plan)
                .log(
                        "olive 300 g",
                        "coconut 700 g in blue bowl no tare",
                        "oil 42",
                        "@+40m lye in",
                        "@+45m light",
                        "@+1h poured 38",
                        "@+20h cut 8");
        Assessment before = heavy.at(Duration.ofDays(3));
        Assessment after = heavy.knowing(new KnownVessels(Map.of("blue bowl", Mass.grams(310)), Map.of()))
                .at(Duration.ofDays(3));
        assertThat(after.isHeld()).isTrue();
        assertThat(after.state()).isEqualTo(Assessment.State.HELD);
        assertThat(after.worstHazard().orElseThrow().probability())
                .isGreaterThan(before.worstHazard().orElseThrow().probability());
        assertThat(after.arises().orElseThrow().reason()).contains("lye-heavy stood at");
    }

    /** What is held stays so until a person releases it, whatever is learned of the shelf. */
    @Test
    void noMassOfAVesselEverFreesWhatWasHeld() {
        BatchPlan plan = recipe().fat("coconut-oil-76", 700)
                .fat("olive-oil", 300)
                .purity(98)
                .plan();
        Random random = new Random(8424);
        for (int n = 0; n < 40; n++) {
            Histories held = Histories.of(plan)
                    .log(
                            "olive 300 g",
                            "coconut 700 g in blue bowl no tare",
                            "oil 42",
                            "@+40m lye in",
                            "@+45m light",
                            "@+1h poured 38",
                            "@+20h cut 8")
                    .entry(Duration.ofDays(2), new Entry.Held("lye-heavy stood at 49 %"));
            KnownVessels known =
                    new KnownVessels(Map.of("blue bowl", Mass.grams(1 + 900 * random.nextDouble())), Map.of());
            assertThat(held.knowing(known).at(Duration.ofDays(3)).isHeld()).isTrue();
        }
    }

    @Test
    void aBurnIsNotOneHandsSkinWhileSomethingElseSpeaksForAlkali() {
        String calm = "; day 13 wash calm on bar 4";
        Assessment alone =
                history(plain(), "made; day 9 wash burns on bar 1" + calm).now();
        Assessment stung = history(plain(), "made; day 9 wash burns on bar 1; day 9 see zap" + calm)
                .now();
        assertThat(skin(alone)).isGreaterThan(2 * skin(stung));
    }

    /** Tender skin mostly burns with the next bar as well. */
    @Test
    void aBurnAmongSeveralCalmHandsIsNoTenderSkin() {
        String burned = "made; day 9 wash burns on bar 1; day 10 wash calm on bar 2";
        Assessment once = history(plain(), burned).now();
        Assessment often = history(plain(), burned + "; day 13 wash calm on bar 4; day 14 wash calm on bar 5")
                .now();
        assertThat(skin(often)).isLessThan(skin(once) / 2);
    }

    private static double skin(Assessment of) {
        return of.examined().orElseThrow().diagnosis().reports().stream()
                .filter(r -> r.condition().id().equals("sensitive-skin"))
                .findFirst()
                .orElseThrow()
                .probability();
    }

    @Test
    void whatCannotBeJudgedIsHeldAsThat() {
        Histories made = history(plain(), "made; day 9 wash calm");
        Assessment broken = Assessment.notJudged(
                plain(), made.batchLog(), "a number is none", Histories.BEGUN.plus(Duration.ofDays(10)));
        assertThat(broken.state()).isEqualTo(Assessment.State.NOT_JUDGED);
        assertThat(broken.arises().orElseThrow().reason()).contains("cannot be judged");
        assertThat(broken.mayBeReleased()).isFalse();
        // On the bench there is nothing to judge.
        assertThat(Assessment.notJudged(
                                plain(), history(plain(), "oil 42").batchLog(), "a number is none", Histories.BEGUN)
                        .isHeld())
                .isFalse();
    }

    @Nested
    class PartsWithLyeOfTheirOwn {

        private BatchPlan divided(Portioning.Way way) {
            List<Portion> parts =
                    List.of(Portion.sharing("cream", Share.percent(50)), Portion.sharing("goat", Share.percent(50)));
            BatchPlan plan = way == Portioning.Way.SHARES
                    ? plain().with(new Mould("loaf", MouldKind.WOODEN_LOAF, 300, 80, 75, 1))
                    : plain();
            return plan.with(
                    Pouring.PLAIN.divided(new Portioning(way, parts, Share.NONE, null, Portioning.LyeRoute.OWN)));
        }

        private Assessment of(Portioning.Way way, String... lines) {
            return Histories.of(divided(way))
                    .weighedAsPlanned()
                    .log(MADE.split(";\\s*"))
                    .log(lines)
                    .now();
        }

        @Test
        void areTestedEach() {
            assertThat(missing(of(Portioning.Way.CUPS, "day 9 wash calm on the cream bar")))
                    .contains("TEST");
            assertThat(missing(of(Portioning.Way.CUPS, "day 9 wash calm"))).contains("TEST");
            String cream = "day 5 wash calm on the cream bar";
            String goat = "day 5 wash calm on the goat bar";
            assertThat(of(
                                    Portioning.Way.CUPS,
                                    cream,
                                    goat,
                                    "day 9 wash calm on the cream bar",
                                    "day 9 wash calm on the goat bar")
                            .mayBeReleased())
                    .isTrue();
            assertThat(missing(of(Portioning.Way.CUPS, cream, goat, "day 9 wash calm on the cream bar")))
                    .contains("TEST");
        }

        @Test
        void holdWhenOneOfThemBurns() {
            Assessment burned = of(
                    Portioning.Way.CUPS,
                    "day 5 wash calm on the cream bar",
                    "day 9 wash calm on the cream bar",
                    "day 9 wash burns on the goat bar");
            assertThat(burned.isHeld()).isTrue();
            assertThat(burned.examined().orElseThrow().parts().get("cream").anyHazard())
                    .isLessThan(.02);
            assertThat(burned.examined().orElseThrow().parts().get("goat").anyHazard())
                    .isGreaterThan(.1);
            assertThat(burned.gate().orElseThrow().missing())
                    .allSatisfy(m -> assertThat(m.part()).isEqualTo("goat"));
        }

        @Test
        void areTestedOnceWhereABarHoldsAllOfThem() {
            assertThat(of(Portioning.Way.SHARES, "day 5 wash calm", "day 9 wash calm")
                            .mayBeReleased())
                    .isTrue();
            // A test of one layer alone is of that layer.
            assertThat(missing(of(Portioning.Way.SHARES, "day 9 wash calm on the cream bar")))
                    .contains("TEST");
        }
    }

    @Nested
    class TheRoad {

        private Road road(Histories of, Assessment judged) {
            return Histories.DIAGNOSTICIAN.road(
                    BatchFacts.of(plain(), of.batchLog(), Histories.BEGUN.plus(Duration.ofDays(52))),
                    KnownVessels.NONE,
                    judged.examined().orElseThrow());
        }

        @Test
        void ofAFaultlessBatchIsShortAndNeedsNoBurette() {
            Histories made = Histories.of(plain()).log(MADE.split(";\\s*"));
            Road road = road(made, made.at(Duration.ofDays(52)));
            assertThat(road.opens()).isTrue();
            assertThat(road.steps()).hasSizeBetween(1, 6);
            assertThat(road.steps())
                    .extracting(Road.Step::kind)
                    .contains(Road.Kind.WASH)
                    .doesNotContain(Road.Kind.TITRATE);
        }

        /** Nobody titrates a batch that an hour under a glass would clear. */
        @Test
        void isWalkedWithoutABuretteWhereLooksAloneClearIt() {
            Histories washed = Histories.of(plain())
                    .log("oil 42", "@+40m lye in", "@+1h poured 38", "@+20h cut 8")
                    .log("day 4 wash calm", "day 9 wash calm");
            Assessment now = washed.at(Duration.ofDays(21));
            assertThat(now.mayBeReleased()).isFalse();
            Road road = road(washed, now);
            assertThat(road.opens()).isTrue();
            assertThat(road.steps()).extracting(Road.Step::kind).doesNotContain(Road.Kind.TITRATE);
        }

        @ParameterizedTest
        @ValueSource(
                strings = {
                    "made",
                    "made; day 9 no bloom",
                    "made; day 9 wash burns",
                    "made; day 5 see white spots on bar 1",
                    "made; @+5h see oil layer",
                    "oil 42; @+40m lye in; @+45m mash; @+1h poured 50; @+20h cut 8"
                })
        void leadsToAReleaseWhereItIsWalked(String lines) {
            Histories made = history(plain(), lines);
            Assessment judged = made.at(Duration.ofDays(52));
            Road road = road(made, judged);
            if (!road.opens()) {
                return;
            }
            int bar = 2;
            Instant begun = Histories.BEGUN;
            for (Road.Step step : road.steps()) {
                long hours =
                        Math.max(24 * 52, Duration.between(begun, step.from()).toHours() + 1);
                String at = "@+" + hours + "h ";
                switch (step.kind()) {
                    case WAIT -> {}
                    case CUT -> made.log(at + "no white spots on bars 2-8");
                    case WASH -> made.log(at + "wash calm on bar " + (1 + bar++ % 8));
                    case TITRATE ->
                        made.log(
                                at + "titrate 0 on bar " + (1 + bar++ % 8), at + "titrate 0 on bar " + (1 + bar++ % 8));
                    case LOOK ->
                        made.entry(
                                Duration.ofHours(hours),
                                new Entry.Observed(step.finding(), Presence.LOOKED_AND_ABSENT));
                }
            }
            assertThat(missing(made.at(Duration.ofDays(70))))
                    .as("after " + road.steps())
                    .isEmpty();
        }
    }

    @Test
    void movingAllTimesByADayChangesNothingButTheDates() {
        for (String lines : List.of(
                "made", "made; day 9 wash calm", "made; day 9 wash burns", "made; day 5 see white spots on bar 1")) {
            Assessment one = history(plain(), lines).at(Duration.ofDays(10));
            Assessment other = Histories.of(plain())
                    .later(Duration.ofDays(1))
                    .weighedAsPlanned()
                    .log(lines.replace("made", MADE).split(";\\s*"))
                    .at(Duration.ofDays(10));
            assertThat(other.state()).isEqualTo(one.state());
            assertThat(missing(other)).isEqualTo(missing(one));
            assertThat(other.worstHazard().orElseThrow().probability())
                    .isEqualTo(one.worstHazard().orElseThrow().probability());
            assertThat(other.dates().ready()).isEqualTo(one.dates().ready().plus(Duration.ofDays(1)));
        }
    }

    /** Whatever else is logged, a sign more never opens the gate. */
    @Test
    void aSignOfAHazardNeverOpensTheGate() {
        Random random = new Random(8424);
        List<String> signs = List.of(
                "see zap",
                "wash burns",
                "titrate 0.6",
                "see weeping",
                "see white spots",
                "pen 12",
                "phenolphthalein pink",
                "see oil layer");
        List<String> calm = List.of(
                "wash calm",
                "titrate 0",
                "no white spots on bars 2-6",
                "no weeping",
                "no zap",
                "no bloom",
                "pen 9.6",
                "titrate 0.03");
        int closed = 0;
        for (int n = 0; n < 60; n++) {
            Histories with = history(plain(), "made");
            Histories without = history(plain(), "made");
            int at = random.nextInt(5);
            for (int i = 0; i < 5; i++) {
                String day = "day " + (3 + random.nextInt(20)) + " ";
                String line = day + calm.get(random.nextInt(calm.size()));
                with.log(line);
                without.log(line);
                if (i == at) {
                    with.log("day " + (3 + random.nextInt(20)) + " " + signs.get(random.nextInt(signs.size())));
                }
            }
            boolean before = without.at(Duration.ofDays(30)).mayBeReleased();
            boolean after = with.at(Duration.ofDays(30)).mayBeReleased();
            assertThat(after && !before).as("draw %d", n).isFalse();
            closed += before && !after ? 1 : 0;
        }
        assertThat(closed).as("and now and then it shuts it").isPositive();
    }

    @Test
    void theGateOfWhatIsOnTheBenchIsNone() {
        Assessment bench = history(plain(), "oil 42; @+40m lye in").now();
        assertThat(bench.life()).isEqualTo(Life.BENCH);
        assertThat(bench.gate()).isEmpty();
        assertThat(bench.mayBeReleased()).isFalse();
    }
}
