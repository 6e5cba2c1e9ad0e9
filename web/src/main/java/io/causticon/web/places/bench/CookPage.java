package io.causticon.web.places.bench;

import io.causticon.web.shared.Drawing;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A pot on the heat, already worded.
 *
 * @param since how long the heat is on; empty before
 * @param says what to do next
 * @param heeds what endangers hand or soap now
 * @param notes what a look or a test is worth
 * @param soap how much is soap by the clock, in words
 * @param figures what else there is to know
 * @param on whether the heat is on
 * @param looks the rungs of the paste, the last first
 * @param stirred when it was stirred last; empty before
 * @param toTest whether it waits for a test
 * @param after whether it is tested and what comes after the cook may go in
 * @param next what goes in next; null when all is in or nothing may yet
 * @param steps all that goes in after the cook
 * @param chart how much is soap over the hours; null before lye and fats are together, and of scraps, which are soap
 *     already
 * @param water to stir in; empty for none
 * @param waterTyped the same as it is typed
 */
record CookPage(
        String since,
        String says,
        List<String> heeds,
        List<String> notes,
        String soap,
        List<BenchPage.Figure> figures,
        boolean on,
        List<MixPage.Rung> looks,
        String stirred,
        boolean toTest,
        boolean after,
        MixPage.@Nullable Step next,
        List<MixPage.Step> steps,
        @Nullable Drawing chart,
        String water,
        String waterTyped) {}
