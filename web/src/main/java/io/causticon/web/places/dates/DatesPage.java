package io.causticon.web.places.dates;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What the page of dates shows, already worded.
 *
 * @param days what is due, by day
 * @param feed when the private address of a calendar was made; empty where there is none
 * @param recipes to choose from
 * @param proposal what comes of the goal that was asked about; null before one was
 */
record DatesPage(
        List<Day> days,
        String feed,
        List<Choice> recipes,
        @Nullable Proposal proposal) {

    /** One day: its words, whether it is over, what is due on it. */
    record Day(String words, boolean late, List<Due> due) {}

    /**
     * One thing.
     *
     * @param hour at which; empty for any of the day
     * @param what it is
     * @param why it is due
     * @param href where it is done
     * @param making the id of a making that can be put away; empty for the rest
     */
    record Due(String hour, String what, String why, String href, String making) {}

    /** A recipe. */
    record Choice(String id, String name) {}

    /**
     * Backwards from a day.
     *
     * @param words what it comes to
     * @param makings each with its day, bars, when they are ready
     * @param possible whether there is anything to keep
     */
    record Proposal(String words, List<Row> makings, boolean possible) {}

    /** One making: on which day, how many bars, when they are ready. */
    record Row(String on, String bars, String ready) {}
}
