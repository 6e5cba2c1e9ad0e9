package io.causticon.core.workshop.practice;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * One thing that a learner does.
 *
 * @param kind what
 * @param what the look's id, or the days that are waited; empty for the others
 */
public record PracticeMove(Kind kind, String what) {

    private static final int MOST_DAYS = 60;

    /** What can be done. */
    public enum Kind {
        LOOK,
        WASH,
        TITRATE,
        WAIT
    }

    public static PracticeMove look(String finding) {
        return new PracticeMove(Kind.LOOK, finding);
    }

    public static PracticeMove days(int days) {
        return new PracticeMove(Kind.WAIT, Integer.toString(days));
    }

    public static PracticeMove of(Kind kind) {
        return new PracticeMove(kind, "");
    }

    /** As it is kept: {@code LOOK zap}. */
    public String written() {
        return (kind + " " + what).strip();
    }

    /** Reads what was written; empty for anything else. */
    public static Optional<PracticeMove> read(String written) {
        String[] parts = written.strip().split(" ", 2);
        Optional<Kind> kind = Arrays.stream(Kind.values())
                .filter(k -> k.name().equals(parts[0]))
                .findFirst();
        String what = parts.length > 1 ? parts[1].strip() : "";
        return kind.filter(k -> switch (k) {
                    case LOOK -> !what.isEmpty();
                    case WAIT ->
                        what.matches("\\d{1,2}") && Integer.parseInt(what) >= 1 && Integer.parseInt(what) <= MOST_DAYS;
                    case WASH, TITRATE -> what.isEmpty();
                })
                .map(k -> new PracticeMove(k, what));
    }

    /** All of a text of lines; what cannot be read is left out. */
    public static List<PracticeMove> readAll(String lines) {
        return lines.lines().flatMap(l -> read(l).stream()).toList();
    }
}
