package io.causticon.core.workshop.preflight;

import io.causticon.core.wording.Phrase;
import java.util.List;

/**
 * Something in a plan that will bite.
 *
 * @param title what
 * @param reason why, with its numbers
 * @param advice what the hands can do about it; empty when the changes say it all
 * @param changes changes of the plan that would help, the gentlest first
 * @param dangerous whether it can hurt somebody
 */
public record PlanRisk(Phrase title, Phrase reason, Phrase advice, List<PlanChange> changes, boolean dangerous) {

    public PlanRisk {
        changes = List.copyOf(changes);
    }
}
