package io.causticon.web.places.batch;

import io.causticon.core.workshop.dates.Tasks;

/** What is said of a batch wherever it is spoken of. */
public final class BatchWords {

    private BatchWords() {}

    /** What is to be done with it, as a verb. */
    public static String task(Tasks.Kind kind) {
        return switch (kind) {
            case UNMOULD -> "Unmould";
            case CUT -> "Cut";
            case WASH_TEST -> "First wash test";
            case WASH_AGAIN -> "Second wash test";
            case WEIGH -> "Weigh a bar";
            case RELEASE -> "Release, if its tests allow";
            case LOOK -> "Look for stale spots";
        };
    }

    /** Why it is due, as a sentence. */
    public static String reason(Tasks.Kind kind) {
        return switch (kind) {
            case UNMOULD -> "Only when the sides let go.";
            case CUT -> "One to two hours after it left the mould.";
            case WASH_TEST -> "Your own hands first, two days after the lye and out of the mould; gloves until then.";
            case WASH_AGAIN -> "With another bar, or titrate: one hand may feel nothing of it.";
            case WEIGH -> "The same bars each time tell when it is dry.";
            case RELEASE -> "Old enough for its kind, and dry where bars were weighed.";
            case LOOK -> "By its fats, its superfat and the warmth it may begin to go stale.";
        };
    }
}
