package io.causticon.core.cure;

import io.causticon.core.formula.Alkali;
import io.causticon.core.formula.BatchPlan;
import io.causticon.core.formula.FatPortion;
import io.causticon.core.formula.Weights;
import io.causticon.core.observation.BatchFacts;
import io.causticon.core.observation.BatchLog;
import io.causticon.core.quantity.Mass;
import io.causticon.core.substance.FatKind;
import io.causticon.core.substance.StandardNames;
import java.time.Instant;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedSet;

/**
 * What a bar is made of on a day, as a label tells it: what the alkali made of the fats, what it left of them, the water that is still there. What was
 * weighed counts, the plan where nothing was. Masses are those of the whole batch.
 *
 * <p>Saponification keeps mass: a fat and its alkali become soap and glycerol (92.094 g for three moles of alkali), a fatty acid's become soap and water.
 *
 * @param ingredients in descending order of mass
 * @param allergens of food, by name
 * @param scentAllergens of fragrances, as labels name them
 * @param ofScraps whether soap was melted down into it, whose own contents are not told here
 */
public record BarContents(List<Ingredient> ingredients, SortedSet<String> allergens, SortedSet<String> scentAllergens, boolean ofScraps) {

    private static final double GLYCEROL_G_PER_MOL = 92.094;
    private static final double ALKALI_OF_A_GLYCERIDE = 3;
    private static final double WATER_G_PER_MOL = 18.015;
    private static final double LEAST_GRAMS = 1e-3;
    private static final double ALL_WATER = 0.995;

    public BarContents {
        ingredients = List.copyOf(ingredients);
    }

    /** @param isStandardName whether the name is one that labels use everywhere */
    public record Ingredient(String name, Mass mass, boolean isStandardName) {}

    /** @param at the day of the label, not before the cut */
    public static BarContents of(BatchPlan plan, BatchLog log, Instant at) {
        BatchFacts facts = BatchFacts.of(plan, log, Instant.MAX);
        Weights weights = facts.weightsNow();
        double superfat = Math.max(0, facts.asWeighed().superfat().value());
        Map<String, Double> grams = new LinkedHashMap<>();
        Map<String, Boolean> standard = new LinkedHashMap<>();
        double naoh = Alkali.NAOH.moles(weights.naoh());
        double koh = Alkali.KOH.moles(weights.koh());
        double potassium = naoh + koh > 0 ? koh / (naoh + koh) : 0;
        weights.allFats().forEach(f -> saponified(f, superfat, potassium, grams, standard));
        liquids(weights, left(plan, log, weights, at), grams, standard);
        weights.additives().forEach(a -> add(a.additive().name(), false, a.mass().grams(), grams, standard));
        List<Ingredient> ingredients = grams.entrySet().stream()
                .filter(e -> e.getValue() > LEAST_GRAMS)
                .sorted(Map.Entry.<String, Double>comparingByValue(Comparator.reverseOrder()).thenComparing(Map.Entry::getKey))
                .map(e -> new Ingredient(e.getKey(), Mass.grams(e.getValue()), standard.getOrDefault(e.getKey(), false)))
                .toList();
        return new BarContents(ingredients, plan.allergens(), plan.formula().scentAllergens(), plan.isRework());
    }

    private static void saponified(FatPortion fat, double superfat, double potassium, Map<String, Double> grams, Map<String, Boolean> standard) {
        double reacted = fat.mass().grams() * (1 - superfat);
        double moles = fat.alkaliMoles() * (1 - superfat);
        double glycerol = fat.fat().kind().isGlyceride() ? moles / ALKALI_OF_A_GLYCERIDE * GLYCEROL_G_PER_MOL : 0;
        double water = fat.fat().kind() == FatKind.FREE_FATTY_ACID ? moles * WATER_G_PER_MOL : 0;
        String id = fat.fat().id();
        String plain = fat.fat().name();
        soap(id, plain, false, (1 - potassium) * (reacted - glycerol - water + moles * Alkali.NAOH.molarMass()), grams, standard);
        soap(id, plain, true, potassium * (reacted - glycerol - water + moles * Alkali.KOH.molarMass()), grams, standard);
        add(StandardNames.oil(id).orElse(plain), StandardNames.oil(id).isPresent(), fat.mass().grams() * superfat, grams, standard);
        add(StandardNames.GLYCEROL, true, glycerol, grams, standard);
        add(StandardNames.WATER, true, water, grams, standard);
    }

    private static void soap(String id, String plain, boolean potassium, double mass, Map<String, Double> grams, Map<String, Boolean> standard) {
        Optional<String> name = potassium ? StandardNames.potassiumSoap(id) : StandardNames.sodiumSoap(id);
        add(name.orElse((potassium ? "Potassium soap of " : "Sodium soap of ") + plain), name.isPresent(), mass, grams, standard);
    }

    /** Water dries out of all liquids alike; what else is in them stays. */
    private static void liquids(Weights weights, double left, Map<String, Double> grams, Map<String, Boolean> standard) {
        weights.liquids().forEach(l -> {
            double water = l.water().grams();
            boolean plain = l.mass().isPositive() && water / l.mass().grams() > ALL_WATER;
            add(plain ? StandardNames.WATER : l.liquid().name(), plain, l.mass().grams() - water + water * left, grams, standard);
        });
    }

    /**
     * What a bar weighs at the least on a day: the lightest of those that were weighed, nine times out of ten no less, in whole grams; empty where none was
     * weighed since the cut.
     */
    public static Optional<Mass> netMass(BatchPlan plan, BatchLog log, Instant at) {
        Readiness readiness = Readiness.of(plan, log);
        Drying drying = readiness.drying();
        double share = drying.massShareBandAt(Math.max(0, readiness.daysAt(at))).low();
        return drying.bars().stream()
                .flatMap(b -> drying.freshGrams(b).stream())
                .min(Comparator.naturalOrder())
                .map(fresh -> Mass.grams(Math.floor(fresh * share)));
    }

    /** What is left of the water that went in, 0 to 1. */
    private static double left(BatchPlan plan, BatchLog log, Weights weights, Instant at) {
        double water = weights.water().grams();
        Readiness readiness = Readiness.of(plan, log);
        double share = readiness.drying().waterShareAt(Math.max(0, readiness.daysAt(at)));
        double rest = weights.total().grams() - water;
        return water <= 0 ? 0 : Math.min(1, rest * share / (1 - share) / water);
    }

    private static void add(String name, boolean isStandard, double mass, Map<String, Double> grams, Map<String, Boolean> standard) {
        grams.merge(name, mass, Double::sum);
        standard.put(name, isStandard);
    }
}
