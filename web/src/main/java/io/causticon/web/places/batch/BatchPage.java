package io.causticon.web.places.batch;

import io.causticon.web.shared.Drawing;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Everything that the page of a batch shows, already worded.
 *
 * @param id names it
 * @param name its name
 * @param code its code
 * @param facts what stands beside the name
 * @param superfat superfat as weighed with its band
 * @param complete whether fats and lye were all logged
 * @param notWeighed what the plan has and nobody weighed yet; empty where all was
 * @param believed what its case says of it where that is no good news; empty where it is
 * @param state where in its life it is
 * @param held whether it is held
 * @param heldBecause why, empty if not
 * @param doubts what was kept without its question being answered
 * @param givenUp the line that says so; null where it was not
 * @param strip its life as a drawing
 * @param section the inside of the loaf, null where there is no forecast
 * @param sectionWords what the section says in words
 * @param drying how its bars dry, in sentences; empty before one was weighed
 * @param lines its log, the newest first
 * @param madeFrom what it was melted down from
 * @param takenBy what was melted down from it
 * @param live whether it is on the bench
 */
record BatchPage(
        String id,
        String name,
        String code,
        String facts,
        String superfat,
        boolean complete,
        String notWeighed,
        String believed,
        String state,
        boolean held,
        String heldBecause,
        List<Doubt> doubts,
        @Nullable Line givenUp,
        Drawing strip,
        @Nullable Section section,
        String sectionWords,
        List<String> drying,
        List<Line> lines,
        List<Kin> madeFrom,
        List<Kin> takenBy,
        boolean live) {

    /** Something odd about a line: the line, which revision of it, what it says, what is asked. */
    record Doubt(String line, int revision, String says, String question) {}

    /**
     * A batch that this one was melted down from or went into: its page, empty where it has none here; what; how much;
     * whether it is held.
     */
    record Kin(String href, String name, String mass, boolean held) {}

    /** Whether anything that it was made from is held today. */
    public boolean isOfHeld() {
        return madeFrom.stream().anyMatch(Kin::held);
    }

    /**
     * The inside of the loaf, for painting.
     *
     * @param columns cells from the middle to the wall
     * @param rows cells from top to bottom
     * @param height of the drawing, where its width is {@link #WIDTH}
     * @param cells for those without a script: both halves at the moment shown, top row first
     * @param shown index of the moment shown
     * @param core temperature of the middle at that moment
     * @param when that moment after the beginning
     * @param gelled how much of it has gelled by then
     * @param moments all moments as text for the script, {@code x|when|core|gelled|celsius|above|probe}: of each cell
     *     of the right half its temperature above -25 C in half kelvins, two hexadecimal digits; and the kelvins above
     *     what it takes to gel, from -14.25 in halves, as letters from A
     * @param layers upper edges of the layers that it was poured in, to scale, the lowest first; empty for one batter
     * @param probe what a probe in the middle had read by that moment; empty before any
     * @param scale labels of the scale
     * @param table the same at some hours
     */
    record Section(
            int columns,
            int rows,
            double height,
            List<SectionCell> cells,
            int shown,
            String core,
            String when,
            String gelled,
            List<String> moments,
            List<String> layers,
            String probe,
            List<String> scale,
            List<SectionRow> table) {

        static final int WIDTH = 200;
    }

    /**
     * A cell of a section, placed and worded: a page has hundreds of them, and a template that reckons is slow.
     *
     * @param heat its step of the scale, as a class of the style sheet
     */
    record SectionCell(String heat, String x, String y, String width, String height) {}

    /** One moment of the loaf: when, the middle, what has gelled. */
    record SectionRow(String when, String core, String gelled) {}

    /**
     * One line of the log.
     *
     * @param id names the line
     * @param revision the revision shown
     * @param age since the batch was begun
     * @param moment when, in full
     * @param mark the substance it is about
     * @param text what it says
     * @param by who wrote it
     * @param amended whether it said something else before
     * @param withdrawn whether it was taken back
     * @param photo id of its picture, empty if none
     */
    record Line(
            String id,
            int revision,
            String age,
            String moment,
            String mark,
            String text,
            String by,
            boolean amended,
            boolean withdrawn,
            String photo) {

        /** How it is shown in the log, as classes of the style sheet. */
        public String look() {
            return (withdrawn ? "withdrawn " : "") + (amended ? "amended " : "") + mark;
        }
    }
}
