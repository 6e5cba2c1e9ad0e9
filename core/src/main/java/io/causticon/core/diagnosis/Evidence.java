package io.causticon.core.diagnosis;

import io.causticon.core.observation.Presence;
import java.time.Instant;
import java.util.OptionalDouble;

/**
 * A finding that was looked at.
 *
 * @param finding which
 * @param presence whether it was there
 * @param at when
 * @param source who says so
 * @param words how the log puts it
 * @param value what was measured, where it is known by a number
 */
public record Evidence(Finding finding, Presence presence, Instant at, Source source, String words, OptionalDouble value) {

    /** Who says so. */
    public enum Source {
        /** The maker saw it and said so. */
        MAKER,
        /** It follows from another line of the log. */
        LOG
    }

    public boolean isPresent() {
        return presence == Presence.SEEN;
    }

    /** Whether it may move any probability: an absence that clears nothing does not. */
    public boolean counts() {
        return isPresent() || finding.absenceClears();
    }
}
