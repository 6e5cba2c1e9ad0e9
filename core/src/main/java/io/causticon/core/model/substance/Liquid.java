package io.causticon.core.model.substance;

import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * A liquid that lye is dissolved in or that joins later, by what is in it. Shares are by mass.
 *
 * @param id its stable name
 * @param name what makers call it
 * @param water the water in it; the rest is not water
 * @param sugar sugars, which heat and scorch
 * @param protein proteins, which scorch
 * @param fat fat, which counts as {@code fatAs}
 * @param fatAs id of the fat that its fat counts as, null when there is none
 * @param acidity acid, counted as {@code acid}
 * @param acid which acid, null when there is none
 * @param salt salts
 * @param alcohol alcohol
 * @param animal whether it comes from an animal
 * @param allergens food allergens that it carries
 * @param note what it does
 * @param source where the figures come from
 * @param confidence how far they are to be trusted
 */
public record Liquid(
        String id,
        String name,
        Share water,
        Share sugar,
        Share protein,
        Share fat,
        @Nullable String fatAs,
        Share acidity,
        @Nullable Acid acid,
        Share salt,
        Share alcohol,
        boolean animal,
        Set<String> allergens,
        String note,
        String source,
        Confidence confidence) {

    private static final double DRY = 0.2;

    public Liquid {
        allergens = Set.copyOf(allergens);
    }

    /** Moles of alkali that a gram of it takes up. */
    public double alkaliMolesPerGram() {
        return acid == null ? 0 : acid.alkaliMoles(acidity.of(Mass.grams(1)));
    }

    /** Whether it is a powder, which wants water to become a liquid. */
    public boolean isPowder() {
        return water.fraction() < DRY;
    }

    /**
     * How much of this powder makes a liquid again, the rest being water: as dry as the liquid is, so is the mixture.
     *
     * @param whole the liquid it was dried from
     */
    public Share shareIn(Liquid whole) {
        return Share.fraction((1 - whole.water.fraction()) / (1 - water.fraction()));
    }

    /** Sugar and protein together: what turns orange in hot lye. */
    public Share scorching() {
        return Share.fraction(sugar.fraction() + protein.fraction());
    }
}
