package io.causticon.core.model.said.entry;

import io.causticon.core.model.log.Entry;
import java.util.Optional;

/** One way to say one kind of entry. */
@FunctionalInterface
interface Way {

    /**
     * Reads the phrase from the start of the text.
     *
     * @return what it says and what is left over, or nothing if it is not this phrase
     * @throws io.causticon.core.problem.ProblemsException if it is this phrase and says something impossible
     */
    Optional<Match> match(String text, QuickContext context);

    /**
     * A phrase that was understood.
     *
     * @param entry what it says
     * @param rest the words after it
     */
    record Match(Entry entry, String rest) {}
}
