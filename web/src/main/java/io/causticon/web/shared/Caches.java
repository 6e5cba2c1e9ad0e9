package io.causticon.web.shared;

import com.github.benmanes.caffeine.cache.Caffeine;

/**
 * Bounded caches. They tidy up where they are written: waking another thread for that takes longer than the work
 * itself.
 */
public final class Caches {

    private Caches() {}

    /** One that keeps no more than so many, what was asked for last. */
    public static Caffeine<Object, Object> atMost(int kept) {
        return tidying().maximumSize(kept);
    }

    /** One whose bound is still to be said. */
    public static Caffeine<Object, Object> tidying() {
        return Caffeine.newBuilder().executor(Runnable::run);
    }
}
