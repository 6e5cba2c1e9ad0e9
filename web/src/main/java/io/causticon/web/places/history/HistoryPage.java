package io.causticon.web.places.history;

import io.causticon.web.shared.Drawing;
import java.util.List;

/**
 * What the history shows, already worded.
 *
 * @param by how it is parted
 * @param measures what can be drawn
 * @param panels a small chart each, those of most batches first
 * @param more how many groups are not shown
 * @param turns which change came before which defect, the last first
 * @param links what defects and circumstances come together
 * @param caution how much of that chance alone brings
 * @param rows the same as a table
 * @param batches how many batches it tells of
 * @param complete whether every batch was read
 */
record HistoryPage(
        List<Choice> by,
        List<Choice> measures,
        List<Panel> panels,
        int more,
        List<Turn> turns,
        List<Link> links,
        String caution,
        List<Row> rows,
        int batches,
        boolean complete) {

    /** Something that can be chosen. */
    record Choice(String value, String words, boolean current) {}

    /** One group: its name, what it comes to, its chart. */
    record Panel(String name, String told, Drawing chart) {}

    /** A defect that came or went between two batches of one recipe, and what was changed between them. */
    record Turn(
            String recipe,
            String what,
            boolean came,
            String mark,
            String before,
            String after,
            String href,
            List<String> changes) {}

    /** What comes with what, how often with and without, and how often by chance. */
    record Link(String condition, String factor, String with, String without, String chance) {}

    /** One batch. */
    record Row(String date, String name, String href, String value, String had) {}
}
