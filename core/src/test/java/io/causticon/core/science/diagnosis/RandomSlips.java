package io.causticon.core.science.diagnosis;

import io.causticon.core.Recipes;
import io.causticon.core.model.log.Tare;
import io.causticon.core.model.log.Weighable;
import io.causticon.core.model.plan.Alkali;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.FatPortion;
import io.causticon.core.model.plan.Superfat;
import io.causticon.core.model.plan.Weights;
import io.causticon.core.quantity.Mass;
import io.causticon.core.science.diagnosis.slips.Slip;
import io.causticon.core.science.facts.SwappedFats;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import org.jspecify.annotations.Nullable;

/**
 * Batches with one slip each, every kind as often as any other: all logged as planned, another thing in the pot. The
 * full pot is weighed to 0.4 % and a bar titrated to 10 %, or to a drop; a bar with a fifth of its fats left is soft,
 * and potash soap stays a paste.
 */
public final class RandomSlips {

    private static final List<String> FATS = List.of(
            "olive-oil",
            "coconut-oil-76",
            "palm-oil",
            "lard",
            "shea-butter",
            "castor-oil",
            "sunflower-oil",
            "cocoa-butter",
            "tallow-beef");
    private static final double POT = .004;
    private static final double TITRATION = .1;
    private static final double DROP = .02;
    private static final double SOFT_FROM = .2;

    private final Random random;

    public RandomSlips(long seed) {
        this.random = new Random(seed);
    }

    /** One batch: what was logged of it, and what really happened. */
    public record Slipped(Cases batch, Slip.Kind kind, String subject) {}

    public Slipped next() {
        while (true) {
            Recipes recipe = recipe();
            BatchPlan plan = recipe.plan();
            Weights logged = Weights.planned(plan.formula());
            Slip.Kind kind = List.of(
                            Slip.Kind.SWAPPED,
                            Slip.Kind.LEFT_OUT,
                            Slip.Kind.DOUBLED,
                            Slip.Kind.LYE_OVER,
                            Slip.Kind.LYE_SHORT,
                            Slip.Kind.LYE_TWICE,
                            Slip.Kind.UNIT_MISTAKEN,
                            Slip.Kind.WRONG_ALKALI,
                            Slip.Kind.TARE_NOT_TAKEN,
                            Slip.Kind.MISREAD)
                    .get(random.nextInt(10));
            int fat = random.nextInt(logged.fats().size());
            int other = (fat + 1 + random.nextInt(logged.fats().size() - 1))
                    % logged.fats().size();
            Weights real = real(kind, logged, fat, other);
            if (real != null) {
                Cases batch = Cases.batch(recipe).weighedAsPlanned();
                return new Slipped(
                        tested(
                                batch,
                                plan,
                                real,
                                kind == Slip.Kind.TARE_NOT_TAKEN ? logged.fats().get(fat) : null),
                        kind,
                        subject(kind, logged, fat, other));
            }
        }
    }

    private Recipes recipe() {
        List<String> fats = new ArrayList<>(FATS);
        Collections.shuffle(fats, random);
        Recipes recipe = Recipes.recipe();
        int count = 2 + random.nextInt(3);
        for (int i = 0; i < count; i++) {
            recipe = recipe.fat(fats.get(i), 10 * (8 + random.nextInt(60)));
        }
        return recipe.liquid("distilled-water", 100);
    }

    /** What is in the pot after a slip; nothing where it would be none. */
    private @Nullable Weights real(Slip.Kind kind, Weights logged, int fat, int other) {
        Mass mass = logged.fats().get(fat).mass();
        Mass lye = logged.naoh();
        double part = .03 + .15 * random.nextDouble();
        return switch (kind) {
            case SWAPPED -> swapped(logged, fat, other);
            case LEFT_OUT -> with(logged, fat, Mass.ZERO);
            case DOUBLED -> with(logged, fat, mass.times(2));
            case UNIT_MISTAKEN -> with(logged, fat, Mass.grams(mass.inOunces()));
            case MISREAD -> with(logged, fat, mass.times(random.nextBoolean() ? 1 + 2 * part : 1 - 2 * part));
            case TARE_NOT_TAKEN -> mass.grams() > 200 ? with(logged, fat, mass.minus(Mass.grams(84))) : null;
            case LYE_OVER -> logged.withNaoh(lye.times(1 + part));
            case LYE_SHORT -> logged.withNaoh(lye.times(1 - part));
            case LYE_TWICE -> logged.withNaoh(lye.times(2));
            case WRONG_ALKALI -> logged.withNaoh(Mass.ZERO).withKoh(lye);
            default -> throw new IllegalArgumentException("Impossible state: " + kind);
        };
    }

    private static @Nullable Weights swapped(Weights logged, int fat, int other) {
        Mass one = logged.fats().get(fat).mass();
        Mass two = logged.fats().get(other).mass();
        return SwappedFats.areAlike(one, two) ? null : with(with(logged, fat, two), other, one);
    }

    private static Weights with(Weights weights, int index, Mass mass) {
        List<FatPortion> fats = new ArrayList<>(weights.fats());
        fats.set(index, new FatPortion(fats.get(index).fat(), mass));
        return weights.withFats(fats);
    }

    private static String subject(Slip.Kind kind, Weights logged, int fat, int other) {
        String id = logged.fats().get(fat).fat().shortName();
        return kind == Slip.Kind.LYE_OVER
                        || kind == Slip.Kind.LYE_SHORT
                        || kind == Slip.Kind.LYE_TWICE
                        || kind == Slip.Kind.WRONG_ALKALI
                ? ""
                : kind == Slip.Kind.SWAPPED
                        ? id + " and " + logged.fats().get(other).fat().shortName()
                        : id;
    }

    private Cases tested(Cases batch, BatchPlan plan, Weights real, @Nullable FatPortion inTheJug) {
        if (inTheJug != null) {
            batch.weighed(Weighable.fat(inTheJug.fat().id()), inTheJug.mass(), Tare.NOT_SAID, "second jug");
        }
        double pot = real.total().grams() * (1 + POT * random.nextGaussian());
        double superfat = Superfat.of(real, plan.formula().alkali()).fraction();
        double needed = real.allFats()
                .mapToDouble(f -> f.alkaliMoles() * Alkali.NAOH.molarMass())
                .sum();
        double free = 100 * Math.max(0, -superfat) * needed / real.total().grams();
        double titrated = Math.max(0, free * (1 + TITRATION * random.nextGaussian()) + DROP * random.nextGaussian());
        if (superfat > SOFT_FROM) {
            // So much fat is left that anybody feels it.
            batch.log("day 2 see dents");
        }
        if (real.koh().isPositive()) {
            // Potash soap is a paste, and stays one.
            sometimes(batch, .5, "day 2 see tacky");
            sometimes(batch, .9, "day 25 see never hardened");
        }
        return batch.log(
                String.format(Locale.ROOT, "@+40m pot %.1f g", pot),
                String.format(Locale.ROOT, "day 3 titrated %.2f", Math.min(titrated, 20)));
    }

    private void sometimes(Cases batch, double often, String line) {
        if (random.nextDouble() < often) {
            batch.log(line);
        }
    }
}
