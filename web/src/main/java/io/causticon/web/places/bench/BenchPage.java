package io.causticon.web.places.bench;

import io.causticon.web.shared.Drawing;
import io.causticon.web.shared.words.EntryWords;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Everything that the bench shows of one batch at one step, already worded.
 *
 * @param id names the batch
 * @param name its name
 * @param method how its liquid goes in
 * @param begun when it was begun, in epoch milliseconds, for the clock
 * @param clock how long ago, for those without a script
 * @param steps the steps with their state
 * @param step the one that is shown
 * @param weigh the weighing, null at other steps
 * @param ready what to look at before the lye, null at other steps
 * @param pot the lye pot and the matching, null at other steps
 * @param mix the mixing, null at other steps
 * @param cook the pot on the heat, null at other steps
 * @param out the soap on its way out of the mould, null at other steps
 * @param set the pour and what comes after, null at other steps
 * @param warnings what must be said aloud
 * @param undo what was tapped a moment ago and can be taken back at once; null when nothing was
 * @param recent the last lines of the log
 */
record BenchPage(
        String id,
        String name,
        String method,
        long begun,
        String clock,
        List<Step> steps,
        String step,
        @Nullable Weigh weigh,
        @Nullable ReadyList ready,
        @Nullable Pot pot,
        @Nullable MixPage mix,
        @Nullable CookPage cook,
        @Nullable PourPage set,
        @Nullable OutPage out,
        List<Warning> warnings,
        @Nullable Undo undo,
        List<Recent> recent) {

    /** Whether this batch is cooked. */
    public boolean cooks() {
        return steps.stream().anyMatch(s -> s.id().equals("cook"));
    }

    /** A step: its id, its name, whether it is done, whether it is shown. */
    record Step(String id, String name, boolean done, boolean current) {}

    /** Something to be said aloud. */
    record Warning(String title, String words, boolean dangerous) {}

    /** A tap of a moment ago. */
    record Undo(String line, int revision, String words) {}

    /** A line of the log in short. */
    record Recent(String line, String age, EntryWords words) {}

    /**
     * Weighing.
     *
     * @param next what is next, null when all is weighed
     * @param again what is to be weighed a second time, null when nothing is
     * @param items everything there is to weigh
     * @param advice what can be done about weights that are off
     * @param complete whether fats and lye were all weighed
     * @param superfat superfat as weighed, and where not all was, if the rest goes in as planned
     * @param excess probability of excess alkali by these weights
     * @param unit unit of masses
     */
    record Weigh(
            @Nullable Item next,
            @Nullable Item again,
            List<Item> items,
            List<Advice> advice,
            boolean complete,
            String superfat,
            String excess,
            boolean alarming,
            String unit) {

        /** Whether there is a field for the mass of this; when somebody else weighed it meanwhile there is none. */
        boolean asksFor(String id) {
            return next != null && next.id().equals(id)
                    || next == null && again != null && again.id().equals(id)
                    || advice.stream()
                            .anyMatch(a -> a.what().equals(id) && !a.missing().isEmpty());
        }
    }

    /**
     * What can be done about a weight that is off.
     *
     * @param kind of what is off, as forms name it
     * @param what is off, as forms name it
     * @param missing how much would have to be added, as it is typed; empty when there is too much
     * @param scale what a tap logs that lets the rest grow with it; empty when that cannot be
     */
    record Advice(String title, List<String> ways, String kind, String what, String missing, String scale) {}

    /**
     * One thing to weigh: how it is named in forms, its words and mark, its target, how far off is fine, and what was
     * logged.
     */
    record Item(
            String kind,
            String id,
            String name,
            String mark,
            String target,
            String targetNumber,
            String tolerance,
            String logged,
            String difference,
            String state) {}

    /**
     * Lye pot and matching.
     *
     * @param spot which reading is the large one: lye or fats
     * @param now the last reading, without its unit
     * @param unit unit of temperatures
     * @param says what to do now
     * @param details advice, a line each
     * @param figures what else there is to know, as name and value
     * @param chart readings against forecast
     * @param safety what to heed with the hands
     * @param alarm what must be said aloud before the limit is met; empty when all is well
     * @param portionTap what one taps when the next portion is in; empty when all are
     * @param portionWords its words
     * @param clear whether the lye is dissolved and strained
     * @param together whether lye and fats can be poured together now
     * @param additions what else goes into the pots at this step
     * @param stands where lye and fats stand and can be put; empty while the lye dissolves
     */
    record Pot(
            String spot,
            String now,
            String unit,
            String says,
            List<String> details,
            List<Figure> figures,
            Chart chart,
            String safety,
            String alarm,
            String portionTap,
            String portionWords,
            boolean clear,
            boolean together,
            List<Stand> stands,
            List<Addition> additions) {}

    /** Something that goes into a pot: its name, where it goes, how much, the same as it is typed, whether it is in. */
    record Addition(String name, String where, String mass, String typed, boolean done) {}

    /**
     * A drawing, and the same as a table.
     *
     * @param drawing of it
     * @param rows of the table, by the minute
     */
    record Chart(Drawing drawing, List<ChartRow> rows) {}

    /** What was read or is forecast at a minute. */
    record ChartRow(String minute, String what, String value) {}

    /** Where a pot can stand. */
    record Stand(String pot, List<Place> places) {}

    /** A place: its word, what one taps, whether it stands there. */
    record Place(String name, String tap, boolean current) {}

    /** A name and a value. */
    record Figure(String name, String value) {}
}
