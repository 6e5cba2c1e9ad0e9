package io.causticon.core.substance;

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
 * @param effects what it does to batter and bar
 * @param addedAt where it goes in best
 * @param acid the acid it is, null for most
 * @param acidity share of that acid
 * @param sugar share of sugar, which heats the loaf
 * @param note what to know
 * @param confidence how far the figures are to be trusted
 */
public record Additive(
        String id,
        String name,
        String kind,
        @Nullable Interval usual,
        @Nullable Double cap,
        Set<String> effects,
        String addedAt,
        @Nullable Acid acid,
        Share acidity,
        Share sugar,
        String note,
        Confidence confidence) {

    private static final Set<String> MOVERS = Set.of("accelerates_strong", "seizes");

    public Additive {
        effects = Set.copyOf(effects);
    }

    public boolean isFragrance() {
        return "fragrance".equals(kind);
    }

    /** Known to thicken or seize a batter at once. */
    public boolean isMover() {
        return effects.stream().anyMatch(MOVERS::contains);
    }

    public boolean heats() {
        return effects.contains("heats");
    }

    public double alkaliMoles(Mass amount) {
        return acid == null ? 0 : acid.alkaliMoles(acidity.of(amount));
    }
}
