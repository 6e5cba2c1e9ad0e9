package io.causticon.web.security;

import java.util.HashMap;
import java.util.Map;

/** So many at once, and of each so many. */
final class Places {

    private final int all;
    private final int each;
    private final Map<String, Integer> taken = new HashMap<>();
    private int sum;

    Places(int all, int each) {
        this.all = all;
        this.each = each;
    }

    /** Whether there was one. Whoever got one leaves it. */
    synchronized boolean take(String who) {
        int of = taken.getOrDefault(who, 0);
        if (sum >= all || of >= each) {
            return false;
        }
        taken.put(who, of + 1);
        sum++;
        return true;
    }

    synchronized void leave(String who) {
        sum--;
        taken.computeIfPresent(who, (w, of) -> of <= 1 ? null : of - 1);
    }
}
