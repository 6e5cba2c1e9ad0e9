package io.causticon.web.shared;

import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.ProblemsException;
import java.util.function.Supplier;
import org.springframework.dao.ConcurrencyFailureException;
import org.springframework.dao.DataIntegrityViolationException;

/**
 * Does what two may do at the same moment: who comes second is told that the name is taken, as if she had come a second
 * later.
 */
public final class AtOnce {

    private AtOnce() {}

    /**
     * @param field where the name stands
     * @param name what is to be unique
     * @param work a whole transaction
     */
    public static <T> T named(String field, String name, Supplier<T> work) {
        try {
            return work.get();
        } catch (DataIntegrityViolationException | ConcurrencyFailureException e) {
            throw ProblemsException.of(field, ProblemKey.NAME_TAKEN, name);
        }
    }

    public static void named(String field, String name, Runnable work) {
        named(field, name, () -> {
            work.run();
            return name;
        });
    }
}
