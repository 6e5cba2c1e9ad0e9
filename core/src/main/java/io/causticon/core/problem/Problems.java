package io.causticon.core.problem;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;

/** Collects all faults of a form, so that the maker is told of them together. */
public final class Problems {

    private final List<Problem> found = new ArrayList<>();

    public void add(String field, ProblemKey key, Object... values) {
        found.add(Problem.at(field, key, values));
    }

    public void add(Problem problem) {
        found.add(problem);
    }

    public void addAll(List<Problem> problems) {
        found.addAll(problems);
    }

    /**
     * What is read; where it cannot be, that is noted and the other value stands in, so that the rest can be looked at
     * too.
     */
    public <T> T take(Supplier<T> read, T otherwise) {
        try {
            return read.get();
        } catch (ProblemsException e) {
            found.addAll(e.problems());
            return otherwise;
        }
    }

    public boolean isEmpty() {
        return found.isEmpty();
    }

    public List<Problem> all() {
        return List.copyOf(found);
    }

    /** @throws ProblemsException if anything was found */
    public void throwIfAny() {
        if (!found.isEmpty()) {
            throw new ProblemsException(all());
        }
    }
}
