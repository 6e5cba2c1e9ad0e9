package io.causticon.core.science.diagnosis.slips;

import io.causticon.core.quantity.Estimate;
import io.causticon.core.quantity.Share;
import io.causticon.core.wording.Phrase;

/** The cheapest check that tells one slip from another. */
final class SlipCheck {

    /** Fresh bars, put on a scale together, tell this much apart, as a share of all. */
    private static final double TOLD_BY_BARS = 0.08;

    /**
     * A titration in a kitchen tells this much apart, as a fraction of the fats, where at least one of the two has
     * alkali left.
     */
    private static final double TOLD_BY_TITRATION = 0.015;

    private SlipCheck() {}

    /** @param weighed whether the whole was weighed already */
    static Phrase between(
            Hypothesis one, Estimate superfat, Hypothesis other, Estimate otherSuperfat, boolean weighed) {
        double mass = one.weights().total().grams();
        double otherMass = other.weights().total().grams();
        if (!weighed && Math.abs(mass - otherMass) > TOLD_BY_BARS * Math.max(mass, otherMass)) {
            return Phrase.of(
                    "Weigh all bars together: some {} speaks for this, {} for: {}.",
                    one.weights().total(),
                    other.weights().total(),
                    other.words());
        }
        boolean alkali = Math.min(superfat.value(), otherSuperfat.value()) < 0;
        if (alkali && Math.abs(superfat.value() - otherSuperfat.value()) > TOLD_BY_TITRATION) {
            return Phrase.of(
                    "Titrate the core: {} speaks for this, {} for: {}.",
                    found(superfat),
                    found(otherSuperfat),
                    other.words());
        }
        return Phrase.of(look(one.kind()));
    }

    private static Phrase found(Estimate superfat) {
        return superfat.value() >= 0
                ? Phrase.of("none left")
                : Phrase.of("alkali left for {} more fat", Share.fraction(-superfat.value()));
    }

    private static String look(Slip.Kind kind) {
        return switch (kind) {
            case NONE, LOGGED_DIFFERENCE, UNKNOWN -> "Go through the log with whoever weighed.";
            case SWAPPED -> "Look which of the two bottles is emptier than it should be.";
            case LEFT_OUT -> "Look whether it still stands weighed out on the bench.";
            case DOUBLED -> "Look how much is left of it on the shelf.";
            case TARE_NOT_TAKEN -> "Weigh the empty vessel.";
            case UNIT_MISTAKEN -> "Look at which unit the scale is set to.";
            case MISREAD, SECOND_WEIGHING -> "Look how much is left of it on the shelf, or at a picture of the scale.";
            case LYE_OVER, LYE_SHORT, LYE_TWICE -> "Weigh the tub of lye against what its lot should still hold.";
            case WRONG_ALKALI -> "Read the label of the tub that was used.";
            case ACID_NOT_ADDED -> "Look whether the acid still stands weighed out.";
            case PURER_ALKALI -> "Ask the supplier for the certificate of this lot.";
        };
    }
}
