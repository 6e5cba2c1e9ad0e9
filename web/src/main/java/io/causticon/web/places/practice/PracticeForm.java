package io.causticon.web.places.practice;

import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.Problems;
import io.causticon.core.workshop.practice.PracticeReview;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;

/**
 * A conclusion as it is typed.
 *
 * @param named ids of conditions; those that are empty say nothing
 * @param certainty in per cent
 * @param verdict {@code hold} or {@code release}
 * @param remedy condition whose remedy is chosen
 */
record PracticeForm(
        @Nullable List<String> named,
        @Nullable String certainty,
        @Nullable String verdict,
        @Nullable String remedy) {

    static final PracticeForm EMPTY = new PracticeForm(List.of("", "", ""), "", "", "");

    PracticeForm {
        named = named == null ? List.of() : new ArrayList<>(named);
        certainty = certainty == null ? "" : certainty.strip();
        verdict = verdict == null ? "" : verdict.strip();
        remedy = remedy == null ? "" : remedy.strip();
    }

    /** What stands in one of its fields. */
    public String namedAt(int index) {
        return index < named.size() ? named.get(index) : "";
    }

    /** Reads it; what is missing is told at its field. */
    PracticeReview.Conclusion read(Problems problems) {
        Set<String> conditions =
                new TreeSet<>(named.stream().filter(PracticePages::isCondition).toList());
        if (conditions.isEmpty()) {
            problems.add("named", ProblemKey.MISSING);
        }
        if (!certainty.matches("50|65|80|95")) {
            problems.add("certainty", ProblemKey.MISSING);
        }
        if (!verdict.equals("hold") && !verdict.equals("release")) {
            problems.add("verdict", ProblemKey.MISSING);
        }
        if (!remedy.isEmpty() && !PracticePages.isCondition(remedy)) {
            problems.add("remedy", ProblemKey.NOT_A_CHOICE, remedy);
        }
        return new PracticeReview.Conclusion(
                conditions,
                verdict.equals("hold"),
                remedy,
                problems.isEmpty() ? Integer.parseInt(certainty) / 100.0 : 0);
    }
}
