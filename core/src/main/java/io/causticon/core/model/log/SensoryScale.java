package io.causticon.core.model.log;

import java.util.List;

/**
 * What hands tell of a wash, from 1 to 5, with words to hold on to. More is not always better: which end is wanted is
 * for the maker to say.
 */
public enum SensoryScale {
    START(
            "start",
            "How soon it lathers",
            List.of("hardly at all", "after thirty turns", "after twenty", "after ten", "at once")),
    AMOUNT(
            "amount",
            "How much foam stands in the hand",
            List.of("none", "a film", "half a hand", "a handful", "it spills over")),
    BUBBLES(
            "bubbles",
            "How large the bubbles are",
            List.of("as milk", "as sugar", "as poppy seed", "as peas", "as marbles")),
    CREAM(
            "cream",
            "How thick the foam is",
            List.of("water", "thin milk", "cream", "whipped cream", "it stands in peaks")),
    SLIP("slip", "How it slides", List.of("it drags", "a little", "well", "like oil", "it gets away")),
    SLIME("slime", "How slimy the wet bar is", List.of("clean", "a trace", "some", "strings", "it hangs down")),
    TACK(
            "tack",
            "How sticky the rinsed hand is",
            List.of("not at all", "a trace", "some", "fingers cling", "they stick")),
    AFTER(
            "after",
            "How the skin feels ten minutes later",
            List.of("tight", "dry", "as before", "soft", "as after cream")),
    FIRM(
            "firm",
            "How firm the dry bar is under the thumb",
            List.of("a deep dent", "a dent that stays", "it gives and springs back", "hardly a mark", "as stone"));

    private final String word;
    private final String question;
    private final List<String> anchors;

    SensoryScale(String word, String question, List<String> anchors) {
        this.word = word;
        this.question = question;
        this.anchors = anchors;
    }

    /** As it is typed. */
    public String word() {
        return word;
    }

    public String question() {
        return question;
    }

    /** What each grade is like, from 1 to 5. */
    public List<String> anchors() {
        return anchors;
    }
}
