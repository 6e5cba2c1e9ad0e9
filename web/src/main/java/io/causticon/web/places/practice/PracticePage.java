package io.causticon.web.places.practice;

import io.causticon.web.shared.Drawing;
import java.util.List;

/**
 * A case as it is shown, already worded.
 *
 * @param plan what it was to be, a line each
 * @param log what is known of it, in its order
 * @param day how old it is
 * @param spent what it cost so far
 * @param groups looks that can be taken now
 * @param waits days that can be waited
 * @param remedies of which one is chosen
 */
record PracticePage(
        String id,
        String level,
        List<String> plan,
        List<Line> log,
        String day,
        String spent,
        boolean burnt,
        List<Group> groups,
        List<Integer> waits,
        List<Named> conditions,
        List<Named> remedies) {

    /** A line of the log. */
    record Line(String day, String words, boolean alarming) {}

    /** Looks that belong together. */
    record Group(String title, List<Look> looks) {}

    /** A look: what it asks and how long it takes. */
    record Look(String id, String words, String how, String minutes) {}

    /** Something to choose. */
    record Named(String id, String words) {}

    /**
     * What came of it.
     *
     * @param verdict in a sentence
     * @param points of a hundred
     * @param accounts of each thing it had, and of what was named and is not there: what spoke for and against it
     * @param best what an ideal learner did
     * @param needless what changed nothing
     */
    record Review(
            String level,
            String verdict,
            boolean dangerous,
            int points,
            List<String> told,
            List<Account> accounts,
            List<String> best,
            String bestCost,
            List<String> own,
            String ownCost,
            List<String> needless) {}

    /** One condition: whether it was there and was named, what to do about it. */
    record Account(String name, boolean there, boolean named, String probability, Drawing ledger, String remedy) {}
}
