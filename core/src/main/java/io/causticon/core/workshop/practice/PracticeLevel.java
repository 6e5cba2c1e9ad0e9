package io.causticon.core.workshop.practice;

import java.util.List;

/** How hard a case is. */
public enum PracticeLevel {
    /** One fault that shows, and nothing beside it. */
    CLEAR("One clear fault", 0, false, List.of()),
    /** One fault among whatever else batches have. */
    AMONG_OTHERS("One fault among others", 0, true, List.of()),
    TWO("Two at once", 1, false, List.of()),
    THREE("Three at once", 2, false, List.of()),
    /** What can hurt somebody, or what only looks like it. */
    LOOKALIKES(
            "A hazard, or what looks like one",
            0,
            false,
            List.of(
                    "lye-heavy",
                    "lye-pockets",
                    "separation",
                    "hidden-liquor",
                    "stearic-spots",
                    "fragrance-seep",
                    "sensitive-skin",
                    "short-chain-dryness",
                    "dew",
                    "salt-bloom",
                    "soda-ash"));

    private final String words;
    private final int more;
    private final boolean others;
    private final List<String> only;

    PracticeLevel(String words, int more, boolean others, List<String> only) {
        this.words = words;
        this.more = more;
        this.others = others;
        this.only = only;
    }

    public String words() {
        return words;
    }

    /** How many more it has for certain. */
    int more() {
        return more;
    }

    /** Whether it may have others by chance. */
    boolean mayHaveOthers() {
        return others;
    }

    /** Of which conditions one is drawn; empty for all. */
    List<String> only() {
        return only;
    }
}
