package io.causticon.core.science.diagnosis;

import static io.causticon.core.Recipes.recipe;
import static io.causticon.core.science.diagnosis.Cases.batch;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.Recipes;
import io.causticon.core.model.finding.Finding;
import io.causticon.core.model.finding.Findings;
import io.causticon.core.model.log.Tare;
import io.causticon.core.model.log.Weighable;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.diagnosis.evidence.Evidence;
import io.causticon.core.science.diagnosis.knowledge.StandardKnowledge;
import io.causticon.core.science.diagnosis.network.Condition;
import io.causticon.core.science.diagnosis.network.Conditions;
import io.causticon.core.science.diagnosis.slips.Slip;
import io.causticon.core.wording.Phrase;
import java.util.Locale;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class DiagnosisTest {

    private static Recipes plain() {
        return recipe().fat("olive-oil", 500)
                .fat("lard", 264)
                .fat("coconut-oil-76", 236)
                .purity(98);
    }

    private static Cases calm() {
        return batch(plain()).weighedAsPlanned().log("@+1h poured 38", "@+40m light", "@+6h gel none", "@+20h cut 8");
    }

    private static Cases burning() {
        return batch(plain())
                .weighedAsPlanned()
                .weighed(Weighable.fat("lard"), Mass.grams(264), Tare.NOT_SAID, "second jug")
                .log("@+40m light", "@+1h poured 40", "@+6h gel none", "@+20h cut 8")
                .log("day 9 see thick crust", "day 9 strip 9", "day 9 no white spots")
                .log("day 16 see crust grows", "day 16 see resists steam", "day 16 wash burns");
    }

    private static String written(Phrase phrase) {
        return phrase.written(v -> v instanceof Mass m
                ? String.format(Locale.ROOT, "%.1f g", m.grams())
                : v instanceof Share share ? String.format(Locale.ROOT, "%.1f %%", share.inPercent()) : v.toString());
    }

    @Nested
    class LyeHeavy {

        @Test
        void leadsWhenACrustGrowsAndAWashBurnsAndATareIsMissing() {
            Diagnosis diagnosis = burning().diagnosis();
            assertThat(diagnosis.leading().orElseThrow().condition()).isEqualTo(Conditions.LYE_HEAVY);
            assertThat(diagnosis.of(Conditions.LYE_HEAVY).probability()).isGreaterThan(0.9);
            assertThat(diagnosis.verdict()).isEqualTo(Diagnosis.Verdict.HOLD);
            assertThat(diagnosis.slips().get(0).kind()).isEqualTo(Slip.Kind.TARE_NOT_TAKEN);
            assertThat(written(diagnosis.slips().get(0).arithmetic()))
                    .contains("84.0 g")
                    .contains("then -");
        }

        @Test
        void isNamedFromTheWeightsAloneWhenTheLogShowsASwap() {
            // 700 coconut and 300 olive planned, poured the other way round: lye for 256 x 700 + 190 x 300 = 236.2 g
            // KOH less 5 %
            // meets 256 x 300 + 190 x 700 = 209.8: superfat 1 - 0.95 x 236.2 / 209.8 = -7.0 %.
            Diagnosis diagnosis = batch(recipe().fat("coconut-oil-76", 700).fat("olive-oil", 300))
                    .weighedAsPlanned()
                    .weighed(Weighable.fat("coconut-oil-76"), Mass.grams(300), Tare.TAKEN, null)
                    .weighed(Weighable.fat("olive-oil"), Mass.grams(700), Tare.TAKEN, null)
                    .diagnosis();
            assertThat(diagnosis.of(Conditions.LYE_HEAVY).probability()).isGreaterThan(0.9);
            Slip first = diagnosis.slips().get(0);
            assertThat(first.kind()).isEqualTo(Slip.Kind.SWAPPED);
            assertThat(first.superfat().value()).isCloseTo(-0.070, within(0.001));
            assertThat(written(first.arithmetic())).contains("300.0 g of Coconut instead of 700.0 g");
        }

        @Test
        void isRuledOutByACalmWashAndATitration() {
            assertThat(calm().log("day 9 wash calm", "day 9 titrate 0").probabilityOf(Conditions.LYE_HEAVY))
                    .isLessThan(0.002);
        }

        @Test
        void staysOpenWhenNobodyWashed() {
            double open = calm().log("day 9 see thick crust").probabilityOf(Conditions.LYE_HEAVY);
            assertThat(open).isBetween(0.02, 0.6);
        }

        @ParameterizedTest
        @ValueSource(strings = {"day 9 strip 9", "day 9 strip 7", "day 9 strip 10.5"})
        void isNeverMadeLessLikelyByAStrip(String strip) {
            double without = burning().probabilityOf(Conditions.LYE_HEAVY);
            assertThat(burning().log(strip, strip).probabilityOf(Conditions.LYE_HEAVY))
                    .isGreaterThanOrEqualTo(without);
            double calmWithout = calm().log("day 9 see thick crust").diagnosis().anyHazard();
            assertThat(calm().log("day 9 see thick crust", strip).diagnosis().anyHazard())
                    .isGreaterThanOrEqualTo(calmWithout);
        }

        @Test
        void showsTheStripAsNotClearingIt() {
            Ledger ledger = burning().diagnosis().of(Conditions.LYE_HEAVY).ledger();
            assertThat(ledger.lines())
                    .filteredOn(l -> l.kind() == Ledger.Kind.DOES_NOT_CLEAR)
                    .singleElement()
                    .satisfies(l -> {
                        assertThat(l.words()).isEqualTo(Phrase.of("strip reads 9"));
                        assertThat(l.weight().decibans()).isZero();
                        assertThat(l.reason().pattern()).contains("never settle");
                    });
        }

        @Test
        void isRaisedByAStripThatReadsHigh() {
            assertThat(calm().log("day 9 strip 12").probabilityOf(Conditions.LYE_HEAVY))
                    .isGreaterThan(3 * calm().probabilityOf(Conditions.LYE_HEAVY));
        }

        @Test
        void aBurningWashIsNotOverwrittenByALaterCalmOne() {
            assertThat(burning().log("day 20 wash calm").probabilityOf(Conditions.LYE_HEAVY))
                    .isGreaterThan(0.9);
        }
    }

    @Nested
    class TooMuchAlkali {

        private double excess(Cases of) {
            return of.diagnosis().excess().middle().inPercent();
        }

        @Test
        void isToldWithItsAmount() {
            // The fats take 95.0 + 52.3 + 60.4 = 207.7 g KOH, without 84 g of lard 191.1: 1 - .95 x 207.7 / 191.1 =
            // -3.3 %.
            Diagnosis diagnosis = burning().diagnosis();
            assertThat(diagnosis.excess().middle().inPercent()).isBetween(1.5, 4.5);
            assertThat(diagnosis.excess().band().low())
                    .isLessThan(diagnosis.excess().middle().fraction());
            assertThat(diagnosis.excess().band().high())
                    .isGreaterThan(diagnosis.excess().middle().fraction());
        }

        @Test
        void isSizedByATitration() {
            // A kilogram of fats wants some 140 g NaOH in 1.5 kg of soap: 0.3 % free is 4.5 g, 3.2 % of that; 0.9 % is
            // 9.6 %.
            double some = excess(calm().log("day 9 titrate 0.3"));
            double much = excess(calm().log("day 9 titrate 0.9"));
            assertThat(some).isBetween(2.2, 4.5);
            assertThat(much).isBetween(7.0, 14.0);
        }

        @Test
        void aTitrationJustBelowAndJustAboveItsLimitSayNearlyTheSame() {
            double below = calm().log("day 9 titrate 0.099").probabilityOf(Conditions.LYE_HEAVY);
            double above = calm().log("day 9 titrate 0.101").probabilityOf(Conditions.LYE_HEAVY);
            assertThat(above / below).isBetween(1.0, 1.2);
        }

        @ParameterizedTest
        @ValueSource(
                strings = {
                    "day 9 pen 10.5",
                    "day 9 pen 12",
                    "day 9 pen 14",
                    "day 9 titrate 0.1",
                    "day 9 titrate 3",
                    "day 9 titrate 20",
                    "day 9 wash burns",
                    "day 9 see zap",
                    "day 9 see weeping"
                })
        void aTestThatSpeaksForItHoldsHoweverGoodTheWeightsAre(String line) {
            assertThat(calm().log("day 8 wash calm", line).diagnosis().verdict())
                    .isEqualTo(Diagnosis.Verdict.HOLD);
        }

        @Test
        void aHigherReadingIsNeverLessOfASign() {
            assertThat(calm().log("day 9 pen 14").diagnosis().anyHazard())
                    .isEqualTo(calm().log("day 9 pen 11.4").diagnosis().anyHazard());
            double before = 0;
            for (double titrated : new double[] {.1, .15, .2, .3, .4, .5, .7, 1, 1.5, 2, 3, 4, 5, 7, 10, 15, 20}) {
                double hazard =
                        calm().log("day 9 titrate " + titrated).diagnosis().anyHazard();
                assertThat(hazard).as("titrated %s %%", titrated).isGreaterThanOrEqualTo(before);
                before = hazard;
            }
        }

        @Test
        void everyAccountStaysANumberHoweverMuchSpeaksForIt() {
            for (double lye : new double[] {.1, 139, 300, 3000}) {
                Diagnosis diagnosis = calm().weighed(Weighable.NAOH, Mass.grams(lye), Tare.TAKEN, null)
                        .log(
                                "day 9 titrate 20",
                                "day 9 pen 14",
                                "day 9 wash burns",
                                "day 9 see zap",
                                "day 9 see crust grows",
                                "day 9 see weeping",
                                "day 9 see oil layer")
                        .diagnosis();
                assertThat(diagnosis.reports())
                        .allSatisfy(r -> assertThat(r.ledger().sum()).isFinite());
                assertThat(diagnosis.verdict()).isEqualTo(Diagnosis.Verdict.HOLD);
            }
        }

        @Test
        void aMeterThatReadsWhatThreePointsTooMuchMakesSpeaksForThem() {
            // 3 % of 140 g in 1.5 kg is 0.28 %: 0.0007 mol/l in a one per cent solution, pH 10.85.
            assertThat(calm().log("day 9 pen 10.9").probabilityOf(Conditions.LYE_HEAVY))
                    .isGreaterThan(20 * calm().probabilityOf(Conditions.LYE_HEAVY));
            assertThat(calm().log("day 9 pen 9.6").probabilityOf(Conditions.LYE_HEAVY))
                    .isLessThan(calm().probabilityOf(Conditions.LYE_HEAVY));
        }
    }

    @Nested
    class LyePockets {

        @Test
        void leadWhenHardSpotsWeepInside() {
            Diagnosis diagnosis = calm().log("day 3 see white spots", "day 3 see weeping", "day 3 wash burns")
                    .diagnosis();
            assertThat(diagnosis.leading().orElseThrow().condition()).isEqualTo(Conditions.LYE_POCKETS);
            assertThat(diagnosis.verdict()).isEqualTo(Diagnosis.Verdict.HOLD);
        }

        @Test
        void areRuledOutByACleanInsideAndACalmWash() {
            assertThat(calm().log("day 3 no white spots", "day 3 wash calm").probabilityOf(Conditions.LYE_POCKETS))
                    .isLessThan(0.005);
        }

        @Test
        void areHardlyLessLikelyForOneMoreBarThatIsClean() {
            Cases spots = calm().log("day 3 see white spots", "day 3 see weeping");
            double seen = spots.probabilityOf(Conditions.LYE_POCKETS);
            assertThat(spots.log("day 4 no white spots", "day 4 no weeping").probabilityOf(Conditions.LYE_POCKETS))
                    .isLessThan(seen)
                    .isGreaterThan(Diagnosis.HOLD_FROM);
        }

        @Test
        void stayOpenWhenNobodyCutIt() {
            assertThat(calm().log("day 3 wash burns").probabilityOf(Conditions.LYE_POCKETS))
                    .isGreaterThan(0.05);
        }
    }

    @Nested
    class SodaAsh {

        @Test
        void leadsWhenAThinBloomSteamsOffAndAWashIsCalm() {
            Diagnosis diagnosis = calm().log("day 3 see bloom", "day 3 no resists steam", "day 9 wash calm")
                    .diagnosis();
            assertThat(diagnosis.leading().orElseThrow().condition()).isEqualTo(Conditions.SODA_ASH);
            assertThat(diagnosis.anyHazard()).isLessThan(0.02);
            assertThat(diagnosis.verdict()).isEqualTo(Diagnosis.Verdict.CALM);
        }

        @Test
        void isUnlikelyWithoutABloom() {
            assertThat(calm().log("day 3 no bloom").probabilityOf(Conditions.SODA_ASH))
                    .isLessThan(0.2);
        }

        @Test
        void staysOpenWhenNobodyLooked() {
            assertThat(calm().probabilityOf(Conditions.SODA_ASH)).isBetween(0.2, 0.6);
        }
    }

    @Nested
    class Scorched {

        private Recipes milk() {
            return plain().liquid("goat-milk-whole", 100);
        }

        @Test
        void leadsWhenMilkWentOrangeInHotLye() {
            Diagnosis diagnosis = batch(milk())
                    .weighedAsPlanned()
                    .log("@+10m lye 66", "@+12m see orange liquor", "@+12m see ammonia")
                    .diagnosis();
            assertThat(diagnosis.leading().orElseThrow().condition()).isEqualTo(Conditions.SCORCHED);
            assertThat(diagnosis.of(Conditions.SCORCHED).causes())
                    .extracting(c -> c.words())
                    .contains(Phrase.of(
                            "liquor reached {}, scorches from {}", Temperature.celsius(66), Temperature.celsius(40)));
        }

        @Test
        void isRuledOutInClearWater() {
            assertThat(calm().log("@+10m lye 85").probabilityOf(Conditions.SCORCHED))
                    .isLessThan(0.005);
        }

        @Test
        void staysOpenWhenThePotWasNotMeasured() {
            assertThat(batch(milk()).weighedAsPlanned().probabilityOf(Conditions.SCORCHED))
                    .isBetween(0.02, 0.3);
        }
    }

    @Nested
    class Seized {

        @Test
        void leadsWhenTheBatterIsSolidRightAfterAFragrance() {
            Diagnosis diagnosis = batch(plain().additive("eo-clove", 8))
                    .weighedAsPlanned()
                    .log("@+30m in", "@+36m add clove 8 g", "@+37m mash", "@+38m see hot mash")
                    .diagnosis();
            assertThat(diagnosis.leading().orElseThrow().condition()).isEqualTo(Conditions.SEIZED);
            assertThat(diagnosis.evidence())
                    .anyMatch(e -> e.words().equals("thick at once after clove") && e.source() == Evidence.Source.LOG);
        }

        @Test
        void isRuledOutWhenItStayedFluid() {
            assertThat(calm().log("@+41m no solid").probabilityOf(Conditions.SEIZED))
                    .isLessThan(0.01);
        }

        @Test
        void staysOpenWithAMoverInTheRecipe() {
            assertThat(batch(plain().additive("eo-clove", 8)).probabilityOf(Conditions.SEIZED))
                    .isGreaterThan(0.05);
        }
    }

    @Nested
    class Overheated {

        @Test
        void leadsWhenTheTopCracksOverAHotCore() {
            Diagnosis diagnosis = batch(plain().additive("honey", 40))
                    .weighedAsPlanned()
                    .log("@+1h poured 46", "@+1h insulate", "@+3h core 93", "@+3h see cracked top", "@+3h see dome")
                    .diagnosis();
            assertThat(diagnosis.leading().orElseThrow().condition()).isEqualTo(Conditions.OVERHEATED);
        }

        @Test
        void isRuledOutByACoolCoreAndAFlatTop() {
            assertThat(calm().log("@+4h core 44", "day 1 no cracked top").probabilityOf(Conditions.OVERHEATED))
                    .isLessThan(0.005);
        }

        @Test
        void staysOpenWhenNobodyMeasured() {
            assertThat(calm().probabilityOf(Conditions.OVERHEATED)).isBetween(0.01, 0.1);
        }
    }

    @Nested
    class PartialGel {

        @Test
        void leadsWhenADarkDiscStandsInAPaleRim() {
            assertThat(calm().log("day 2 see dark core", "day 2 see pale edge", "day 2 wash calm")
                            .diagnosis()
                            .leading()
                            .orElseThrow()
                            .condition())
                    .isEqualTo(Conditions.PARTIAL_GEL);
        }

        @Test
        void isRuledOutByOneColourThrough() {
            assertThat(calm().log("day 2 no dark core").probabilityOf(Conditions.PARTIAL_GEL))
                    .isLessThan(0.02);
        }

        @Test
        void staysOpenUncut() {
            assertThat(batch(plain()).log("@+1h poured 40").probabilityOf(Conditions.PARTIAL_GEL))
                    .isBetween(0.03, 0.3);
        }
    }

    @Nested
    class Separation {

        @Test
        void leadsAndHoldsWhenOilStandsOnTop() {
            Diagnosis diagnosis = batch(plain())
                    .weighedAsPlanned()
                    .log("@+30m streaks", "@+35m poured 36", "@+4h see oil layer", "@+9h see soft below")
                    .diagnosis();
            assertThat(diagnosis.leading().orElseThrow().condition()).isEqualTo(Conditions.SEPARATION);
            assertThat(diagnosis.verdict()).isEqualTo(Diagnosis.Verdict.HOLD);
        }

        @Test
        void isRuledOutWhenItWasPouredAtTrace() {
            assertThat(calm().probabilityOf(Conditions.SEPARATION)).isLessThan(0.005);
        }

        @Test
        void staysOpenWhenPouredInStreaks() {
            assertThat(batch(plain()).log("@+30m streaks", "@+35m poured 36").probabilityOf(Conditions.SEPARATION))
                    .isGreaterThan(0.05);
        }
    }

    @Nested
    class Soft {

        @Test
        void leadsWhenAFatHeavyBarDentsAndClings() {
            Diagnosis diagnosis = batch(plain())
                    .weighedAsPlanned()
                    .weighed(Weighable.NAOH, Mass.grams(115), Tare.TAKEN, null)
                    .log("@+1h poured 38", "@+40m light", "day 3 see clings", "day 9 touch soft", "day 9 wash calm")
                    .diagnosis();
            assertThat(diagnosis.leading().orElseThrow().condition()).isEqualTo(Conditions.SOFT);
        }

        @Test
        void isRuledOutByAFirmBar() {
            assertThat(calm().log("day 20 touch firm").probabilityOf(Conditions.SOFT))
                    .isLessThan(0.02);
        }

        @Test
        void staysOpenWhileYoung() {
            assertThat(calm().log("day 1 unmould").probabilityOf(Conditions.SOFT))
                    .isGreaterThan(0.05);
        }
    }

    @Nested
    class WhatTheLogTellsBesidesLooks {

        @Test
        void isReadOnce() {
            double stage = scented().log("@+41m riced").probabilityOf(condition("ricing"));
            assertThat(stage).isGreaterThan(.6);
            assertThat(scented()
                            .log("@+41m riced", "@+41m lavender riced", "@+42m see grains after fragrance")
                            .probabilityOf(condition("ricing")))
                    .isEqualTo(stage);
        }

        @Test
        void isWhatAnIngredientDid() {
            double before = scented().probabilityOf(condition("browned"));
            assertThat(scented().log("day 9 lavender browned").probabilityOf(condition("browned")))
                    .isGreaterThan(before * 3);
        }

        private Cases scented() {
            return batch(plain().additive("eo-lavender", 20))
                    .weighedAsPlanned()
                    .log("@+1h poured 38", "@+40m light", "@+6h gel none", "@+20h cut 8");
        }

        private Condition condition(String id) {
            return StandardKnowledge.all().conditions().stream()
                    .filter(c -> c.id().equals(id))
                    .findFirst()
                    .orElseThrow();
        }
    }

    @Nested
    class Reports {

        @Test
        void accountForEveryDeciban() {
            burning()
                    .diagnosis()
                    .reports()
                    .forEach(r -> assertThat(r.ledger().sum())
                            .as(r.condition().name())
                            .isCloseTo(10 * Math.log10(r.probability() / (1 - r.probability())), within(1e-6)));
        }

        @Test
        void putHazardsFirstAndKeepEveryCondition() {
            Diagnosis diagnosis = burning().diagnosis();
            assertThat(diagnosis.reports())
                    .hasSize(StandardKnowledge.all().conditions().size());
            int hazards = (int) StandardKnowledge.all().conditions().stream()
                    .filter(Condition::hazard)
                    .count();
            assertThat(diagnosis.reports().subList(0, hazards))
                    .allMatch(r -> r.condition().hazard());
            assertThat(diagnosis.reports().subList(hazards, diagnosis.reports().size()))
                    .noneMatch(r -> r.condition().hazard());
        }

        @Test
        void areTheSameForTheSameLog() {
            assertThat(burning().diagnosis().reports())
                    .isEqualTo(burning().diagnosis().reports());
        }

        @Test
        void tellEveryConditionWhatToDo() {
            assertThat(calm().diagnosis().reports()).allSatisfy(r -> {
                assertThat(r.remedy().now()).isNotBlank();
                assertThat(r.remedy().nextTime()).isNotBlank();
            });
            assertThat(calm().diagnosis().of(Conditions.LYE_HEAVY).remedy().now())
                    .contains("Curing does not mend it");
        }
    }

    @Nested
    class NextLooks {

        @Test
        void proposeATitrationWhenAHazardIsOpen() {
            Diagnosis diagnosis =
                    calm().log("day 9 see thick crust", "day 9 strip 9").diagnosis();
            assertThat(diagnosis.next().stream().limit(3).map(NextLook::finding))
                    .contains(Findings.FREE_ALKALI);
            NextLook titration = diagnosis.next().stream()
                    .filter(n -> n.finding().equals(Findings.FREE_ALKALI))
                    .findFirst()
                    .orElseThrow();
            assertThat(titration.ifFound()).isGreaterThan(0.9);
            assertThat(titration.ifNot()).isLessThan(titration.ifFound());
        }

        @Test
        void neverProposeAStripAndNothingThatTouchesSkinWhileAHazardIsLikely() {
            Diagnosis open = calm().log("day 9 see thick crust").diagnosis();
            assertThat(open.anyHazard()).isBetween(0.05, 0.5);
            assertThat(open.next())
                    .extracting(NextLook::finding)
                    .isNotEmpty()
                    .doesNotContain(
                            Findings.STRIP_HIGH,
                            Findings.WASH_BURNS,
                            Findings.ZAP,
                            Findings.SKIN_TIGHT,
                            Findings.named("one-tester"),
                            Findings.named("stings-in-one-place"))
                    .noneMatch(f -> f.group() == Finding.Group.USE);
        }

        @Test
        void areNotProposedWhereNothingWouldFreeTheBatch() {
            Diagnosis burning = burning().diagnosis();
            assertThat(burning.next()).isEmpty();
            assertThat(burning.lookCouldFree()).isFalse();
            assertThat(calm().log("day 9 wash calm").diagnosis().lookCouldFree())
                    .isTrue();
        }

        @Test
        void beginWithATestWhereThereIsNone() {
            assertThat(calm().log("day 9 touch firm").diagnosis().next().get(0).finding())
                    .isIn(Findings.FREE_ALKALI, Findings.METER_HIGH, Findings.WASH_BURNS);
        }

        @Test
        void areNotOfATimeThatIsPastAndSayHowLongTheyTake() {
            Cases young = calm().log("@+3h core 93", "@+3h see dome", "@+4h touch firm");
            assertThat(calm().log("day 9 see cracked top").diagnosis().next())
                    .extracting(NextLook::finding)
                    .doesNotContain(Findings.named("hot-outside"));
            assertThat(young.diagnosis().next())
                    .isNotEmpty()
                    .allSatisfy(n -> assertThat(n.delay().plus(young.facts().age()))
                            .isGreaterThanOrEqualTo(n.finding().from()));
        }

        @Test
        void tellTheirOutcomesForWhatTheyMoveMost() {
            NextLook top = calm().log("day 9 wash calm", "day 9 see cracked top").diagnosis().next().stream()
                    .filter(n -> n.finding().equals(Findings.named("rough-holes")))
                    .findFirst()
                    .orElseThrow();
            assertThat(top.about().id()).isEqualTo("heat-tunnels");
            assertThat(top.ifFound()).isGreaterThan(20 * top.ifNot());
        }

        @Test
        void doNotRepeatWhatIsKnown() {
            assertThat(burning().diagnosis().next())
                    .extracting(NextLook::finding)
                    .doesNotContain(Findings.WASH_BURNS, Findings.THICK_CRUST);
        }
    }
}
