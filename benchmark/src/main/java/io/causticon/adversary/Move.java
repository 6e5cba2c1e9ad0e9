package io.causticon.adversary;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * One thing that is looked at or tested, logged as calm.
 *
 * @param look what
 * @param day on which
 * @param bar with which; 0 where nobody says
 * @param bars on how many
 * @param part of which part
 * @param how it came to stand in the log
 */
record Move(Look look, int day, int bar, int bars, Part part, Way how) {

    /** What can be done with a bar. */
    enum Look {
        WASH,
        TITRATE,
        PEN,
        SPOTS,
        WEEPING,
        SKEWER,
        CRUST,
        BRITTLE,
        ZAP,
        MOULD
    }

    /** Of which part with lye of its own. */
    enum Part {
        NOT_SAID,
        GOOD,
        BAD
    }

    /** How a calm line comes to stand there. */
    enum Way {
        /** It was calm. */
        AS_IT_WAS,
        /** It was not, and a day later the line says that it was. */
        AMENDED,
        /** It was not, was taken back, and another time is written down instead. */
        TAKEN_BACK
    }

    private static final int[] DAYS = {1, 3, 8, 12, 30};
    private static final int[] FEW_DAYS = {3, 8};

    /**
     * Everything that may be tried.
     *
     * @param divided whether there are parts with lye of their own
     * @param few whether on few days and bars alone
     */
    static List<Move> all(boolean divided, boolean few) {
        List<Move> all = new ArrayList<>();
        for (Look look : Look.values()) {
            for (int day : few ? FEW_DAYS : DAYS) {
                for (int bar = 0; bar < (few ? 2 : 3); bar++) {
                    for (Part part : divided ? Part.values() : new Part[] {Part.NOT_SAID}) {
                        for (Way how : Way.values()) {
                            all.add(new Move(look, day, bar, look == Look.SPOTS ? 1 + 2 * bar : 1, part, how));
                        }
                    }
                }
            }
        }
        return all;
    }

    String words() {
        return "day " + day + " " + look.name().toLowerCase(Locale.ROOT)
                + (bars > 1 ? " on " + bars + " bars" : bar == 0 ? "" : " on bar " + bar)
                + (part == Part.NOT_SAID ? "" : " of the " + part.name().toLowerCase(Locale.ROOT) + " part")
                + (how == Way.AS_IT_WAS ? "" : how == Way.AMENDED ? ", amended to calm" : ", the bad one taken back");
    }
}
