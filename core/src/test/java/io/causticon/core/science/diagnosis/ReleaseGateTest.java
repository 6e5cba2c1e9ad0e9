package io.causticon.core.science.diagnosis;

import static io.causticon.core.Recipes.recipe;
import static io.causticon.core.science.diagnosis.Cases.batch;
import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.Recipes;
import io.causticon.core.model.log.Tare;
import io.causticon.core.model.log.Weighable;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.Portion;
import io.causticon.core.model.plan.Portioning;
import io.causticon.core.model.plan.Pouring;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import io.causticon.core.science.diagnosis.ReleaseGate.Kind;
import io.causticon.core.science.diagnosis.network.Conditions;
import java.util.List;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class ReleaseGateTest {

    private static Recipes plain() {
        return recipe().fat("olive-oil", 500)
                .fat("lard", 264)
                .fat("coconut-oil-76", 236)
                .purity(98);
    }

    private static Cases made() {
        return batch(plain()).weighedAsPlanned().log("@+1h poured 38", "@+40m light", "@+6h gel none", "@+20h cut 8");
    }

    private static ReleaseGate gate(Cases of) {
        return of.examined().gate();
    }

    private static List<Kind> missing(Cases of) {
        return gate(of).missing().stream().map(ReleaseGate.Requirement::kind).toList();
    }

    @Test
    void opensForABatchThatWasWeighedAndWashedAndIsAWeekOld() {
        ReleaseGate gate = gate(made().log("day 5 wash calm", "day 8 wash calm", "day 8 no bloom"));
        assertThat(gate.missing()).isEmpty();
        assertThat(gate.isOpen()).isTrue();
        assertThat(gate.requirements())
                .extracting(r -> r.words().pattern())
                .contains("a calm wash on day 8", "8 days since the lye");
    }

    @Test
    void neverOpensWithoutATest() {
        Cases untested = made().log(
                        "day 9 no bloom",
                        "day 9 no white spots",
                        "day 9 strip 9",
                        "day 9 no brittle",
                        "day 9 touch firm",
                        "day 9 no zap");
        assertThat(missing(untested)).contains(Kind.TEST);
        assertThat(untested.diagnosis().verdict()).isEqualTo(Diagnosis.Verdict.NOT_RULED_OUT);
    }

    @Test
    void doesNotTakeAWashOfTheFirstDayForATest() {
        assertThat(missing(made().log("@+10h wash calm", "day 9 no bloom"))).contains(Kind.TEST);
    }

    @Test
    void thatAnotherWashWasCalmIsNoTestWhereNoneWasLogged() {
        assertThat(missing(made().log("day 9 no another wash burns as well"))).contains(Kind.TEST);
        assertThat(missing(made().log("day 8 wash burns", "day 12 no another wash burns as well", "day 12 titrate 0")))
                .doesNotContain(Kind.NO_STANDING_SIGN);
    }

    @Test
    void waitsAWeek() {
        assertThat(missing(made().log("day 3 wash calm", "day 6 wash calm"))).containsExactly(Kind.AGE);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "day 9 wash burns | titrate, or read one per cent in water with a pen; when that is calm, wash with"
                        + " another bar, three days later or more",
                "day 9 see zap | the same with another bar",
                "day 9 titrate 0.4 | titrate another bar, three days later or more",
                "day 9 see weeping | cut other bars"
            })
    void aSignStands(String sign, String wanted) {
        Cases of = made().log("day 8 wash calm", sign, "day 30 no bloom");
        assertThat(missing(of)).contains(Kind.NO_STANDING_SIGN);
        assertThat(gate(of).missing()).anyMatch(r -> r.words().pattern().contains(wanted));
    }

    @Nested
    class ABurningWash {

        private Cases burned() {
            return made().log("day 9 wash burns");
        }

        private boolean stands(Cases of) {
            return missing(of).contains(Kind.NO_STANDING_SIGN);
        }

        @ParameterizedTest
        @ValueSource(
                strings = {
                    "day 10 wash calm",
                    "day 11 wash calm",
                    "day 20 strip 8",
                    "day 20 see bloom",
                    "day 20 no white spots",
                    "day 20 titrate 0",
                    "day 20 no zap"
                })
        void isNotLiftedBy(String line) {
            assertThat(stands(burned().log(line))).isTrue();
        }

        @Test
        void isNotLiftedByACalmWashAloneNorByATitrationFromBefore() {
            assertThat(stands(burned().log("day 13 wash calm"))).isTrue();
            assertThat(stands(burned().log("day 8 titrate 0", "day 13 wash calm")))
                    .isTrue();
        }

        @Test
        void isLiftedByAnotherBarAFewDaysLaterAndAMeasurement() {
            Cases again = burned().log("day 13 wash calm", "day 13 titrate 0");
            assertThat(stands(again)).isFalse();
            // Where it came from is not known yet: the batch stays until its hazards are low as well.
            assertThat(missing(again)).contains(Kind.HAZARDS_LOW);
        }

        @Test
        void comesBackWithAnotherOne() {
            assertThat(stands(burned().log("day 13 wash calm", "day 13 titrate 0", "day 14 wash burns")))
                    .isTrue();
        }
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "day 8 no white spots",
                "day 8 strip 9",
                "day 8 no zap",
                "day 8 no bloom",
                "day 8 no brittle",
                "day 8 no weeping",
                "day 8 wash calm",
                "day 8 touch firm",
                "day 8 phenolphthalein clear"
            })
    void noSetOfLooksFreesABatchWhoseWashBurned(String first) {
        String[] looks = {
            "day 9 no white spots",
            "day 9 no weeping",
            "day 9 no bloom",
            "day 9 no brittle",
            "day 9 no crust grows",
            "day 9 no thick crust",
            "day 9 strip 9",
            "day 9 no zap"
        };
        Cases of = made().log(first, "day 8 wash burns");
        for (String look : looks) {
            of.log(look);
            assertThat(gate(of).isOpen()).as("after " + look).isFalse();
        }
    }

    @Test
    void isNotShutForWhatBurnedOnTheFirstDay() {
        // Soap that is still being made is caustic: a sting at twelve hours is superseded by the same test a week
        // later.
        Cases early =
                made().log("@+12h see zap", "@+12h titrate 1.5", "day 8 no zap", "day 8 titrate 0", "day 8 wash calm");
        assertThat(gate(early).missing()).isEmpty();
        assertThat(made().log("@+12h see zap").probabilityOf(Conditions.LYE_HEAVY))
                .isGreaterThan(.05);
        // Nor for what stung before 99 % had reacted; from then on it stands.
        assertThat(missing(made().log("@+30h see zap", "day 8 no zap", "day 8 wash calm")))
                .doesNotContain(Kind.NO_STANDING_SIGN);
        assertThat(missing(made().log("@+90h see zap", "day 8 no zap", "day 8 wash calm")))
                .contains(Kind.NO_STANDING_SIGN);
    }

    @Test
    void aPinkDropStandsUntilItWasMeasured() {
        Cases pink = made().log("day 8 phenolphthalein pink", "day 8 wash calm");
        assertThat(missing(pink)).contains(Kind.NO_STANDING_SIGN);
        assertThat(pink.probabilityOf(Conditions.LYE_HEAVY))
                .isGreaterThan(made().log("day 8 wash calm").probabilityOf(Conditions.LYE_HEAVY));
        assertThat(missing(pink.log("day 12 phenolphthalein clear"))).contains(Kind.NO_STANDING_SIGN);
        assertThat(missing(pink.log("day 12 titrate 0"))).doesNotContain(Kind.NO_STANDING_SIGN);
    }

    @Test
    void whatIsWorthTestingNextIsWhatTheGateAsksFor() {
        assertThat(next(made()).test()).isEmpty();
        assertThat(next(made()).why().written(Object::toString)).contains("caustic");
        Cases week = made().log("day 8 no bloom");
        assertThat(next(week).test()).contains(BarTest.WASH);
        assertThat(next(week).keptFromSkin()).isFalse();
        Cases burned = made().log("day 8 wash burns");
        assertThat(next(burned).test()).contains(BarTest.TITRATE);
        assertThat(next(burned).keptFromSkin()).isTrue();
        Cases calm = made().log("day 8 wash calm", "day 8 titrate 0");
        assertThat(next(calm).test()).isEmpty();
        assertThat(next(calm.log("day 22 no bloom")).test()).contains(BarTest.LATHER);
        assertThat(next(calm.log("day 22 lather 4")).test()).isEmpty();
    }

    @Test
    void afterOneCalmWashAnotherBarIsAskedForOnItsDay() {
        Cases once = made().log("day 8 wash calm");
        assertThat(next(once).test()).isEmpty();
        assertThat(next(once).why().pattern())
                .contains("a second, with another bar")
                .contains("three days");
        NextTest due = next(once.log("day 12 no bloom"));
        assertThat(due.test()).contains(BarTest.WASH);
        assertThat(due.why().pattern()).contains("take another bar");
        assertThat(next(once.log("day 12 wash calm")).test()).isNotEqualTo(due.test());
    }

    @Test
    void partsWithLyeOfTheirOwnAreTestedEach() {
        List<Portion> parts =
                List.of(Portion.sharing("cream", Share.percent(50)), Portion.sharing("goat", Share.percent(50)));
        for (Portioning.LyeRoute route : Portioning.LyeRoute.values()) {
            BatchPlan plan = plain().plan();
            plan = plan.with(
                    Pouring.PLAIN.divided(new Portioning(Portioning.Way.SHARES, parts, Share.NONE, null, route)));
            Cases one = batch(plan)
                    .weighedAsPlanned()
                    .log(
                            "@+1h poured 40",
                            "@+20h cut 8",
                            "day 5 wash calm on the cream bar",
                            "day 9 wash calm on the cream bar");
            boolean together = route == Portioning.LyeRoute.TOGETHER;
            assertThat(missing(one).contains(Kind.TEST)).as(route.name()).isEqualTo(!together);
            assertThat(missing(one.log("day 5 wash calm on the goat bar", "day 9 wash calm on the goat bar")))
                    .doesNotContain(Kind.TEST);
            // A sign on one is not lifted by the other.
            Cases burned = one.log(
                    "day 10 wash burns on the goat bar",
                    "day 14 wash calm on the cream bar",
                    "day 14 titrate 0 on the cream bar");
            assertThat(missing(burned).contains(Kind.NO_STANDING_SIGN))
                    .as(route.name())
                    .isEqualTo(!together);
            assertThat(missing(burned.log("day 15 wash calm on the goat bar", "day 15 titrate 0 on the goat bar")))
                    .doesNotContain(Kind.NO_STANDING_SIGN);
        }
    }

    private static NextTest next(Cases of) {
        return NextTest.of(of.facts(), of.diagnosis(), gate(of));
    }

    @Test
    void wantsTheInsideOfBarsThatWerePouredAsAMash() {
        Cases mash = batch(plain())
                .weighedAsPlanned()
                .log("@+40m mash", "@+1h poured 50", "@+20h cut 8", "day 5 wash calm", "day 8 no bloom");
        assertThat(missing(mash)).contains(Kind.CUTS);
        // One clean face says nothing of the next, and the same bar twice is one bar.
        assertThat(missing(mash.log("day 8 no white spots"))).contains(Kind.CUTS);
        assertThat(missing(mash.log(
                        "day 8 no white spots on bar 2",
                        "day 8 no white spots on bar 2",
                        "day 9 no white spots on bars 2, 5")))
                .contains(Kind.CUTS);
        assertThat(missing(mash.log("day 8 no white spots on 2 bars", "day 9 no white spots on 2 bars")))
                .contains(Kind.CUTS);
        assertThat(missing(mash.log("day 8 no white spots on bars 2 and 5", "day 9 no white spots on bar 9")))
                .doesNotContain(Kind.CUTS);
        assertThat(missing(mash.log("day 8 no white spots on 3 bars"))).doesNotContain(Kind.CUTS);
    }

    @Test
    void isNotOpenedByTheBarThatBurned() {
        Cases burned = made().log("day 8 wash burns on bar 3", "day 12 titrate 0 on bar 3");
        assertThat(missing(burned.log("day 12 wash calm on bar 3"))).contains(Kind.NO_STANDING_SIGN);
        assertThat(missing(burned.log("day 12 wash calm on bar 4"))).doesNotContain(Kind.NO_STANDING_SIGN);
        // Nobody knows that it was the same one.
        assertThat(missing(burned.log("day 12 wash calm"))).doesNotContain(Kind.NO_STANDING_SIGN);
        // A second burn is news, also when another bar is calm.
        assertThat(missing(burned.log("day 12 wash burns on bar 5", "day 13 wash calm on bar 4")))
                .contains(Kind.NO_STANDING_SIGN);
    }

    @Test
    void staysShutWhenTheWeightsSpeakAgainstIt() {
        Cases heavy = made().weighed(Weighable.fat("lard"), Mass.grams(180), Tare.TAKEN, null)
                .log("day 9 wash calm");
        assertThat(missing(heavy)).contains(Kind.HAZARDS_LOW);
    }
}
