package io.causticon.web.places.rework;

import io.causticon.web.shared.Drawing;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * Everything that the page of a rework shows, already worded.
 *
 * @param rows what can be melted down
 * @param typed every field as it was typed
 * @param problems what is wrong, by field
 * @param result what comes of it; null while nothing goes in
 */
record ReworkPage(
        List<Row> rows,
        Map<String, String> typed,
        Map<String, String> problems,
        @Nullable Result result) {

    /**
     * Something that can go in.
     *
     * @param field of how much
     * @param name as it is called
     * @param colour by which it is sorted; empty for a whole batch
     * @param left how much there is
     * @param leftTyped the same as it is typed
     * @param facts superfat and age
     * @param href its batch; empty without one
     * @param held whether that is held
     */
    record Row(
            String field,
            String name,
            String colour,
            String left,
            String leftTyped,
            String facts,
            String href,
            boolean held) {}

    /** A figure with its name. */
    record Figure(String name, String value) {}

    /**
     * What comes of it.
     *
     * @param superfat with its band
     * @param excess how likely it is that alkali is left
     * @param alarming whether that is too likely
     * @param says what to think of it, in a sentence
     * @param heeds what endangers the hand or the soap
     * @param drawing superfat of each scrap and of all together
     * @param figures masses, water, time
     * @param fat the fat that is or would be added
     * @param fatProposed how much of it is proposed; empty for none
     * @param waterProposed how much water is proposed
     * @param steps what the hand does
     * @param scrapAllergens what the scraps bring to the label
     */
    record Result(
            String superfat,
            String excess,
            boolean alarming,
            String says,
            List<String> heeds,
            Drawing drawing,
            List<Figure> figures,
            String fat,
            String fatProposed,
            String waterProposed,
            List<String> steps,
            String scrapAllergens) {}
}
