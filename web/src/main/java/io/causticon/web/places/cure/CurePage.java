package io.causticon.web.places.cure;

import io.causticon.web.places.batch.RoadWords;
import io.causticon.web.shared.Drawing;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What the page of a batch's cure shows, already worded.
 *
 * @param id names the batch
 * @param name its name
 * @param state how old it is and where in its life
 * @param held whether it is held
 * @param unfit whether it is not for use or sale, though it burns nobody
 * @param heldBecause what was said when it was held
 * @param headline when it is ready
 * @param band from when to when, and by what rule
 * @param chart how its bars dry; null before the pour
 * @param told what is odd about the weighings, and what is said of a young batch
 * @param bars what is known of single bars
 * @param weighBar what stands in the field for the next weighing
 * @param next what is worth doing now
 * @param why that
 * @param test the test that is shown
 * @param waits whether it waits for a measurement, since it is on skin
 * @param others the other tests
 * @param gate what it must have to be released
 * @param open whether it may be released
 * @param road what would free it, each with its day
 * @param dates what is due
 * @param apart what is set apart, and why
 * @param stock how many bars there are and where they went; empty before the cut
 * @param went each time that some left the rack, the last first
 * @param air how they stand and how damp the air is, as far as it was said
 * @param standings how bars can stand
 * @param keeps how long they keep from going stale, and why no longer
 * @param faces pictures of one bar, or of the batch, over the weeks
 */
record CurePage(
        String id,
        String name,
        String state,
        boolean held,
        boolean unfit,
        String heldBecause,
        String headline,
        String band,
        @Nullable Drawing chart,
        List<String> told,
        List<BarRow> bars,
        String weighBar,
        String next,
        String why,
        Guide test,
        boolean waits,
        List<Other> others,
        List<Wanted> gate,
        boolean open,
        RoadWords road,
        List<Date> dates,
        List<String> apart,
        String stock,
        List<Date> went,
        String air,
        List<Tap> standings,
        List<String> keeps,
        List<Face> faces) {

    /** One bar: what it is called, masses at the cut and now, what it lost, what was seen and tested on it. */
    record BarRow(String name, String fresh, String now, String lost, String seen) {}

    /** A test, guided. */
    record Guide(
            String name,
            String title,
            String minutes,
            String worth,
            List<String> steps,
            List<Tap> taps,
            List<Field> fields,
            boolean acid) {}

    /** An answer at a tap. */
    record Tap(String words, String line, boolean alarming) {}

    /** A number that is typed. */
    record Field(String name, String words, String example) {}

    /** One bar, or the batch, in pictures from the first to the last. */
    record Face(String name, List<Shot> shots) {}

    /** A picture: its id, at what age it was taken, what it shows. */
    record Shot(String photo, String age, String caption) {}

    /** Another test: its name, its words, whether it is the one shown. */
    record Other(String name, String words, boolean current) {}

    /** What is asked for, and whether it is there. */
    record Wanted(boolean met, String words) {}

    /** Something that is due: what, when. */
    record Date(String what, String when, boolean done) {}
}
