package io.causticon.core.model.plan;

import io.causticon.core.quantity.Estimate;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import java.time.Duration;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;

/**
 * So much of a soap that is there already, and what it is made of.
 *
 * @param id names it on the shelf
 * @param source the batch that it is of: two scraps of one batch are wrong in their superfat together; the id where
 *     nobody knows
 * @param name as the maker calls it
 * @param mass as it is on the scale now, with the water that is left in it
 * @param fats what its batch was made from; only the proportions count
 * @param naohShare share of sodium hydroxide in its pure alkali, by mass
 * @param superfat of it, a fraction, below zero where alkali is left
 * @param water left in it, a fraction of its mass
 * @param otherOfFats all else that does not dry away (salt, clay, sugar), a fraction of its fats
 * @param reacted whether it had the time to: what is younger is caustic, however fat it will be
 * @param allergens food and fragrance allergens that went into it
 */
public record ScrapPortion(
        String id,
        String source,
        String name,
        Mass mass,
        List<FatPortion> fats,
        Share naohShare,
        Estimate superfat,
        Estimate water,
        double otherOfFats,
        boolean reacted,
        Set<String> allergens) {

    /**
     * After so long what was not cooked has reacted, but for what no fat was left for (a judgement; the rate law has 99
     * of 100 after a day).
     */
    public static final Duration REACTS_FOR = Duration.ofDays(2);

    public ScrapPortion {
        fats = List.copyOf(fats);
        allergens = Set.copyOf(allergens);
    }

    /** Of a batch, by what went into it. */
    public static ScrapPortion of(
            String id,
            String source,
            String name,
            Mass mass,
            Weights weights,
            Estimate superfat,
            Estimate water,
            boolean reacted,
            Set<String> allergens) {
        double fat = weights.allFats().mapToDouble(f -> f.mass().grams()).sum();
        double other = weights.total().grams()
                - fat
                - weights.lye().grams()
                - weights.water().grams();
        Share naoh = weights.lye().isPositive() ? Share.fraction(weights.naoh().dividedBy(weights.lye())) : Share.WHOLE;
        return new ScrapPortion(
                id,
                source,
                name,
                mass,
                weights.allFats().toList(),
                naoh,
                superfat,
                water,
                fat > 0 ? Math.max(0, other) / fat : 0,
                reacted,
                new TreeSet<>(allergens));
    }

    public ScrapPortion weighing(Mass other) {
        return new ScrapPortion(
                id, source, name, other, fats, naohShare, superfat, water, otherOfFats, reacted, allergens);
    }

    /**
     * The fats in it. With {@code w} its water, {@code a} grams of alkali and {@code o} of other solids to a gram of
     * fat, a gram of it holds {@code (1 - w) / (1 + a + o)} grams of fat: what reacted kept its mass.
     */
    public List<FatPortion> fatsInIt() {
        double all = fats.stream().mapToDouble(f -> f.mass().grams()).sum();
        double molesPerGram = fats.stream().mapToDouble(FatPortion::alkaliMoles).sum() / all;
        double alkaliPerGram =
                molesPerGram * (1 - superfat.value()) * pureAlkali().gramsPerMole();
        double fat = mass.grams() * (1 - water.value()) / (1 + alkaliPerGram + otherOfFats);
        return fats.stream()
                .map(f -> new FatPortion(f.fat(), f.mass().times(fat / all)))
                .toList();
    }

    /** Moles of alkali that its fats would take wholly. */
    double neededMoles() {
        return fatsInIt().stream().mapToDouble(FatPortion::alkaliMoles).sum();
    }

    /** Moles of alkali in it, bound or free. */
    double alkaliMoles() {
        return neededMoles() * (1 - superfat.value());
    }

    /** The same, pure, by mass. */
    double alkaliGrams() {
        return alkaliMoles() * pureAlkali().gramsPerMole();
    }

    /** Water in it. */
    Mass waterMass() {
        return mass.times(water.value());
    }

    private AlkaliChoice pureAlkali() {
        return new AlkaliChoice(naohShare, Share.WHOLE, Share.WHOLE, true);
    }
}
