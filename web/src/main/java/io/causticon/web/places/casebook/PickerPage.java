package io.causticon.web.places.casebook;

import io.causticon.web.shared.Drawing;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What can be seen, in pictures.
 *
 * @param id of the batch
 * @param name of the batch
 * @param age of the batch
 * @param where the place that was touched; empty for every place
 * @param places all of them
 * @param tiles what can be seen there
 * @param chosen what was touched of them; null for nothing yet
 */
record PickerPage(
        String id,
        String name,
        String age,
        String where,
        List<Place> places,
        List<Tile> tiles,
        @Nullable Chosen chosen) {

    /**
     * One place.
     *
     * @param id of it
     * @param words of it
     * @param here whether it is the one that was touched
     */
    record Place(String id, String words, boolean here) {}

    /**
     * One picture to touch.
     *
     * @param finding its id
     * @param words of it
     * @param drawing of it
     * @param touched {@code SEEN} or {@code LOOKED_AND_ABSENT} where it was touched, else empty
     * @param next what a further touch says
     * @param known what the log says of it: seen, absent or empty
     */
    record Tile(String finding, String words, Drawing drawing, String touched, String next, String known) {}

    /**
     * What was touched.
     *
     * @param finding its id
     * @param words what is said
     * @param look how to look for it
     * @param seen whether it is there
     * @param early from when on it means something, where the batch is younger; empty otherwise
     * @param asks what is asked of it
     */
    record Chosen(String finding, String words, String look, boolean seen, String early, List<Asked> asks) {}

    /**
     * One question.
     *
     * @param finding its id
     * @param words of it
     * @param absent of its absence
     * @param answer what was answered; empty for nothing
     */
    record Asked(String finding, String words, String absent, String answer) {}

    /** Above the pictures. */
    public String heading() {
        return places.stream()
                .filter(Place::here)
                .map(p -> "Look: " + p.words())
                .findFirst()
                .orElse("What is it like");
    }
}
