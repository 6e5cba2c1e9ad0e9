package io.causticon.core.science.draw;

import io.causticon.core.model.plan.AdditivePortion;
import io.causticon.core.model.plan.AlkaliChoice;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.FatPortion;
import io.causticon.core.model.plan.Formula;
import io.causticon.core.model.plan.GelGoal;
import io.causticon.core.model.plan.LiquidPart;
import io.causticon.core.model.plan.LiquidState;
import io.causticon.core.model.plan.LiquidTarget;
import io.causticon.core.model.plan.Portion;
import io.causticon.core.model.plan.Portioning;
import io.causticon.core.model.plan.Pouring;
import io.causticon.core.model.plan.Process;
import io.causticon.core.model.plan.Scales;
import io.causticon.core.model.substance.Catalogue;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import io.causticon.core.quantity.Temperature;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;

/**
 * A recipe as workshops have them, with what a condition needs in it where one is wanted, and with what others have by
 * chance.
 */
public record DrawnRecipe(BatchPlan plan, Set<String> has) {

    private static final Catalogue TABLES = Catalogue.standard();

    /** How often a recipe or its making has something, by the word that {@code appearances.csv} uses for it. */
    private static final Map<String, Double> OFTEN = probabilities();

    /** What goes in, grams a kilogram of fats. */
    private static final Map<String, Map<String, Double>> ADDED = Map.of(
            "salt", Map.of("salt-bar", 300.0),
            "sweet", Map.of("honey", 15.0),
            "vanillin", Map.of("fragrance-oil-vanillin", 25.0),
            "scent", Map.of("fragrance-oil", 25.0),
            "mover", Map.of("eo-clove", 8.0),
            "colour", Map.of("mica", 6.0),
            "powder", Map.of("kaolin", 25.0),
            "grains", Map.of("rolled-oats", 20.0),
            "petals", Map.of("dried-petals", 4.0));

    private static Map<String, Double> probabilities() {
        Map<String, Double> often = new LinkedHashMap<>();
        often.put("salt", .04);
        often.put("sweet", .12);
        often.put("milk", .15);
        often.put("puree", .04);
        often.put("vanillin", .15);
        often.put("scent", .5);
        often.put("mover", .1);
        often.put("colour", .4);
        often.put("powder", .2);
        often.put("grains", .1);
        often.put("petals", .08);
        often.put("layers", .25);
        often.put("castor", .08);
        often.put("oleic", .15);
        often.put("hard", .2);
        often.put("coconut", .08);
        often.put("poly", .1);
        often.put("oven", .08);
        often.put("towel", .3);
        often.put("cool", .25);
        often.put("stiff", .08);
        often.put("wet", .3);
        often.put("rich", .06);
        return often;
    }

    /** How often recipes have it, 0 to 1; nothing needed is always there. */
    public static double probability(String needs) {
        return needs.isEmpty() ? 1 : OFTEN.get(needs);
    }

    public static DrawnRecipe with(String needs, Random random) {
        Set<String> has = new TreeSet<>();
        OFTEN.forEach((what, share) -> {
            if (what.equals(needs) || random.nextDouble() < share) {
                has.add(what);
            }
        });
        Formula formula = new Formula(
                fats(has, needs),
                AlkaliChoice.naoh(Share.percent(98)),
                Share.percent(has.contains("rich") ? 13 : 5),
                LiquidTarget.concentration(has.contains("wet") ? .27 : .33),
                List.of(new LiquidPart(TABLES.liquid(liquid(has)), Share.WHOLE, LiquidState.LIQUID)),
                List.of());
        List<AdditivePortion> additives = new ArrayList<>();
        has.forEach(what -> ADDED.getOrDefault(what, Map.of())
                .forEach((id, grams) -> additives.add(new AdditivePortion(TABLES.additive(id), Mass.grams(grams)))));
        BatchPlan plan = new BatchPlan(
                "Drawn",
                formula.withAdditives(additives),
                Process.COLD,
                GelGoal.ALLOW,
                null,
                Temperature.celsius(40),
                Scales.KITCHEN,
                "");
        return new DrawnRecipe(has.contains("layers") ? plan.with(Pouring.PLAIN.divided(layers())) : plan, has);
    }

    private static String liquid(Set<String> has) {
        return has.contains("milk") ? "goat-milk-whole" : has.contains("puree") ? "carrot-puree" : "distilled-water";
    }

    private static Portioning layers() {
        return new Portioning(
                Portioning.Way.SHARES,
                List.of(Portion.sharing("dark", Share.percent(50)), Portion.sharing("light", Share.percent(50))),
                Share.percent(3));
    }

    /** One kind of fats at a time: the wanted one, else the first that fell to it. */
    private static List<FatPortion> fats(Set<String> has, String needs) {
        List<String> kinds = List.of("oleic", "hard", "coconut", "poly", "castor");
        String kind = kinds.contains(needs)
                ? needs
                : kinds.stream().filter(has::contains).findFirst().orElse("plain");
        kinds.stream().filter(k -> !k.equals(kind)).forEach(has::remove);
        return switch (kind) {
            case "oleic" -> fats("olive-oil", 850, "coconut-oil-76", 150);
            case "hard" -> fats("palm-oil", 400, "olive-oil", 300, "cocoa-butter", 100, "coconut-oil-76", 200);
            case "coconut" -> fats("coconut-oil-76", 600, "olive-oil", 400);
            case "poly" -> fats("sunflower-oil", 350, "olive-oil", 350, "coconut-oil-76", 300);
            case "castor" -> fats("castor-oil", 150, "olive-oil", 500, "coconut-oil-76", 350);
            default -> fats("olive-oil", 500, "lard", 264, "coconut-oil-76", 236);
        };
    }

    private static List<FatPortion> fats(Object... namesAndGrams) {
        List<FatPortion> fats = new ArrayList<>();
        for (int i = 0; i < namesAndGrams.length; i += 2) {
            fats.add(new FatPortion(TABLES.fat((String) namesAndGrams[i]), Mass.grams((Integer) namesAndGrams[i + 1])));
        }
        return fats;
    }
}
