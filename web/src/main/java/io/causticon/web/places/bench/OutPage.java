package io.causticon.web.places.bench;

import io.causticon.web.shared.Drawing;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The soap on its way out of the mould, already worded.
 *
 * @param poured whether there is any in it
 * @param out whether it left the mould
 * @param cut whether it was cut
 * @param faces how many fresh faces are to be looked at now; 0 where it is not cut, or they were looked at
 * @param says what to do now
 * @param advice what else to mind
 * @param figures what is forecast
 * @param drawing the loaf from its side, with its cuts; null without a mould that is cut
 * @param missed what the cuts miss or do not miss, in words; empty where nothing was said to lie in it
 * @param trimmed what the cuts leave over; empty where that is nothing
 * @param scraps what was put aside so far, by colour; empty for nothing
 * @param side whether it is cut on its side
 * @param bars the bars from left to right
 * @param count how many they are, as the quick line wants it
 * @param thick thickness as it was typed
 * @param embeds what lies in the loaf, as it was typed
 * @param thickProblem why the thickness cannot be; empty where it can
 * @param embedsProblem why a place cannot be; empty where all can
 */
record OutPage(
        boolean poured,
        boolean out,
        boolean cut,
        int faces,
        String says,
        List<String> advice,
        List<BenchPage.Figure> figures,
        @Nullable Drawing drawing,
        String missed,
        String trimmed,
        String scraps,
        boolean side,
        List<Bar> bars,
        int count,
        String thick,
        String embeds,
        String thickProblem,
        String embedsProblem) {

    /** A bar: its number, where it is cut, its mass. */
    record Bar(int number, String from, String to, String mass) {}
}
