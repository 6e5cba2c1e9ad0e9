package io.causticon.core.formula;

import io.causticon.core.quantity.Temperature;
import org.jspecify.annotations.Nullable;

/**
 * All that is decided before a batch is begun. A batch keeps the plan it was made from.
 *
 * @param name what the batch is called
 * @param formula what it is made of
 * @param process the road it takes
 * @param gel what is wanted of gel
 * @param mould where it goes, null when not yet said
 * @param mixAt temperature at which lye and fats are to meet
 * @param scales the scales it is weighed on
 * @param note anything the maker wants to remember; may be empty
 */
public record BatchPlan(
        String name,
        Formula formula,
        Process process,
        GelGoal gel,
        @Nullable Mould mould,
        Temperature mixAt,
        Scales scales,
        String note) {}
