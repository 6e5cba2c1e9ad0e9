package io.causticon.core.science.diagnosis.slips;

import io.causticon.core.model.plan.Weights;
import io.causticon.core.wording.Phrase;

/**
 * A slip before it is weighed against tests. One slip may stand here several times, with several amounts.
 *
 * @param kind what sort
 * @param subject what it happened to; with the kind it names the slip
 * @param words what happened
 * @param how what it changed, with numbers
 * @param rate in how many of a hundred batches such a slip happens
 * @param weights what would then be in the pot
 */
record Hypothesis(Slip.Kind kind, String subject, Phrase words, Phrase how, double rate, Weights weights) {

    boolean isSameSlipAs(Hypothesis other) {
        return kind == other.kind && subject.equals(other.subject);
    }
}
