package io.causticon.web.places.bench;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The mixing, already worded.
 *
 * @param lyeIn when lye went in, in epoch milliseconds, 0 if it did not
 * @param since how long ago, for those without a script
 * @param left large figure: minutes until it will not pour
 * @param until the same as a moment, in epoch milliseconds; 0 when there is none
 * @param says the working time in words
 * @param pressing whether it is short
 * @param reasons what moves it most
 * @param attributed what is laid to what went in
 * @param rungs the ladder from the top
 * @param troubles what stands beside it
 * @param rescue the open rescue card; null when none is
 * @param rescues the troubles it can be opened for
 * @param blended seconds of blender so far, and for a kg
 * @param methods what it can be mixed with
 * @param next the step to be done next; null when all are
 * @param steps all of them in order
 * @param watches portions that wait too long
 */
record MixPage(
        long lyeIn,
        String since,
        String left,
        long until,
        String says,
        boolean pressing,
        List<BenchPage.Figure> reasons,
        List<String> attributed,
        List<Rung> rungs,
        List<Rung> troubles,
        @Nullable Card rescue,
        List<Opening> rescues,
        String blended,
        List<BenchPage.Place> methods,
        @Nullable Step next,
        List<Step> steps,
        List<String> watches) {

    /** A rung: which drawing, what it is called, what one taps, its key, what it looks like, when it was reached. */
    record Rung(String drawing, String name, String tap, String key, String looks, String reached) {}

    /** A rescue card: what to do at once, then, and why. */
    record Card(String id, String title, boolean hazard, String first, List<String> steps, List<String> why) {}

    /** A trouble that a card can be opened for. */
    record Opening(String id, String words, boolean open) {}

    /**
     * Something to do.
     *
     * @param kind add, take or pour
     * @param number its place in the order
     * @param words what, without the mass
     * @param mass target with its unit
     * @param massNumber target for the field
     * @param scale what a scale shows that keeps the bowl; empty without
     * @param portion which portion; empty for the whole batter
     * @param name what the log calls it
     * @param when when it goes in
     * @param heeds what to mind, what it did before
     * @param lots labels of its lots
     * @param done when it was done; empty before
     */
    record Step(
            String kind,
            int number,
            String words,
            String mass,
            String massNumber,
            String scale,
            String portion,
            String name,
            String when,
            List<String> heeds,
            List<String> lots,
            String done) {

        public boolean isDone() {
            return !done.isEmpty();
        }
    }
}
