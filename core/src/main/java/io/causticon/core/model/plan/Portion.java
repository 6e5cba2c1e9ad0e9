package io.causticon.core.model.plan;

import io.causticon.core.model.mould.Line;
import io.causticon.core.model.substance.Additive;
import io.causticon.core.model.substance.Liquid;
import io.causticon.core.quantity.Share;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * One layer, colour or cup of a batch, as planned.
 *
 * @param name what the maker calls it
 * @param top its upper edge on the end face of the mould; null when it is not a drawn layer
 * @param share its part of the batter; for a drawn layer and for equal cups it follows and is not read
 * @param additives what goes into it alone, dosed by its own fats
 * @param liquids what liquid goes into it alone, dosed by its own fats
 */
public record Portion(
        String name, @Nullable Line top, Share share, List<OwnAdditive> additives, List<OwnLiquid> liquids) {

    /** An additive of this portion alone: into its lye, its fats, or its batter. */
    public record OwnAdditive(Additive additive, Dose dose, AdditionStage joins) {

        /** One that goes into the batter. */
        public OwnAdditive(Additive additive, Dose dose) {
            this(additive, dose, AdditionStage.TRACE);
        }
    }

    /** A liquid of this portion alone, which goes into the batter. */
    public record OwnLiquid(Liquid liquid, Dose dose) {}

    public Portion {
        additives = List.copyOf(additives);
        liquids = List.copyOf(liquids);
    }

    /** Food allergens that go into it alone, by name. */
    public Set<String> allergens() {
        return Stream.concat(
                        additives.stream().flatMap(a -> a.additive().allergens().stream()),
                        liquids.stream().flatMap(l -> l.liquid().allergens().stream()))
                .collect(Collectors.toCollection(TreeSet::new));
    }

    /** Fragrance allergens that go into it alone. */
    public Set<String> scentAllergens() {
        return additives.stream()
                .flatMap(a -> a.additive().scentAllergens().stream())
                .collect(Collectors.toCollection(TreeSet::new));
    }

    public static Portion layer(String name, Line top) {
        return new Portion(name, top, Share.NONE, List.of(), List.of());
    }

    public static Portion sharing(String name, Share share) {
        return new Portion(name, null, share, List.of(), List.of());
    }

    public Portion with(Additive additive, Dose dose) {
        return new Portion(name, top, share, List.of(new OwnAdditive(additive, dose)), liquids);
    }

    public Portion with(Liquid liquid, Dose dose) {
        return new Portion(name, top, share, additives, List.of(new OwnLiquid(liquid, dose)));
    }
}
