package io.causticon.web.shared;

import java.util.Optional;
import java.util.function.Supplier;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Works something out about one of many. What cannot be worked out of one must not keep the others from being shown,
 * whatever the reason: it is told to the log and is empty here, so that its own row can say so.
 */
public final class Guard {

    private static final Logger LOG = LoggerFactory.getLogger(Guard.class);

    private Guard() {}

    /** @param what the one, by its name, for the log */
    public static <T> Optional<T> of(String what, Supplier<T> work) {
        try {
            return Optional.of(work.get());
        } catch (RuntimeException e) {
            LOG.warn("{} cannot be worked out", what, e);
            return Optional.empty();
        }
    }
}
