package io.causticon.core.science.making;

import io.causticon.core.model.plan.AdditionStage;
import io.causticon.core.model.substance.Additive;
import io.causticon.core.quantity.Mass;
import io.causticon.core.wording.Phrase;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Something to be done with a batter, in its place in the order of work.
 *
 * @param kind what is done
 * @param name of what goes in, or of the portion
 * @param additive what goes in; null for portions and liquids
 * @param mass how much; of a portion, what to take from the bowl or what it weighs with what went into it
 * @param portion which portion it belongs to; null for the whole batter
 * @param when at which point of the work
 * @param heeds what to mind
 * @param scaleAfter what the scale shows after a portion was taken from a bowl that stays on it; null without
 * @param doneAt minute since lye-in at which it was done, empty before
 */
public record BatterStep(
        Kind kind,
        String name,
        @Nullable Additive additive,
        Mass mass,
        @Nullable String portion,
        AdditionStage when,
        List<Phrase> heeds,
        @Nullable Mass scaleAfter,
        Optional<Double> doneAt) {

    /** What is done. */
    public enum Kind {
        ADD,
        TAKE,
        POUR
    }

    public BatterStep {
        heeds = List.copyOf(heeds);
    }

    public boolean isDone() {
        return doneAt.isPresent();
    }
}
