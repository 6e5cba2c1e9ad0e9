package io.causticon.core.model.said.note;

import io.causticon.core.problem.Problem;
import io.causticon.core.quantity.Mass;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * One line of a note and what it means.
 *
 * @param text as it was typed
 * @param what what it is about; empty where that is not understood
 * @param id of the substance; empty for what is none
 * @param name of it in the tables, or as it was typed
 * @param mass how much of it; empty where it is told in another way
 * @param percent a share or a percentage; empty where it is told as a mass
 * @param amount the amount as it was typed; may be empty
 * @param problem why it is not understood
 * @param maybe names that it may have meant
 */
public record NotedLine(
        String text,
        Optional<What> what,
        String id,
        String name,
        Optional<Mass> mass,
        OptionalDouble percent,
        String amount,
        Optional<Problem> problem,
        List<String> maybe) {

    /** What a line can be about. */
    public enum What {
        FAT,
        LIQUID,
        ADDITIVE,
        SODIUM_HYDROXIDE,
        POTASSIUM_HYDROXIDE,
        /** In per cent. */
        SUPERFAT,
        /** Lye concentration, in per cent. */
        CONCENTRATION,
        /** Mass of all fats, for fats told as shares. */
        TOTAL
    }

    public boolean is(What one) {
        return what.filter(w -> w == one).isPresent();
    }
}
