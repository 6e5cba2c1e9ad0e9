package io.causticon.core.science.diagnosis;

import io.causticon.core.wording.Phrase;
import java.time.Instant;
import java.util.List;

/**
 * The shortest way to a release that anybody can see: what would be looked at, washed with or measured, and from when
 * on, so that nothing stands before it if each of these is calm. What it finds instead is news, and another way.
 *
 * @param steps in the order of their days
 * @param opens whether they would open the gate; where not, no look is known that would
 */
public record Road(List<Step> steps, boolean opens) {

    static final Road DONE = new Road(List.of(), true);
    static final Road NOWHERE = new Road(List.of(), false);

    public Road {
        steps = List.copyOf(steps);
    }

    /** What is done. */
    public enum Kind {
        /** Nothing but wait. */
        WAIT,
        LOOK,
        CUT,
        WASH,
        TITRATE
    }

    /**
     * One of them.
     *
     * @param kind what is done
     * @param finding id of what is looked for; empty where that is no single finding
     * @param words how
     * @param from the first moment at which it means something
     * @param part of which part with lye of its own; empty for all of it
     */
    public record Step(Kind kind, String finding, Phrase words, Instant from, String part) {

        Step of(String other) {
            return new Step(kind, finding, words, from, other);
        }
    }
}
