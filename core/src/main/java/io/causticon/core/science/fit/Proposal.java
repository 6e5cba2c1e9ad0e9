package io.causticon.core.science.fit;

import io.causticon.core.model.plan.Formula;
import io.causticon.core.model.substance.Fat;
import io.causticon.core.quantity.Share;
import java.util.List;

/**
 * A recipe that comes nearest to what was wanted.
 *
 * @param formula with the changed fats, as much of them as before
 * @param moves which shares change, the largest first; empty when nothing needs to
 * @param unmet names of aims that cannot be reached within the limits
 */
public record Proposal(Formula formula, List<Move> moves, List<String> unmet) {

    /**
     * One share that changes.
     *
     * @param fat whose
     * @param from what it was, of all fats
     * @param to what it becomes
     * @param buys what this change alone does to each aim, in parts of what matters; positive is towards the aim
     */
    public record Move(Fat fat, Share from, Share to, List<Buy> buys) {}

    /**
     * What a change does to one aim.
     *
     * @param aim its name
     * @param part of all that the proposal gains there, 1 is all of it; negative where the change costs
     */
    public record Buy(String aim, double part) {}
}
