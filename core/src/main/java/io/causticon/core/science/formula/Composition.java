package io.causticon.core.science.formula;

import io.causticon.core.model.plan.FatPortion;
import io.causticon.core.model.substance.Fat;
import io.causticon.core.model.substance.FattyAcid;
import io.causticon.core.model.substance.FattyAcid.Family;
import io.causticon.core.quantity.Share;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.function.ToDoubleFunction;

/**
 * What a mixture of fats is made of, by mass.
 *
 * @param families share of each family of acids, in the order of the spectrum; they sum to about one
 * @param iodineValue g iodine per 100 g
 * @param saponificationValue mg KOH per g
 * @param saturated share of saturated acids among all
 */
public record Composition(
        Map<Family, Share> families, double iodineValue, double saponificationValue, Share saturated) {

    public static Composition of(List<FatPortion> fats) {
        double total = fats.stream().mapToDouble(f -> f.mass().grams()).sum();
        EnumMap<Family, Share> families = new EnumMap<>(Family.class);
        for (Family family : Family.values()) {
            families.put(
                    family,
                    Share.fraction(mean(fats, total, f -> f.shareOf(family).fraction())));
        }
        double all = families.values().stream().mapToDouble(Share::fraction).sum();
        double saturated = families.entrySet().stream()
                .filter(e -> e.getKey().isSaturated())
                .mapToDouble(e -> e.getValue().fraction())
                .sum();
        return new Composition(
                families,
                mean(fats, total, Fat::iodineValue),
                mean(fats, total, Fat::saponificationValue),
                Share.fraction(all == 0 ? 0 : saturated / all));
    }

    public Share of(Family family) {
        return families.getOrDefault(family, Share.NONE);
    }

    /** Share of one acid, for habits that hang on it alone. */
    public static Share ofAcid(List<FatPortion> fats, FattyAcid acid) {
        double total = fats.stream().mapToDouble(f -> f.mass().grams()).sum();
        return Share.fraction(mean(fats, total, fat -> fat.shareOf(acid)));
    }

    private static double mean(List<FatPortion> fats, double total, ToDoubleFunction<Fat> of) {
        double sum = 0;
        for (FatPortion portion : fats) {
            sum += portion.mass().grams() * of.applyAsDouble(portion.fat());
        }
        return total == 0 ? 0 : sum / total;
    }
}
