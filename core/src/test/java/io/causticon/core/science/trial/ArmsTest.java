package io.causticon.core.science.trial;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.model.log.SensoryScale;
import io.causticon.core.model.mould.Mould;
import io.causticon.core.model.mould.MouldKind;
import io.causticon.core.model.plan.AdditionStage;
import io.causticon.core.model.plan.AdditivePortion;
import io.causticon.core.model.plan.AlkaliBalance;
import io.causticon.core.model.plan.AlkaliChoice;
import io.causticon.core.model.plan.Aspect;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.FatPortion;
import io.causticon.core.model.plan.Formula;
import io.causticon.core.model.plan.GelGoal;
import io.causticon.core.model.plan.LiquidPart;
import io.causticon.core.model.plan.LiquidState;
import io.causticon.core.model.plan.LiquidTarget;
import io.causticon.core.model.plan.OvenStay;
import io.causticon.core.model.plan.PlanFields;
import io.causticon.core.model.plan.Portion;
import io.causticon.core.model.plan.Portioning;
import io.causticon.core.model.plan.Pouring;
import io.causticon.core.model.plan.Process;
import io.causticon.core.model.plan.Rework;
import io.causticon.core.model.plan.Scales;
import io.causticon.core.model.plan.ScrapPortion;
import io.causticon.core.model.plan.Vessel;
import io.causticon.core.model.plan.VesselMaterial;
import io.causticon.core.model.substance.Catalogue;
import io.causticon.core.model.substance.Liquid;
import io.causticon.core.quantity.Estimate;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.formula.PortionAmounts;
import io.causticon.core.science.formula.Portions;
import java.lang.reflect.RecordComponent;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** Arms made from one plan, and in what two differ. */
class ArmsTest {

    private static final Catalogue TABLES = Catalogue.standard();
    private static final BatchPlan BASE = new BatchPlan(
            "Base",
            new Formula(
                    List.of(
                            new FatPortion(TABLES.fat("olive-oil"), Mass.grams(600)),
                            new FatPortion(TABLES.fat("coconut-oil-76"), Mass.grams(400))),
                    AlkaliChoice.naoh(Share.percent(98)),
                    Share.percent(5),
                    LiquidTarget.concentration(.33),
                    List.of(new LiquidPart(TABLES.liquid("distilled-water"), Share.WHOLE, LiquidState.LIQUID)),
                    List.of(new AdditivePortion(TABLES.additive("kaolin"), Mass.grams(20)))),
            Process.COLD,
            GelGoal.ALLOW,
            null,
            Temperature.celsius(38),
            Scales.KITCHEN,
            "");

    /**
     * Names and notes make no soap; what is sized by what follows from masses; fixed amounts are told by what follows
     * from them.
     */
    private static final Set<String> NO_DIFFERENCE = Set.of("BatchPlan.name", "BatchPlan.note", "Formula.fixed");

    private static Formula formula(
            Formula f,
            List<FatPortion> fats,
            AlkaliChoice alkali,
            Share superfat,
            LiquidTarget target,
            List<LiquidPart> liquids,
            List<AdditivePortion> additives) {
        return new Formula(fats, alkali, superfat, target, liquids, additives);
    }

    private static BatchPlan with(Pouring pouring) {
        return BASE.with(pouring);
    }

    /** One plan for every component that a plan is made of, otherwise in that alone. */
    private static Map<String, BatchPlan> otherwise() {
        Formula f = BASE.formula();
        Map<String, BatchPlan> all = new LinkedHashMap<>();
        all.put(
                "Formula.fats",
                BASE.with(formula(
                        f,
                        List.of(f.fats().get(0), new FatPortion(TABLES.fat("lard"), Mass.grams(400))),
                        f.alkali(),
                        f.superfat(),
                        f.liquidTarget(),
                        f.liquidParts(),
                        f.additives())));
        all.put("FatPortion.fat", all.get("Formula.fats"));
        all.put(
                "FatPortion.mass",
                BASE.with(formula(
                        f,
                        List.of(
                                f.fats().get(0).weighing(Mass.grams(500)),
                                f.fats().get(1).weighing(Mass.grams(500))),
                        f.alkali(),
                        f.superfat(),
                        f.liquidTarget(),
                        f.liquidParts(),
                        f.additives())));
        all.put(
                "FatPortion.lot",
                BASE.with(formula(
                        f,
                        List.of(
                                new FatPortion(f.fats().get(0).fat(), Mass.grams(600), "OO-9"),
                                f.fats().get(1)),
                        f.alkali(),
                        f.superfat(),
                        f.liquidTarget(),
                        f.liquidParts(),
                        f.additives())));
        all.put(
                "FatPortion.afterCook",
                BASE.with(formula(
                        f,
                        List.of(
                                new FatPortion(f.fats().get(0).fat(), Mass.grams(600), null, true),
                                f.fats().get(1)),
                        f.alkali(),
                        f.superfat(),
                        f.liquidTarget(),
                        f.liquidParts(),
                        f.additives())));
        AlkaliChoice dual = new AlkaliChoice(Share.percent(90), Share.percent(98), Share.percent(90));
        all.put(
                "AlkaliChoice.naohShare",
                BASE.with(formula(f, f.fats(), dual, f.superfat(), f.liquidTarget(), f.liquidParts(), f.additives())));
        all.put("Formula.alkali", all.get("AlkaliChoice.naohShare"));
        all.put(
                "AlkaliChoice.naohPurity",
                BASE.with(formula(
                        f,
                        f.fats(),
                        AlkaliChoice.naoh(Share.percent(95)),
                        f.superfat(),
                        f.liquidTarget(),
                        f.liquidParts(),
                        f.additives())));
        all.put("Formula.superfat", BASE.with(f.withSuperfat(Share.percent(7))));
        all.put("Formula.liquidTarget", BASE.with(f.withLiquid(LiquidTarget.concentration(.28), f.liquidParts())));
        all.put("LiquidTarget.way", BASE.with(f.withLiquid(LiquidTarget.ofFats(.38), f.liquidParts())));
        all.put("LiquidTarget.value", all.get("Formula.liquidTarget"));
        all.put(
                "Formula.liquidParts",
                BASE.with(f.withLiquid(
                        f.liquidTarget(),
                        List.of(new LiquidPart(TABLES.liquid("goat-milk-whole"), Share.WHOLE, LiquidState.LIQUID)))));
        all.put("LiquidPart.liquid", all.get("Formula.liquidParts"));
        all.put(
                "LiquidPart.share",
                BASE.with(f.withLiquid(
                        f.liquidTarget(),
                        List.of(
                                new LiquidPart(TABLES.liquid("distilled-water"), Share.percent(70), LiquidState.LIQUID),
                                new LiquidPart(TABLES.liquid("black-tea"), Share.percent(30), LiquidState.LIQUID)))));
        all.put(
                "LiquidPart.state",
                BASE.with(f.withLiquid(
                        f.liquidTarget(),
                        List.of(new LiquidPart(TABLES.liquid("distilled-water"), Share.WHOLE, LiquidState.FROZEN)))));
        all.put(
                "LiquidPart.joins",
                BASE.with(f.withLiquid(
                        f.liquidTarget(),
                        List.of(
                                new LiquidPart(TABLES.liquid("distilled-water"), Share.percent(60), LiquidState.LIQUID),
                                new LiquidPart(
                                        TABLES.liquid("distilled-water"),
                                        Share.percent(40),
                                        LiquidState.LIQUID,
                                        AdditionStage.TRACE)))));
        all.put("Formula.additives", BASE.with(f.withAdditives(List.of())));
        all.put(
                "AdditivePortion.additive",
                BASE.with(f.withAdditives(List.of(new AdditivePortion(TABLES.additive("mica"), Mass.grams(20))))));
        all.put(
                "AdditivePortion.mass",
                BASE.with(f.withAdditives(List.of(new AdditivePortion(TABLES.additive("kaolin"), Mass.grams(40))))));
        all.put("AdditivePortion.dose", all.get("AdditivePortion.mass"));
        all.put(
                "AdditivePortion.joins",
                BASE.with(f.withAdditives(List.of(f.additives().get(0).joining(AdditionStage.FATS)))));
        all.put("BatchPlan.formula", BASE.with(f.scaledTo(Mass.grams(500))));
        all.put("PlanFields.process", BASE.with(Process.HOT));
        all.put("PlanFields.gel", BASE.with(GelGoal.PREVENT));
        Mould mould = Mould.ofWater("Slab", MouldKind.SLAB, 1, 1000);
        all.put("BatchPlan.mould", BASE.with(mould));
        all.put("PlanFields.mixAt", BASE.with(PlanFields.MIX_AT, Temperature.celsius(45)));
        all.put("PlanFields.fatStep", BASE.with(PlanFields.FAT_STEP, Mass.grams(5)));
        all.put("PlanFields.lyeStep", BASE.with(PlanFields.LYE_STEP, Mass.grams(.1)));
        all.put(
                "Pouring.sizedBy",
                with(new Pouring(Pouring.SizedBy.TOTAL, null, Share.NONE, null, 25, Portioning.WHOLE)));
        all.put(
                "BatchPlan.pouring",
                with(new Pouring(Pouring.SizedBy.WEIGHTS, 40.0, Share.NONE, null, 25, Portioning.WHOLE)));
        all.put("Pouring.fillHeight", all.get("BatchPlan.pouring"));
        all.put(
                "Pouring.overage",
                with(new Pouring(Pouring.SizedBy.WEIGHTS, null, Share.percent(5), null, 25, Portioning.WHOLE)));
        all.put(
                "Pouring.spare",
                with(new Pouring(Pouring.SizedBy.WEIGHTS, null, Share.NONE, mould, 25, Portioning.WHOLE)));
        all.put(
                "Pouring.thickness",
                with(new Pouring(Pouring.SizedBy.WEIGHTS, null, Share.NONE, null, 32, Portioning.WHOLE)));
        all.put(
                "Pouring.cup",
                with(new Pouring(
                        Pouring.SizedBy.WEIGHTS, null, Share.NONE, null, 25, Portioning.WHOLE, Mass.grams(90))));
        List<Portion> two = List.of(Portion.sharing("a", Share.percent(50)), Portion.sharing("b", Share.percent(50)));
        all.put(
                "Pouring.portioning",
                with(Pouring.PLAIN.divided(new Portioning(Portioning.Way.SHARES, two, Share.NONE))));
        all.put(
                "Portioning.way",
                with(Pouring.PLAIN.divided(new Portioning(Portioning.Way.CUPS, List.of(), Share.NONE))));
        all.put("Portioning.portions", all.get("Pouring.portioning"));
        all.put(
                "Portioning.stuck",
                with(Pouring.PLAIN.divided(new Portioning(Portioning.Way.WHOLE, List.of(), Share.percent(3)))));
        Vessel bowl = new Vessel("bowl", VesselMaterial.GLASS, Mass.grams(300));
        all.put(
                "Portioning.bowl",
                with(Pouring.PLAIN.divided(new Portioning(
                        Portioning.Way.WHOLE, List.of(), Share.NONE, bowl, Portioning.LyeRoute.TOGETHER))));
        all.put(
                "Portioning.route",
                with(Pouring.PLAIN.divided(new Portioning(
                        Portioning.Way.WHOLE, List.of(), Share.NONE, null, Portioning.LyeRoute.MASTER))));
        all.put("PlanFields.lyeVessel", BASE.with(PlanFields.LYE_VESSEL, bowl));
        all.put("PlanFields.fatsVessel", BASE.with(PlanFields.FATS_VESSEL, bowl));
        all.put("PlanFields.freezer", BASE.with(PlanFields.FREEZER, Temperature.celsius(-24)));
        BatchPlan oven = BASE.inOven(OvenStay.USUAL);
        all.put("PlanFields.oven.celsius", oven.with(PlanFields.OVEN_AT, Temperature.celsius(80)));
        all.put("PlanFields.oven.minutes", oven.with(PlanFields.OVEN_MINUTES, 90));
        all.put("PlanFields.oven.preheated", oven.with(PlanFields.OVEN_PREHEATED, false));
        ScrapPortion scrap = new ScrapPortion(
                "s",
                "s",
                "Old bars",
                Mass.grams(300),
                f.fats(),
                Share.WHOLE,
                new Estimate(.05, .01),
                new Estimate(.1, .01),
                0,
                true,
                Set.of());
        Rework rework = new Rework(List.of(scrap), List.of(), Mass.grams(60), Rework.Way.POT);
        all.put("BatchPlan.rework", BatchPlan.reworking("Base", rework, List.of(), null, Scales.KITCHEN, ""));
        return all;
    }

    @Test
    void whateverAPlanIsMadeOfIsFoundWhereItDiffers() {
        Map<String, BatchPlan> otherwise = otherwise();
        Set<String> components = new TreeSet<>();
        for (Class<?> type : List.of(
                BatchPlan.class,
                Formula.class,
                FatPortion.class,
                LiquidPart.class,
                LiquidTarget.class,
                AdditivePortion.class,
                Pouring.class,
                Portioning.class)) {
            Arrays.stream(type.getRecordComponents())
                    .map(RecordComponent::getName)
                    .forEach(n -> components.add(type.getSimpleName() + "." + n));
        }
        PlanFields.ALL.forEach(f -> components.add("PlanFields." + f.kept()));
        components.remove("BatchPlan.settings");
        components.addAll(Set.of("AlkaliChoice.naohShare", "AlkaliChoice.naohPurity"));
        components.removeAll(NO_DIFFERENCE);
        assertThat(otherwise.keySet()).as("a plan for every component").containsExactlyInAnyOrderElementsOf(components);
        otherwise.forEach((what, plan) -> {
            assertThat(PlanDifference.between(BASE, plan)).as(what).isNotEmpty();
            assertThat(PlanDifference.between(plan, BASE))
                    .as(what + " the other way round")
                    .hasSameSizeAs(PlanDifference.between(BASE, plan));
        });
        assertThat(PlanDifference.between(BASE, BASE.named("Other").noting("washed")))
                .isEmpty();
        // What a scale or a rounding does is none.
        assertThat(PlanDifference.between(BASE, BASE.with(BASE.formula().withSuperfat(Share.percent(5.1)))))
                .isEmpty();
    }

    private static ArmPlan.Calling<Liquid> liquid(String name, String id) {
        return new ArmPlan.Calling<>(name, TABLES.liquid(id));
    }

    private static List<Aspect> aspects(BatchPlan other) {
        return PlanDifference.between(BASE, other).stream()
                .map(PlanDifference::aspect)
                .distinct()
                .toList();
    }

    @Test
    void whatIsAskedAboutIsToldFromWhatComesWithItAndWhatSpoilsIt() {
        BatchPlan cups = ArmPlan.cupsOfLiquids(
                BASE,
                List.of(liquid("water", "distilled-water"), liquid("cream", "heavy-cream-36")),
                Share.percent(10));
        List<PlanDifference> cream = PlanDifference.between(
                ArmPlan.of(cups, "water").orElseThrow(),
                ArmPlan.of(cups, "cream").orElseThrow());
        assertThat(cream.stream()
                        .map(d -> d.aspect().bearing(Aspect.Factor.LIQUID))
                        .collect(Collectors.toSet()))
                .containsExactlyInAnyOrder(Aspect.Bearing.ASKED, Aspect.Bearing.COMES_WITH);
        assertThat(cream.stream().filter(d -> d.aspect() == Aspect.SUPERFAT)).hasSize(1);
        // The same difference asked as one of fats is none of fats.
        assertThat(cream.stream().map(d -> d.aspect().bearing(Aspect.Factor.FAT)))
                .contains(Aspect.Bearing.SPOILS);
        assertThat(aspects(BASE.with(PlanFields.MIX_AT, Temperature.celsius(50))))
                .containsExactly(Aspect.TEMPERATURE);
        assertThat(Aspect.TEMPERATURE.bearing(Aspect.Factor.LIQUID)).isEqualTo(Aspect.Bearing.HARDLY);
        assertThat(Arrays.stream(Aspect.values()).map(a -> a.bearing(Aspect.Factor.OTHER)))
                .doesNotContain(Aspect.Bearing.SPOILS, Aspect.Bearing.ASKED);
    }

    /** By masses, not by superfat: a cup as a batch of its own takes the same lye to its fats. */
    @Test
    void onePartAsABatchOfItsOwnIsWhatWasInTheCup() {
        for (String liquid :
                List.of("distilled-water", "heavy-cream-36", "goat-milk-whole", "beer-flat", "black-tea")) {
            BatchPlan cups = ArmPlan.cupsOfLiquids(
                    BASE, List.of(liquid("oat", "oat-milk"), liquid("that", liquid)), Share.percent(8));
            PortionAmounts cup = Portions.of(cups).amounts().get(1);
            BatchPlan alone = ArmPlan.of(cups, cup.portion().name()).orElseThrow();
            AlkaliBalance balance = AlkaliBalance.of(alone.formula());
            double times = alone.formula().fatMass().grams()
                    / cup.weights().fats().stream()
                            .mapToDouble(p -> p.mass().grams())
                            .sum();
            assertThat(balance.naoh().grams())
                    .as(liquid)
                    .isCloseTo(cup.weights().naoh().grams() * times, within(.01));
            assertThat(balance.liquidMass().grams())
                    .as(liquid)
                    .isCloseTo(
                            cup.weights().liquids().stream()
                                            .mapToDouble(l -> l.mass().grams())
                                            .sum()
                                    * times,
                            within(.05));
            assertThat(alone.pouring().portioning().portions()).isEmpty();
        }
        assertThat(ArmPlan.of(BASE, "no such cup")).isEmpty();
        assertThat(ArmPlan.of(BASE, "")).contains(BASE);
    }

    @Test
    void batchesOfOneTrialDifferInOneThing() {
        Mass fats = Mass.grams(300);
        BatchPlan same = ArmPlan.as(BASE, fats);
        List<BatchPlan> nine = List.of(
                        "olive-oil",
                        "coconut-oil-76",
                        "palm-oil",
                        "lard",
                        "tallow-beef",
                        "shea-butter",
                        "cocoa-butter",
                        "castor-oil",
                        "sunflower-oil-high-oleic")
                .stream()
                .map(id -> ArmPlan.ofOneFat(BASE, TABLES.fat(id), fats))
                .toList();
        for (BatchPlan plan : nine) {
            assertThat(plan.formula().fatMass()).isEqualTo(fats);
            assertThat(plan.formula().superfat()).isEqualTo(BASE.formula().superfat());
            List<Aspect> differs = PlanDifference.between(nine.get(0), plan).stream()
                    .map(PlanDifference::aspect)
                    .distinct()
                    .toList();
            // Of the fats each takes its own lye, and so its own water to that: the concentration stays.
            assertThat(differs).isSubsetOf(Aspect.FATS, Aspect.LIQUIDS);
        }
        assertThat(PlanDifference.between(same, ArmPlan.withSuperfat(BASE, Share.percent(8), fats)))
                .extracting(PlanDifference::aspect)
                .contains(Aspect.SUPERFAT);
        assertThat(PlanDifference.between(same, ArmPlan.mixedAt(BASE, Temperature.celsius(50), fats)))
                .extracting(PlanDifference::aspect)
                .containsExactly(Aspect.TEMPERATURE);
        assertThat(PlanDifference.between(same, ArmPlan.by(BASE, Process.HOT, fats)))
                .extracting(PlanDifference::aspect)
                .containsExactly(Aspect.ROAD);
        assertThat(PlanDifference.between(
                        same, ArmPlan.withAdditive(BASE, TABLES.additive("mica"), Share.percent(1), fats)))
                .extracting(PlanDifference::aspect)
                .containsOnly(Aspect.ADDITIVES);
        BatchPlan clays = ArmPlan.cupsOfAdditives(
                BASE, List.of(new ArmPlan.Calling<>("shine", TABLES.additive("mica"))), Share.percent(1));
        assertThat(clays.pouring().portioning().portions())
                .extracting(Portion::name)
                .containsExactly(ArmPlan.PLAIN, "shine");
    }

    @Test
    void whatAnArmTakesStandsBesideWhatHandsFound() {
        SensoryScale scale = SensoryScale.CREAM;
        Effect found = new Effect("cream", scale, "48 h", 2, null, .99, true, 0);
        Effect more = new Effect("cream", scale, "5 weeks", -3, null, .99, true, 0);
        Effect none = new Effect("tea", scale, "48 h", .3, null, .6, false, 9);
        List<Effect> all = new ArrayList<>(List.of(found, more, none));
        Worth cream = Worth.of("cream", all, new BigDecimal("0.11"), 1);
        assertThat(cream.strongest()).isEqualTo(Optional.of(more));
        assertThat(cream.kind()).isEqualTo(Worth.Kind.FOUND);
        assertThat(Worth.of("tea", all, new BigDecimal("0.02"), 1).kind()).isEqualTo(Worth.Kind.NOTHING_FOUND);
        assertThat(Worth.of("tea", all, new BigDecimal("-0.02"), 0).kind()).isEqualTo(Worth.Kind.CHEAPER_AND_ALIKE);
        assertThat(Worth.of("tea", all, null, 0).kind()).isEqualTo(Worth.Kind.NOTHING_FOUND);
        assertThat(Worth.of("oat", all, null, 0).kind()).isEqualTo(Worth.Kind.NOT_JUDGED);
    }
}
