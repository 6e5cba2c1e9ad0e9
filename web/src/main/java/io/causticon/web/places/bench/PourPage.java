package io.causticon.web.places.bench;

import io.causticon.web.shared.Drawing;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The pour and the beginning of the set, already worded.
 *
 * @param poured whether all is in the mould
 * @param since how long ago
 * @param says what to do now
 * @param holds when the next layer can go on; empty when nothing must be waited for
 * @param left working time that is left; empty after the pour
 * @param layers the parts of the pour; one for an undivided batter
 * @param next the part that is next; null when all are in
 * @param face the mould filling up
 * @param overflow what does not fit, and where it goes; empty when all fits
 * @param checks what finishes the pour: tapped, covered, sprayed
 * @param seen what can be seen of the loaf while it sets
 * @param room what was logged of the room
 * @param forecast heading of the forecast; empty without one
 * @param figures of the forecast
 */
record PourPage(
        boolean poured,
        String since,
        String says,
        String holds,
        String left,
        List<Layer> layers,
        @Nullable Layer next,
        Drawing face,
        String overflow,
        List<Check> checks,
        List<Check> seen,
        List<BenchPage.Figure> room,
        String forecast,
        List<BenchPage.Figure> figures) {

    /**
     * A part of the pour: its name, its mass, the same for a field, how high it fills, what one taps, whether it is in.
     */
    record Layer(String name, String mass, String massNumber, String fill, String tap, boolean in) {}

    /** Something that finishes the pour: its words, what one taps, whether it was done. */
    record Check(String words, String tap, boolean done) {}
}
