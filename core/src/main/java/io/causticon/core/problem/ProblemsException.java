package io.causticon.core.problem;

import java.util.List;

/** What was entered cannot be taken as it stands. */
public final class ProblemsException extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final transient List<Problem> problems;

    public ProblemsException(List<Problem> problems) {
        super(problems.toString());
        this.problems = List.copyOf(problems);
    }

    public static ProblemsException of(String field, ProblemKey key, Object... values) {
        return new ProblemsException(List.of(Problem.at(field, key, values)));
    }

    public List<Problem> problems() {
        return problems;
    }
}
