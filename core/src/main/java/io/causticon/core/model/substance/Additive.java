package io.causticon.core.model.substance;

import io.causticon.core.quantity.Interval;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * What else goes in, with its habits.
 *
 * @param id its stable name
 * @param name what makers call it
 * @param kind what it is for: fragrance, clay, colourant ...
 * @param usual usual dose, g per kg of fats; null when counted otherwise
 * @param cap dose above which it does harm, g per kg of fats; null when counted otherwise
 * @param gramsPerTeaspoon a level 5 ml spoon of it, +-20-30 % for powders; null when it is not spooned
 * @param effects what it does to batter and bar
 * @param addedAt where it goes in best
 * @param acid the acid it is, null for most
 * @param acidity share of that acid
 * @param sugar share of sugar, which heats the loaf
 * @param allergens food allergens that it carries
 * @param scentAllergens fragrance allergens that labels name, as far as known (Regulation (EC) 1223/2009, annex III)
 * @param note what to know
 * @param confidence how far the figures are to be trusted
 */
public record Additive(
        String id,
        String name,
        String kind,
        @Nullable Interval usual,
        @Nullable Double cap,
        @Nullable Double gramsPerTeaspoon,
        Set<String> effects,
        String addedAt,
        @Nullable Acid acid,
        Share acidity,
        Share sugar,
        Set<String> allergens,
        Set<String> scentAllergens,
        String note,
        Confidence confidence) {

    private static final double GRAMS_PER_TEASPOON_OF_FRAGRANCE = 4.6;

    private static final Set<String> MOVERS = Set.of("accelerates_strong", "seizes");

    public Additive {
        effects = Set.copyOf(effects);
        allergens = Set.copyOf(allergens);
        scentAllergens = Set.copyOf(scentAllergens);
    }

    /**
     * A fragrance of the workshop's own.
     *
     * @param cap the supplier's limit for wash-off products, g per kg of fats; null when it is not known
     * @param behaviour what it does: {@code accelerates_mild}, {@code seizes}, {@code discolours_brown} ...
     */
    public static Additive ownFragrance(
            String id,
            String name,
            @Nullable Double cap,
            Set<String> behaviour,
            Set<String> scentAllergens,
            String note) {
        return new Additive(
                id,
                name,
                "fragrance",
                null,
                cap,
                GRAMS_PER_TEASPOON_OF_FRAGRANCE,
                behaviour,
                "trace",
                null,
                Share.NONE,
                Share.NONE,
                Set.of(),
                scentAllergens,
                note,
                Confidence.MEDIUM);
    }

    public boolean isFragrance() {
        return "fragrance".equals(kind);
    }

    /** Known to thicken or seize a batter at once. */
    public boolean isMover() {
        return effects.stream().anyMatch(MOVERS::contains);
    }

    /** Thickens a batter a little. */
    public boolean isMildMover() {
        return effects.contains("accelerates_mild");
    }

    public boolean isColourant() {
        return "colourant".equals(kind);
    }

    /** A powder that takes up water and clumps unless it is wetted first. */
    public boolean wantsWetting() {
        return effects.contains("absorbs_water") || "colourant".equals(kind);
    }

    public boolean heats() {
        return effects.contains("heats");
    }

    /** Sugar that lye takes apart: sucrose, whose ring ends are bound to each other, is not. */
    public Share reducingSugar() {
        return effects.contains("not_reducing") ? Share.NONE : sugar;
    }

    public double alkaliMoles(Mass amount) {
        return acid == null ? 0 : acid.alkaliMoles(acidity.of(amount));
    }
}
