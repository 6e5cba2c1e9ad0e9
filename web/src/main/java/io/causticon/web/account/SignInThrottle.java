package io.causticon.web.account;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.Map;
import org.springframework.stereotype.Component;

/**
 * Makes guessing slow: after some failures for a name or from an address, each further try waits twice as long, up to a quarter of
 * an hour. Kept in memory, for a bounded number of names.
 */
@Component
class SignInThrottle {

    static final int FREE_TRIES = 5;
    private static final Duration FIRST_WAIT = Duration.ofSeconds(2);
    private static final Duration LONGEST_WAIT = Duration.ofMinutes(15);
    private static final Duration FORGIVEN_AFTER = Duration.ofHours(1);
    private static final int MOST_NAMES = 10_000;

    private final Clock clock;
    private final Map<String, Failures> failures = new LinkedHashMap<>(64, 0.75f, true) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<String, Failures> eldest) {
            return size() > MOST_NAMES;
        }
    };

    private record Failures(int count, Instant last) {}

    SignInThrottle(Clock clock) {
        this.clock = clock;
    }

    /** How long this key must still wait; zero when it may try. */
    synchronized Duration waitFor(String key) {
        Failures known = failures.get(key);
        if (known == null || known.count() < FREE_TRIES) {
            return Duration.ZERO;
        }
        Duration since = Duration.between(known.last(), clock.instant());
        if (since.compareTo(FORGIVEN_AFTER) > 0) {
            failures.remove(key);
            return Duration.ZERO;
        }
        Duration left = penalty(known.count()).minus(since);
        return left.isNegative() ? Duration.ZERO : left;
    }

    synchronized void failed(String key) {
        Failures known = failures.get(key);
        failures.put(key, new Failures(known == null ? 1 : known.count() + 1, clock.instant()));
    }

    synchronized void succeeded(String key) {
        failures.remove(key);
    }

    private static Duration penalty(int count) {
        Duration wait = FIRST_WAIT;
        for (int i = FREE_TRIES; i < count && wait.compareTo(LONGEST_WAIT) < 0; i++) {
            wait = wait.multipliedBy(2);
        }
        return wait.compareTo(LONGEST_WAIT) > 0 ? LONGEST_WAIT : wait;
    }
}
