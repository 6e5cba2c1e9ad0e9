package io.causticon.core.science.diagnosis;

import io.causticon.core.science.diagnosis.network.Weight;
import io.causticon.core.wording.Phrase;
import java.util.List;

/**
 * The account of one condition: it starts somewhere, each line moves it, and the sum is where it stands. Lines of
 * evidence follow the order in which they came, so that a finding that another already explained weighs less.
 *
 * @param start where it stands before any fact or finding, decibans of odds
 * @param lines what moved it
 */
public record Ledger(double start, List<Line> lines) {

    public Ledger {
        lines = List.copyOf(lines);
    }

    /** Where it stands, decibans of odds. */
    public double sum() {
        return start + lines.stream().mapToDouble(l -> l.weight().decibans()).sum();
    }

    /** What kind of line it is. */
    public enum Kind {
        /** A fact of plan and log that shifts the start. */
        FACT,
        /** A finding that is there. */
        SEEN,
        /** A finding that was looked for and is not there. */
        ABSENT,
        /** What was not said by makers who would have said it. */
        SILENCE,
        /** Known, but not allowed to count. */
        DOES_NOT_CLEAR
    }

    /**
     * One line.
     *
     * @param words what was seen, felt, measured or logged
     * @param weight how much it moved the condition
     * @param kind what kind of line it is
     * @param reason why it matters; may be empty where it only takes belief away from others
     */
    public record Line(Phrase words, Weight weight, Kind kind, Phrase reason) {

        /** Whether it says why it matters. */
        public boolean isExplained() {
            return !reason.pattern().isEmpty();
        }
    }
}
