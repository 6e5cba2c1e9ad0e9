package io.causticon.core.workshop.preflight;

import static io.causticon.core.Recipes.recipe;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.Recipes;
import io.causticon.core.model.mould.Line;
import io.causticon.core.model.mould.Mould;
import io.causticon.core.model.mould.MouldKind;
import io.causticon.core.model.plan.AdditionStage;
import io.causticon.core.model.plan.AlkaliBalance;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.Dose;
import io.causticon.core.model.plan.FatPortion;
import io.causticon.core.model.plan.GelGoal;
import io.causticon.core.model.plan.LiquidTarget;
import io.causticon.core.model.plan.PlanFields;
import io.causticon.core.model.plan.Portion;
import io.causticon.core.model.plan.Portioning;
import io.causticon.core.model.plan.Pouring;
import io.causticon.core.model.plan.Scales;
import io.causticon.core.model.plan.Vessel;
import io.causticon.core.model.plan.VesselMaterial;
import io.causticon.core.model.substance.Catalogue;
import io.causticon.core.model.substance.FattyAcid.Family;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.forecast.LoafForecast;
import io.causticon.core.science.formula.Composition;
import io.causticon.core.science.formula.Sizing;
import io.causticon.core.science.loaf.LoafKnowledge;
import io.causticon.core.science.pots.LyePeak;
import io.causticon.core.workshop.preflight.WorkshopFacts.LastBatch;
import io.causticon.core.workshop.preflight.WorkshopFacts.Tried;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;

/** Each bite: a plan that has it, and a change of one tap after which it is gone. */
class PlanRisksTest {

    private static final Temperature ROOM = Temperature.celsius(20);
    private static final WorkshopFacts UNKNOWN = WorkshopFacts.unknown(ROOM);

    private static Recipes plain() {
        return recipe().fat("olive-oil", 650)
                .fat("coconut-oil-76", 250)
                .purity(98)
                .target(LiquidTarget.concentration(.30));
    }

    private static List<PlanRisk> bites(BatchPlan plan, WorkshopFacts workshop) {
        return PreFlight.of(
                plan, LyePeak.of(plan, ROOM), LoafForecast.planned(plan, ROOM, LoafKnowledge.NONE), workshop);
    }

    private static Optional<PlanRisk> find(BatchPlan plan, WorkshopFacts workshop, String title) {
        return bites(plan, workshop).stream()
                .filter(b -> PreFlightTest.words(b.title()).contains(title))
                .findFirst();
    }

    private static PlanRisk bite(BatchPlan plan, String title) {
        return find(plan, UNKNOWN, title)
                .orElseThrow(() -> new AssertionError(title + " is not among "
                        + bites(plan, UNKNOWN).stream()
                                .map(b -> PreFlightTest.words(b.title()))
                                .toList()));
    }

    private static void everyChangeCures(BatchPlan plan, String title) {
        PlanRisk bite = bite(plan, title);
        assertThat(bite.changes()).isNotEmpty();
        for (PlanChange change : bite.changes()) {
            assertThat(find(change.applyTo(plan), UNKNOWN, title))
                    .as(PreFlightTest.words(change.label()))
                    .isEmpty();
        }
    }

    @Nested
    class Alkali {

        @Test
        void superfatThatReachesBelowZero() {
            BatchPlan plan = plain().superfat(1).plan();
            PlanRisk bite = bite(plan, "Superfat reaches below zero");
            assertThat(bite.dangerous()).isTrue();
            assertThat(find(bite.changes().get(0).applyTo(plan), UNKNOWN, "Superfat reaches below zero"))
                    .isEmpty();
        }

        @Test
        void aScaleTooCoarseForTheLye() {
            everyChangeCures(
                    recipe().fat("olive-oil", 60)
                            .fat("coconut-oil-76", 25)
                            .superfat(8)
                            .plan(),
                    "Too little lye for this scale");
        }

        @Test
        void aJugWithTooLittleLyeOfItsOwn() {
            BatchPlan plan = plain().plan();
            BatchPlan jugs = plan.with(plan.pouring()
                    .divided(new Portioning(
                            Portioning.Way.SHARES,
                            List.of(
                                    Portion.sharing("most", Share.percent(93)),
                                    Portion.sharing("dots", Share.percent(7))),
                            Share.NONE,
                            null,
                            Portioning.LyeRoute.OWN)));
            everyChangeCures(jugs, "dots has too little lye for this scale");
            assertThat(find(jugs, UNKNOWN, "most has too little lye")).isEmpty();
        }

        @Test
        void overageThatIsMeantIsNone() {
            Mould loaf = new Mould("loaf", MouldKind.WOODEN_LOAF, 240, 85, 70, 1);
            BatchPlan plan = plain().plan().with(loaf);
            BatchPlan full = plan.with(Sizing.toFill(plan.formula(), loaf, plan.pouring())
                    .scaledTo(Sizing.toFill(plan.formula(), loaf, plan.pouring())
                            .fatMass()
                            .times(1.1)));
            assertThat(find(full, UNKNOWN, "It runs over")).isPresent();
            Pouring meant = new Pouring(Pouring.SizedBy.WEIGHTS, null, Share.percent(10), null, 25, Portioning.WHOLE);
            assertThat(find(full.with(meant), UNKNOWN, "It runs over")).isEmpty();
        }

        @Test
        void aCupOfItsOwnThatHasTooMuch() {
            BatchPlan plan = plain().superfat(-3).plan();
            BatchPlan cups = plan.with(plan.pouring()
                    .divided(new Portioning(
                            Portioning.Way.CUPS,
                            List.of(
                                    Portion.sharing("plain", Share.NONE),
                                    Portion.sharing("vinegar", Share.NONE)
                                            .with(
                                                    Catalogue.standard().liquid("vinegar-5"),
                                                    Dose.mass(Mass.grams(120)))),
                            Share.NONE)));
            assertThat(find(cups, UNKNOWN, "plain has more alkali")).isPresent();
            assertThat(find(cups, UNKNOWN, "vinegar has more alkali")).isEmpty();
        }
    }

    @Nested
    class Liquor {

        @Test
        void milkInWarmLyeIsFrozenOrSplit() {
            BatchPlan plan = plain().liquid("goat-milk-whole", 100).plan();
            everyChangeCures(plan, "The liquid meets warm lye");
            BatchPlan split =
                    bite(plan, "The liquid meets warm lye").changes().get(1).applyTo(plan);
            AlkaliBalance balance = AlkaliBalance.of(split.formula());
            // Lye in its own mass of water first, the milk at emulsion; water and milk still make a whole.
            assertThat(balance.firstConcentration().inPercent()).isBetween(47.0, 50.5);
            assertThat(split.formula().liquidParts().stream()
                            .mapToDouble(p -> p.share().fraction())
                            .sum())
                    .isCloseTo(1, within(1e-9));
            assertThat(split.formula().liquidParts())
                    .anyMatch(p -> p.joins() == AdditionStage.EMULSION
                            && p.liquid().id().startsWith("goat"));
        }

        @Test
        void aHotPotTakesIce() {
            BatchPlan plan = plain().target(LiquidTarget.concentration(.38)).plan();
            everyChangeCures(plan, "The lye pot gets hot");
            BatchPlan iced = bite(plan, "The lye pot gets hot").changes().get(0).applyTo(plan);
            assertThat(LyePeak.of(iced, ROOM).without().celsius()).isLessThanOrEqualTo(60.5);
        }

        @Test
        void lyeThatIsStrongOrShortOfWater() {
            everyChangeCures(plain().target(LiquidTarget.concentration(.42)).plan(), "Strong lye");
            BatchPlan short_ = plain().target(LiquidTarget.concentration(.51)).plan();
            assertThat(bite(short_, "Less water than lye").dangerous()).isTrue();
            everyChangeCures(short_, "Less water than lye");
        }

        @Test
        void wineWithItsAlcohol() {
            assertThat(bite(plain().liquid("wine", 100).plan(), "Alcohol in the lye pot")
                            .dangerous())
                    .isTrue();
            assertThat(find(plain().plan(), UNKNOWN, "Alcohol")).isEmpty();
        }

        @Test
        void aCanThatLyeEatsAndGlassThatShatters() {
            Vessel can = new Vessel("milk can", VesselMaterial.ALUMINIUM, Mass.grams(800));
            Vessel pot = new Vessel("steel pot", VesselMaterial.STAINLESS_STEEL, Mass.grams(640));
            WorkshopFacts workshop = new WorkshopFacts(ROOM, Map.of(), List.of(can, pot), null, Set.of());
            BatchPlan plan = plain().plan().with(PlanFields.LYE_VESSEL, can);
            PlanRisk bite = find(plan, workshop, "Lye eats the milk can").orElseThrow();
            assertThat(bite.dangerous()).isTrue();
            assertThat(bite.changes().get(0).applyTo(plan).lyeVessel()).isEqualTo(pot);
            assertThat(bite(
                                    plain().plan()
                                            .with(
                                                    PlanFields.LYE_VESSEL,
                                                    new Vessel("beaker", VesselMaterial.GLASS, Mass.grams(300))),
                                    "The beaker may shatter")
                            .dangerous())
                    .isFalse();
        }

        @Test
        void aCanThatBatterEatsAndOnePotForBoth() {
            Vessel can = new Vessel("milk can", VesselMaterial.ALUMINIUM, Mass.grams(800));
            Vessel jug = new Vessel("jug", VesselMaterial.POLYPROPYLENE, Mass.grams(110));
            Vessel pot = new Vessel("steel pot", VesselMaterial.STAINLESS_STEEL, Mass.grams(640));
            WorkshopFacts workshop = new WorkshopFacts(ROOM, Map.of(), List.of(can, jug, pot), null, Set.of());
            BatchPlan plan = plain().plan().with(PlanFields.LYE_VESSEL, jug).with(PlanFields.FATS_VESSEL, can);
            PlanRisk eaten = find(plan, workshop, "Batter eats the milk can").orElseThrow();
            assertThat(eaten.dangerous()).isTrue();
            BatchPlan moved = eaten.changes().get(0).applyTo(plan);
            assertThat(moved.fatsVessel()).isEqualTo(pot);
            assertThat(moved.lyeVessel()).isEqualTo(jug);
            assertThat(find(moved, workshop, "Batter eats")).isEmpty();
            PlanRisk both = find(
                            plain().plan().with(PlanFields.LYE_VESSEL, pot).with(PlanFields.FATS_VESSEL, pot),
                            workshop,
                            "Lye and fats are both in the steel pot")
                    .orElseThrow();
            assertThat(both.changes().get(0).applyTo(plan).lyeVessel()).isEqualTo(jug);
            assertThat(both.dangerous()).isFalse();
        }
    }

    @Nested
    class BatterAndAdditives {

        @Test
        void waxBelowItsMeltingPoint() {
            everyChangeCures(plain().fat("beeswax", 15).plan(), "Beeswax sets before it soaps");
            everyChangeCures(plain().fat("stearic-acid", 20).plan(), "sets before it soaps");
        }

        @Test
        void castorWithMuchWaterAndCastorAlone() {
            Recipes wet = recipe().fat("olive-oil", 600)
                    .fat("coconut-oil-76", 250)
                    .fat("castor-oil", 150)
                    .purity(98)
                    .target(LiquidTarget.ratio(2.8));
            PlanRisk rubbery = bite(wet.plan(), "Castor with much water");
            BatchPlan less = rubbery.changes().get(1).applyTo(wet.plan());
            assertThat(Composition.of(less.formula().fats())
                            .of(Family.RICINOLEIC)
                            .inPercent())
                    .isCloseTo(6, within(0.05));
            assertThat(less.formula().fatMass().grams()).isCloseTo(1000, within(1e-6));
            everyChangeCures(
                    recipe().fat("olive-oil", 600)
                            .fat("coconut-oil-76", 250)
                            .fat("castor-oil", 150)
                            .purity(98)
                            .plan(),
                    "Much castor stays tacky");
        }

        @Test
        void aBlendThatIsTooStrongTogether() {
            // Caps 45 and 30 g a kg: 0.8 of each limit is 1.6 together.
            BatchPlan plan = plain().additive("eo-lavender", .8 * 45 * .9)
                    .additive("eo-peppermint", .8 * 30 * .9)
                    .plan();
            assertThat(find(plan, UNKNOWN, "too much")).isEmpty();
            everyChangeCures(plan, "The blend as a whole is too strong");
        }

        @Test
        void anUntriedFragranceInAQuickBatter() {
            Recipes quick = recipe().fat("palm-oil", 500)
                    .fat("coconut-oil-76", 300)
                    .fat("cocoa-butter", 200)
                    .purity(98)
                    .additive("fragrance-oil", 25);
            assertThat(bite(quick.plan(), "was never tried here, in a quick batter")
                            .changes())
                    .isNotEmpty();
            WorkshopFacts tried =
                    new WorkshopFacts(ROOM, Map.of("fragrance-oil", new Tried(4, 0)), List.of(), null, Set.of());
            assertThat(find(quick.plan(), tried, "was never tried")).isEmpty();
            WorkshopFacts troubled =
                    new WorkshopFacts(ROOM, Map.of("fragrance-oil", new Tried(4, 2)), List.of(), null, Set.of());
            assertThat(find(quick.plan(), troubled, "was trouble before")).isPresent();
        }

        @Test
        void aMoverGoesIntoTheFats() {
            BatchPlan plan = plain().additive("eo-clove", 6).plan();
            BatchPlan changed =
                    bite(plan, "may seize the batter").changes().get(0).applyTo(plan);
            assertThat(changed.formula().additives().get(0).joins()).isEqualTo(AdditionStage.FATS);
        }

        @Test
        void aFastEndingOnPurposeIsNotAnError() {
            BatchPlan plan = plain().additive("eo-clove", 6).plan();
            BatchPlan ending =
                    bite(plan, "may seize the batter").changes().get(1).applyTo(plan);
            assertThat(ending.formula().additives().get(0).joins()).isEqualTo(AdditionStage.LAST);
            assertThat(find(ending, UNKNOWN, "may seize the batter")).isEmpty();
        }

        @Test
        void clayThatClumpsAndColourThatAlkaliChanges() {
            everyChangeCures(plain().additive("green-clay", 20).plan(), "clumps when it goes in dry");
            assertThat(bite(plain().additive("turmeric", 4).plan(), "Alkali changes"))
                    .isNotNull();
        }
    }

    @Nested
    class SettingAndKeeping {

        @Test
        void sugarWithInsulation() {
            everyChangeCures(plain().additive("honey", 45).gel(GelGoal.FORCE).plan(), "Sugar and insulation");
        }

        @Test
        void aMouldThatRunsOver() {
            everyChangeCures(
                    recipe().fat("olive-oil", 1900)
                            .fat("coconut-oil-76", 600)
                            .purity(98)
                            .plan(),
                    "It runs over");
        }

        @Test
        void aDrawingThatTakesMoreThanTheBatchMakes() {
            Mould loaf = new Mould("loaf", MouldKind.WOODEN_LOAF, 300, 85, 75, 1);
            BatchPlan plan = plain().plan().with(loaf);
            BatchPlan drawn = plan.with(plan.pouring()
                    .divided(new Portioning(
                            Portioning.Way.LAYERS,
                            List.of(Portion.layer("low", Line.flat(40)), Portion.layer("high", Line.flat(74))),
                            Share.percent(3))));
            everyChangeCures(drawn, "Not enough for the drawing");
        }

        @Test
        void saltBarsThatAreCutLate() {
            assertThat(bite(plain().additive("salt-bar", 400).plan(), "Salt bars shatter"))
                    .isNotNull();
        }

        @Test
        void fatsThatGoStale() {
            Recipes stale = recipe().fat("sunflower-oil", 500)
                    .fat("coconut-oil-76", 300)
                    .fat("olive-oil", 200)
                    .superfat(8)
                    .purity(98);
            PlanRisk bite = bite(stale.plan(), "It goes stale early");
            BatchPlan guarded = bite.changes().get(1).applyTo(stale.plan());
            assertThat(find(guarded, UNKNOWN, "It goes stale early")).isEmpty();
        }

        @Test
        void gelThatMayStopHalfWay() {
            BatchPlan plan = plain().plan();
            Optional<PlanRisk> partial = find(plan, UNKNOWN, "Gel may stop half-way");
            partial.ifPresent(b -> assertThat(find(b.changes().get(1).applyTo(plan), UNKNOWN, "Gel may stop half-way"))
                    .isEmpty());
            assertThat(partial).isPresent();
        }
    }

    @Nested
    class Workshop {

        @Test
        void allergensThatTheMouldHeldLast() {
            WorkshopFacts milk = new WorkshopFacts(
                    ROOM, Map.of(), List.of(), new LastBatch("Harbour Milk", Set.of("milk")), Set.of());
            assertThat(find(plain().plan(), milk, "The mould last held milk")).isPresent();
            assertThat(find(plain().frozen("goat-milk-whole", 100).plan(), milk, "The mould last held"))
                    .isEmpty();
        }

        @Test
        void aLotPastItsUse() {
            WorkshopFacts old = new WorkshopFacts(ROOM, Map.of(), List.of(), null, Set.of("OL-27"));
            BatchPlan plan = plain().plan();
            FatPortion first = plan.formula().fats().get(0);
            BatchPlan dated = plan.with(plan.formula()
                    .withFats(List.of(
                            new FatPortion(first.fat(), first.mass(), "OL-27"),
                            plan.formula().fats().get(1))));
            assertThat(find(dated, old, "Past its use-by: OL-27")).isPresent();
            assertThat(find(plan, old, "Past its use-by")).isEmpty();
        }
    }

    @Test
    void scalesOfATenthOfAGramAreFineEnoughForATestBar() {
        BatchPlan small =
                recipe().fat("olive-oil", 85).superfat(8).plan().with(new Scales(Mass.grams(.1), Mass.grams(.1)));
        assertThat(find(small, UNKNOWN, "Too little lye")).isEmpty();
    }
}
