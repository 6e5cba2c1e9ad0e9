package io.causticon.web.store.account;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;

/**
 * Makes guessing slow, wherever a password is asked for. Each try is counted before the password is looked at, by the
 * address that it comes from and by the name that it is for; beyond a few, each further try waits twice as long. A
 * browser that signed in as somebody before is counted by itself, so that strangers cannot shut her out. Kept in
 * memory, for a bounded number of each.
 */
@Component
public class PasswordTries {

    /** What tries are counted by. */
    enum Kind {
        /** Nobody mistypes that many passwords; behind one address there may be a whole workshop. */
        ADDRESS(10, Duration.ofMinutes(15)),
        /** Long enough for guessing, short enough for the owner on a new telephone. */
        NAME(5, Duration.ofMinutes(1)),
        /** A browser that is known, with the name it is known by. */
        BROWSER(5, Duration.ofMinutes(15));

        private final int free;
        private final Duration longest;

        Kind(int free, Duration longest) {
            this.free = free;
            this.longest = longest;
        }
    }

    /** One thing that tries are counted by. */
    record Key(Kind kind, String what) {}

    private static final Duration FIRST_WAIT = Duration.ofSeconds(2);
    private static final Duration FORGIVEN_AFTER = Duration.ofHours(1);
    private static final int MOST_KEYS = 20_000;
    private static final int LONGEST_NAME = 60;

    /** Of an IPv6 address, as a whole block of them belongs to one household. */
    private static final int BLOCK = 4;

    private final Clock clock;
    private final Map<Key, Tries> tries = new LinkedHashMap<>(64, 0.75f, true) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<Key, Tries> eldest) {
            return size() > MOST_KEYS;
        }
    };

    private record Tries(int count, Instant last) {}

    PasswordTries(Clock clock) {
        this.clock = clock;
    }

    /**
     * Counts a try, unless it comes too early.
     *
     * @param name whose password it is, as it was typed
     * @return how long it must still wait; zero when it may go on, and is counted
     */
    public Duration tryNow(String name, Knock knock) {
        return tryNow(keys(name, knock));
    }

    /** The try was right, so it does not count. What others tried from the same address still does. */
    public void succeeded(String name, Knock knock) {
        succeeded(keys(name, knock));
    }

    /** Counts a try that is for no name, by where it comes from alone. */
    public Duration tryFrom(Knock knock) {
        return tryNow(List.of(new Key(Kind.ADDRESS, block(knock.address()))));
    }

    /** What came from there for no name was right. */
    public void rightFrom(Knock knock) {
        succeeded(List.of(new Key(Kind.ADDRESS, block(knock.address()))));
    }

    /** A name is trimmed before it is cut: blanks before it make no other name of it. */
    private static List<Key> keys(String name, Knock knock) {
        String whole = AccountService.normal(name);
        String normal = whole.length() > LONGEST_NAME ? whole.substring(0, LONGEST_NAME) : whole;
        return knock.browser()
                .map(b -> List.of(new Key(Kind.BROWSER, b + " " + normal)))
                .orElseGet(() -> List.of(new Key(Kind.ADDRESS, block(knock.address())), new Key(Kind.NAME, normal)));
    }

    private static String block(String address) {
        String[] parts = address.split(":", -1);
        return parts.length <= BLOCK ? address : String.join(":", List.of(parts).subList(0, BLOCK));
    }

    /**
     * Counts a try, unless it comes too early.
     *
     * @return how long it must still wait; zero when it may go on, and is counted
     */
    synchronized Duration tryNow(List<Key> keys) {
        Instant now = clock.instant();
        Duration wait =
                keys.stream().map(k -> waitFor(k, now)).max(Duration::compareTo).orElse(Duration.ZERO);
        if (wait.isZero()) {
            keys.forEach(k -> tries.put(k, new Tries(count(k, now) + 1, now)));
        }
        return wait;
    }

    /** The try was right, so it does not count. What others tried from the same address still does. */
    synchronized void succeeded(List<Key> keys) {
        for (Key key : keys) {
            Tries known = tries.get(key);
            if (key.kind() == Kind.BROWSER || known == null || known.count() <= 1) {
                tries.remove(key);
            } else {
                tries.put(key, new Tries(known.count() - 1, known.last()));
            }
        }
    }

    private int count(Key key, Instant now) {
        Tries known = tries.get(key);
        return known == null || Duration.between(known.last(), now).compareTo(FORGIVEN_AFTER) > 0 ? 0 : known.count();
    }

    private Duration waitFor(Key key, Instant now) {
        int count = count(key, now);
        if (count < key.kind().free) {
            return Duration.ZERO;
        }
        Duration left =
                penalty(key.kind(), count).minus(Duration.between(tries.get(key).last(), now));
        return left.isNegative() ? Duration.ZERO : left;
    }

    private static Duration penalty(Kind kind, int count) {
        Duration wait = FIRST_WAIT;
        for (int i = kind.free; i < count && wait.compareTo(kind.longest) < 0; i++) {
            wait = wait.multipliedBy(2);
        }
        return wait.compareTo(kind.longest) > 0 ? kind.longest : wait;
    }
}
