package io.causticon.web.places.casebook;

import io.causticon.core.model.finding.Finding;
import io.causticon.core.model.finding.Findings;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.ProblemsException;
import org.jspecify.annotations.Nullable;

/** What came in a field of a form, which may not have come at all. */
final class TypedWords {

    /** Nobody says what she sees in more letters. */
    private static final int LONGEST_FIND = 200;

    private TypedWords() {}

    static String of(@Nullable String field) {
        return field == null ? "" : field;
    }

    /** As much of it as is looked for. */
    static String bounded(@Nullable String find) {
        String words = of(find);
        return words.length() > LONGEST_FIND ? words.substring(0, LONGEST_FIND) : words;
    }

    /**
     * The finding that was chosen.
     *
     * @throws ProblemsException if none was, or none that there is
     */
    static Finding finding(@Nullable String id) {
        if (of(id).isBlank()) {
            throw ProblemsException.of("finding", ProblemKey.MISSING);
        }
        return Findings.find(of(id))
                .orElseThrow(() -> ProblemsException.of("finding", ProblemKey.NOT_A_CHOICE, of(id)));
    }
}
