package io.causticon.core.science.trial;

import io.causticon.core.model.log.SensoryScale;
import io.causticon.core.quantity.Interval;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * An effect that is not what it was at the panel before: the two intervals do not meet, which happens by chance in
 * fewer than one of a hundred pairs that are alike (two nine-of-ten intervals apart).
 *
 * @param arm its name
 * @param scale what was graded
 * @param before at the younger age
 * @param after at the older one
 */
public record EffectChange(String arm, SensoryScale scale, Effect before, Effect after) {

    /** All of them, in the order of the effects. */
    public static List<EffectChange> of(List<Effect> effects) {
        List<EffectChange> changes = new ArrayList<>();
        for (int i = 0; i < effects.size(); i++) {
            Effect before = effects.get(i);
            effects.subList(i + 1, effects.size()).stream()
                    .filter(e -> e.arm().equals(before.arm())
                            && e.scale() == before.scale()
                            && !e.age().equals(before.age()))
                    .findFirst()
                    .filter(e -> areApart(before.interval(), e.interval()))
                    .ifPresent(e -> changes.add(new EffectChange(before.arm(), before.scale(), before, e)));
        }
        return changes;
    }

    private static boolean areApart(@Nullable Interval one, @Nullable Interval two) {
        return one != null && two != null && (one.high() < two.low() || two.high() < one.low());
    }
}
