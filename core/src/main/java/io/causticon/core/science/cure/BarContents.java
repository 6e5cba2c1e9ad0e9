package io.causticon.core.science.cure;

import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.plan.Alkali;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.FatPortion;
import io.causticon.core.model.plan.LiquidPortion;
import io.causticon.core.model.plan.Portion;
import io.causticon.core.model.plan.Weights;
import io.causticon.core.model.substance.Additive;
import io.causticon.core.model.substance.FatKind;
import io.causticon.core.model.substance.Liquid;
import io.causticon.core.model.substance.StandardNames;
import io.causticon.core.quantity.Mass;
import io.causticon.core.science.facts.BatchFacts;
import io.causticon.core.science.formula.PortionAmounts;
import io.causticon.core.science.formula.Portions;
import java.time.Instant;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * What a bar is made of on a day, as a label tells it: what the alkali made of the fats, what it left of them, the
 * water that is still there. What was weighed counts, the plan where nothing was. Masses are those of the whole batch.
 *
 * <p>Saponification keeps mass: a fat and its alkali become soap and glycerol (92.094 g for three moles of alkali), a
 * fatty acid's become soap and water.
 *
 * @param ingredients in descending order of mass
 * @param allergens of food, by name
 * @param scentAllergens of fragrances, as labels name them
 * @param beside allergens of food that only other layers or cups of the same batch hold
 * @param ofScraps whether soap was melted down into it, whose own contents are not told here
 */
public record BarContents(
        List<Ingredient> ingredients,
        SortedSet<String> allergens,
        SortedSet<String> scentAllergens,
        SortedSet<String> beside,
        boolean ofScraps) {

    private static final double GLYCEROL_G_PER_MOL = 92.094;
    private static final double ALKALI_OF_A_GLYCERIDE = 3;
    private static final double WATER_G_PER_MOL = 18.015;
    private static final double LEAST_GRAMS = 1e-3;
    private static final double ALL_WATER = 0.995;

    /** Of what nobody weighed: it stands last, and it stands there. */
    private static final double UNKNOWN_GRAMS = 0.01;

    public BarContents {
        ingredients = List.copyOf(ingredients);
    }

    /** @param isStandardName whether the name is one that labels use everywhere */
    public record Ingredient(String name, Mass mass, boolean isStandardName) {}

    /** @param at the day of the label, not before the cut */
    public static BarContents of(BatchPlan plan, BatchLog log, Instant at) {
        return of(plan, log, at, "");
    }

    /**
     * The same of one layer, colour or cup: what is in all of them, what is in it alone, and what the others hold told
     * apart.
     *
     * @param portion its name; empty for bars that may hold all of them
     */
    public static BarContents of(BatchPlan plan, BatchLog log, Instant at, String portion) {
        BatchFacts facts = BatchFacts.of(plan, log, Instant.MAX);
        Weights weights = facts.weightsNow();
        double superfat = Math.max(0, facts.asWeighed().superfat().value());
        Map<String, Double> grams = new LinkedHashMap<>();
        Map<String, Boolean> standard = new LinkedHashMap<>();
        double naoh = Alkali.NAOH.moles(weights.naoh());
        double koh = Alkali.KOH.moles(weights.koh());
        double potassium = naoh + koh > 0 ? koh / (naoh + koh) : 0;
        double left = left(plan, log, weights, at);
        weights.allFats().forEach(f -> saponified(f, superfat, potassium, grams, standard));
        liquids(weights.liquids(), left, grams, standard);
        weights.additives()
                .forEach(a -> add(a.additive().name(), false, a.mass().grams(), grams, standard));
        List<Portion> portions = plan.pouring().portioning().portions();
        boolean one = portions.stream().anyMatch(p -> p.name().equals(portion));
        Map<Portion, PortionAmounts> amounts = amounts(plan);
        if (one) {
            // Where the division cannot be worked out the fats stand there all the same.
            double share = amounts.isEmpty()
                    ? 1
                    : amounts.entrySet().stream()
                            .filter(p -> p.getKey().name().equals(portion))
                            .mapToDouble(p -> p.getValue().share().fraction())
                            .sum();
            grams.replaceAll((name, mass) -> mass * share);
        }
        Set<String> allergens = new TreeSet<>(one ? plan.formula().allergens() : plan.allergens());
        Set<String> scents = new TreeSet<>(one ? plan.formula().scentAllergens() : plan.scentAllergens());
        // What was weighed and not planned is in it, too.
        weights.allFats().forEach(f -> allergens.addAll(f.fat().allergens()));
        weights.liquids().forEach(l -> allergens.addAll(l.liquid().allergens()));
        weights.additives().forEach(a -> {
            allergens.addAll(a.additive().allergens());
            scents.addAll(a.additive().scentAllergens());
        });
        Set<String> beside = new TreeSet<>();
        for (Portion part : portions) {
            if (one && !part.name().equals(portion)) {
                beside.addAll(part.allergens());
                continue;
            }
            own(part, amounts.get(part), left, grams, standard);
            allergens.addAll(part.allergens());
            scents.addAll(part.scentAllergens());
        }
        addedAtTheBench(plan, log, grams, standard, allergens, scents);
        if (plan.rework() != null) {
            allergens.addAll(plan.rework().allergens());
        }
        beside.removeAll(allergens);
        List<Ingredient> ingredients = grams.entrySet().stream()
                .filter(e -> e.getValue() > LEAST_GRAMS)
                .sorted(Map.Entry.<String, Double>comparingByValue(Comparator.reverseOrder())
                        .thenComparing(Map.Entry::getKey))
                .map(e ->
                        new Ingredient(e.getKey(), Mass.grams(e.getValue()), standard.getOrDefault(e.getKey(), false)))
                .toList();
        return new BarContents(
                ingredients, new TreeSet<>(allergens), new TreeSet<>(scents), new TreeSet<>(beside), plan.isRework());
    }

    /** What each portion takes; nothing for a division that cannot be worked out. */
    private static Map<Portion, PortionAmounts> amounts(BatchPlan plan) {
        if (plan.pouring().portioning().portions().isEmpty()
                || !Portions.check(plan).isEmpty()) {
            return Map.of();
        }
        return Portions.of(plan).amounts().stream()
                .collect(Collectors.toMap(PortionAmounts::portion, a -> a, (a, b) -> a));
    }

    /** What goes into a portion alone: never left out, also where nobody knows how much it is. */
    private static void own(
            Portion part,
            @Nullable PortionAmounts amounts,
            double left,
            Map<String, Double> grams,
            Map<String, Boolean> standard) {
        if (amounts == null) {
            part.additives().forEach(a -> add(a.additive().name(), false, UNKNOWN_GRAMS, grams, standard));
            part.liquids().forEach(l -> add(l.liquid().name(), false, UNKNOWN_GRAMS, grams, standard));
            return;
        }
        amounts.additives()
                .forEach(a -> add(a.additive().name(), false, a.mass().grams(), grams, standard));
        liquids(amounts.liquids(), left, grams, standard);
    }

    /** What somebody put in that no plan knew of. */
    private static void addedAtTheBench(
            BatchPlan plan,
            BatchLog log,
            Map<String, Double> grams,
            Map<String, Boolean> standard,
            Set<String> allergens,
            Set<String> scents) {
        List<Portion> portions = plan.pouring().portioning().portions();
        Set<String> planned = Stream.of(
                        plan.formula().additives().stream()
                                .map(a -> a.additive().id()),
                        plan.formula().liquidParts().stream()
                                .map(l -> l.liquid().id()),
                        plan.formula().fats().stream().map(f -> f.fat().id()),
                        portions.stream()
                                .flatMap(p -> p.additives().stream())
                                .map(a -> a.additive().id()),
                        portions.stream()
                                .flatMap(p -> p.liquids().stream())
                                .map(l -> l.liquid().id()))
                .flatMap(id -> id)
                .collect(Collectors.toSet());
        for (Entry.Added added :
                log.of(Entry.Added.class).map(BatchLog.Timed::entry).toList()) {
            Optional<Additive> additive = log.substances().additives().stream()
                    .filter(a -> added.what().isSubstance(a.id(), a.name()))
                    .findFirst();
            Optional<Liquid> liquid = log.substances().liquids().stream()
                    .filter(l -> added.what().isSubstance(l.id(), l.name()))
                    .findFirst();
            boolean isPlanned = Stream.concat(
                                    additive.stream().map(Additive::id),
                                    liquid.stream().map(Liquid::id))
                            .anyMatch(planned::contains)
                    || added.what().id() != null
                            && planned.contains(added.what().id())
                    || plan.formula().additives().stream()
                            .anyMatch(a -> added.what()
                                    .isSubstance(a.additive().id(), a.additive().name()));
            if (!isPlanned) {
                String name = additive.map(Additive::name)
                        .or(() -> liquid.map(Liquid::name))
                        .orElse(added.what().name());
                add(
                        name,
                        false,
                        added.mass() == null ? UNKNOWN_GRAMS : added.mass().grams(),
                        grams,
                        standard);
                additive.ifPresent(a -> allergens.addAll(a.allergens()));
                additive.ifPresent(a -> scents.addAll(a.scentAllergens()));
                liquid.ifPresent(l -> allergens.addAll(l.allergens()));
            }
        }
    }

    private static void saponified(
            FatPortion fat,
            double superfat,
            double potassium,
            Map<String, Double> grams,
            Map<String, Boolean> standard) {
        double reacted = fat.mass().grams() * (1 - superfat);
        double moles = fat.alkaliMoles() * (1 - superfat);
        double glycerol = fat.fat().kind().isGlyceride() ? moles / ALKALI_OF_A_GLYCERIDE * GLYCEROL_G_PER_MOL : 0;
        double water = fat.fat().kind() == FatKind.FREE_FATTY_ACID ? moles * WATER_G_PER_MOL : 0;
        String id = fat.fat().id();
        String plain = fat.fat().name();
        soap(
                id,
                plain,
                false,
                (1 - potassium) * (reacted - glycerol - water + moles * Alkali.NAOH.molarMass()),
                grams,
                standard);
        soap(
                id,
                plain,
                true,
                potassium * (reacted - glycerol - water + moles * Alkali.KOH.molarMass()),
                grams,
                standard);
        add(
                StandardNames.oil(id).orElse(plain),
                StandardNames.oil(id).isPresent(),
                fat.mass().grams() * superfat,
                grams,
                standard);
        add(StandardNames.GLYCEROL, true, glycerol, grams, standard);
        add(StandardNames.WATER, true, water, grams, standard);
    }

    private static void soap(
            String id,
            String plain,
            boolean potassium,
            double mass,
            Map<String, Double> grams,
            Map<String, Boolean> standard) {
        Optional<String> name = potassium ? StandardNames.potassiumSoap(id) : StandardNames.sodiumSoap(id);
        add(
                name.orElse((potassium ? "Potassium soap of " : "Sodium soap of ") + plain),
                name.isPresent(),
                mass,
                grams,
                standard);
    }

    /** Water dries out of all liquids alike; what else is in them stays. */
    private static void liquids(
            List<LiquidPortion> all, double left, Map<String, Double> grams, Map<String, Boolean> standard) {
        all.forEach(l -> {
            double water = l.water().grams();
            boolean plain = l.mass().isPositive() && water / l.mass().grams() > ALL_WATER;
            add(
                    plain ? StandardNames.WATER : l.liquid().name(),
                    plain,
                    l.mass().grams() - water + water * left,
                    grams,
                    standard);
        });
    }

    /**
     * What a bar weighs at the least on a day: the lightest of those that were weighed, nine times out of ten no less,
     * in whole grams; empty where none was weighed since the cut.
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

    private static void add(
            String name, boolean isStandard, double mass, Map<String, Double> grams, Map<String, Boolean> standard) {
        grams.merge(name, mass, Double::sum);
        standard.put(name, isStandard);
    }
}
