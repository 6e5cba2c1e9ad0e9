package io.causticon.core.science.trial;

import java.time.Duration;
import java.util.Arrays;
import java.util.Optional;

/** At what ages arms are compared, each counted from its own cut, so that a bar is compared with its equals in age. */
public enum PanelAge {
    FRESH("48 h", Duration.ofHours(48), Duration.ofHours(36), Duration.ofDays(7)),
    CURED("5 weeks", Duration.ofDays(35), Duration.ofDays(28), Duration.ofDays(49)),
    AGED("3 months", Duration.ofDays(91), Duration.ofDays(77), Duration.ofDays(126));

    private final String words;
    private final Duration due;
    private final Duration from;
    private final Duration to;

    PanelAge(String words, Duration due, Duration from, Duration to) {
        this.words = words;
        this.due = due;
        this.from = from;
        this.to = to;
    }

    public String words() {
        return words;
    }

    /** After the cut. */
    public Duration due() {
        return due;
    }

    /** How old a bar is at the least. */
    Duration from() {
        return from;
    }

    /** How old it is at the most. */
    Duration to() {
        return to;
    }

    /** As which panel an age counts; empty for one that is between two of them. */
    public static Optional<PanelAge> of(Duration sinceCut) {
        return Arrays.stream(values())
                .filter(a -> sinceCut.compareTo(a.from) >= 0 && sinceCut.compareTo(a.to) <= 0)
                .findFirst();
    }

    /** The same in words; one between two of them counts as what it is. */
    public static String wordsFor(Duration sinceCut) {
        return of(sinceCut).map(PanelAge::words).orElse("day " + sinceCut.toDays());
    }
}
